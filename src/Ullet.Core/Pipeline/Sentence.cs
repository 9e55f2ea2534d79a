using System.Collections.Immutable;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;

namespace Ullet.Core.Pipeline;

/// <summary>A thing that a sentence tells: its name in the code that told it, and its value, not yet in words.</summary>
/// <param name="Name">The last name of the expression: "least" of "range.Least".</param>
/// <param name="Value">A number, a text, or what else was told.</param>
public sealed record Fact(string Name, object? Value);

/// <summary>A sentence that is still in parts: what is said always, and facts with the way in which each is written.</summary>
/// <remarks>Written as an interpolated string; its words are made when they are asked for.</remarks>
[InterpolatedStringHandler]
public sealed class Sentence(int literalLength, int formattedCount)
{
    private readonly List<(string? Literal, Fact? Fact, string? Format)> _parts = new(formattedCount * 2);
    private readonly int _length = literalLength;

    /// <summary>Everything that it tells, in order.</summary>
    public ImmutableArray<Fact> Facts => [.. _parts.Select(part => part.Fact).OfType<Fact>()];

    public void AppendLiteral(string value) => _parts.Add((value, null, null));

    public void AppendFormatted<T>(
        T value,
        string? format = null,
        [CallerArgumentExpression(nameof(value))] string name = ""
    ) => _parts.Add((null, new Fact(LastName(name), value), format));

    /// <summary>The sentence in words.</summary>
    public override string ToString()
    {
        var text = new StringBuilder(_length + (_parts.Count * 8));
        foreach (var (literal, fact, format) in _parts)
        {
            _ = fact is null ? text.Append(literal) : text.Append(Written(fact.Value, format));
        }
        return text.ToString();
    }

    private static string Written(object? value, string? format) =>
        value is IFormattable number ? number.ToString(format, CultureInfo.InvariantCulture) : value?.ToString() ?? "";

    /// <summary>"Width" of "box.Width", as "width"; of anything longer than a name, "text".</summary>
    private static string LastName(string expression)
    {
        var name = expression[(expression.LastIndexOf('.') + 1)..];
        return name.Length > 0 && name.All(char.IsLetterOrDigit) ? char.ToLowerInvariant(name[0]) + name[1..] : "text";
    }
}
