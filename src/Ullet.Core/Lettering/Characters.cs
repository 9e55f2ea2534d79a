using System.Collections.Immutable;
using System.Globalization;

namespace Ullet.Core.Lettering;

/// <summary>A text as the characters that a person sees: letters with their accents, line ends.</summary>
public static class Characters
{
    public static ImmutableArray<string> Of(string text)
    {
        var found = ImmutableArray.CreateBuilder<string>();
        var walk = StringInfo.GetTextElementEnumerator(text);
        while (walk.MoveNext())
        {
            found.Add(walk.GetTextElement());
        }
        return found.ToImmutable();
    }

    /// <summary>The number of the character that a place in the text (UTF-16) belongs to.</summary>
    internal static int[] NumberAt(string text)
    {
        var numbers = new int[text.Length];
        var (at, number) = (0, 0);
        foreach (var character in Of(text))
        {
            Array.Fill(numbers, number++, at, character.Length);
            at += character.Length;
        }
        return numbers;
    }
}
