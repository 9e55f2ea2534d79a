using System.Text;
using System.Text.Json;

namespace Ullet.Core.Pipeline;

/// <summary>Looks at JSON before anything is made of it: numbers that are none, gaps in lists, texts and depths beyond measure.</summary>
/// <remarks>Goes once over the text and keeps nothing of it, so that what follows is bounded by what was counted here.</remarks>
public static class JsonDoor
{
    /// <summary>The largest number taken, either way.</summary>
    public const double Largest = 1e12;

    /// <summary>Numbers nearer to zero than this, but not zero, are no measures.</summary>
    public const double Smallest = 1e-150;

    /// <summary>The longest text, bytes.</summary>
    public const int LongestText = 100_000;

    /// <summary>The most values of all kinds.</summary>
    public const int MostValues = 4_000_000;

    private const int Deepest = 64;

    /// <summary>Says what of the text can't be taken and where, or null. Text that is no JSON is left to its reader.</summary>
    /// <param name="utf8">The text.</param>
    /// <param name="code">The refusal's code.</param>
    /// <param name="what">What the text is, to begin the sentence: "The request".</param>
    /// <param name="longestText">The longest text in it, bytes.</param>
    public static Refusal? Check(ReadOnlySpan<byte> utf8, string code, string what, int longestText = LongestText)
    {
        var reader = new Utf8JsonReader(utf8, new JsonReaderOptions { MaxDepth = Deepest });
        var place = new JsonPlace();
        var values = 0;
        try
        {
            while (reader.Read())
            {
                Budget.Spend();
                place.Enter(ref reader);
                if (reader.TokenType != JsonTokenType.PropertyName && ++values > MostValues)
                {
                    return No(code, place, $"{what} has more than {MostValues:N0} values in it");
                }
                if (Wrong(ref reader, place.IsInList, longestText) is { } why)
                {
                    return No(code, place, $"{what} can't be read: {why}");
                }
            }
        }
        catch (JsonException)
        {
            return null;
        }
        return null;
    }

    private static string? Wrong(ref Utf8JsonReader reader, bool isInList, int longestText) =>
        reader.TokenType switch
        {
            JsonTokenType.Number => IsMeasure(ref reader) ? null : "a number in it is none that can be measured",
            JsonTokenType.Null when isInList => "a list in it has nothing where something should stand",
            JsonTokenType.String or JsonTokenType.PropertyName when reader.ValueSpan.Length > longestText =>
                $"a text in it has {reader.ValueSpan.Length:N0} characters",
            _ => null,
        };

    private static bool IsMeasure(ref Utf8JsonReader reader) =>
        reader.TryGetDouble(out var value) && (value == 0 ? IsZero(reader.ValueSpan) : InRange(Math.Abs(value)));

    private static bool InRange(double size) => size is >= Smallest and <= Largest;

    /// <summary>False for a number so small that it was rounded to zero.</summary>
    private static bool IsZero(ReadOnlySpan<byte> digits)
    {
        foreach (var digit in digits)
        {
            if (digit is (byte)'e' or (byte)'E')
            {
                break;
            }
            if (digit is > (byte)'0' and <= (byte)'9')
            {
                return false;
            }
        }
        return true;
    }

    private static Refusal No(string code, JsonPlace place, string words) =>
        new(code, place.ToString(), $"{words} (at {place}).");

    /// <summary>Where in the text the reader stands.</summary>
    private sealed class JsonPlace
    {
        private readonly string?[] _names = new string?[Deepest + 1];
        private readonly int[] _numbers = new int[Deepest + 1];
        private readonly bool[] _isList = new bool[Deepest + 1];
        private int _depth;

        internal bool IsInList { get; private set; }

        internal void Enter(ref Utf8JsonReader reader)
        {
            switch (reader.TokenType)
            {
                case JsonTokenType.PropertyName:
                    _names[_depth] = reader.ValueSpan.Length <= 40 ? Encoding.UTF8.GetString(reader.ValueSpan) : "…";
                    return;
                case JsonTokenType.EndArray or JsonTokenType.EndObject:
                    _depth--;
                    return;
            }
            IsInList = _depth > 0 && _isList[_depth];
            if (IsInList)
            {
                _numbers[_depth]++;
            }
            if (reader.TokenType is JsonTokenType.StartArray or JsonTokenType.StartObject)
            {
                _depth++;
                _isList[_depth] = reader.TokenType == JsonTokenType.StartArray;
                (_numbers[_depth], _names[_depth]) = (-1, null);
            }
        }

        public override string ToString()
        {
            var text = new StringBuilder("$");
            for (var depth = 1; depth <= _depth; depth++)
            {
                if (_isList[depth])
                {
                    text.Append('[').Append(Math.Max(0, _numbers[depth])).Append(']');
                }
                else if (_names[depth] is { } name)
                {
                    text.Append('.').Append(name);
                }
            }
            return text.ToString();
        }
    }
}
