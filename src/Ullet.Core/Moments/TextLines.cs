using System.Collections.Immutable;

namespace Ullet.Core.Moments;

/// <summary>Text set in lines of a width: on drawings, in booklets and on other sheets.</summary>
/// <param name="Size">Of its letters, page units.</param>
/// <param name="IsBold">True for the bold cut.</param>
/// <param name="Measure">How wide text is.</param>
public sealed record TextLines(double Size, bool IsBold, ITextMeasure Measure)
{
    /// <summary>A text in lines that fit; words that are wider than a line are broken. A line break in it stays one.</summary>
    public ImmutableArray<string> Broken(string text, double room)
    {
        var lines = ImmutableArray.CreateBuilder<string>();
        foreach (var paragraph in text.Split('\n'))
        {
            var line = "";
            foreach (var word in paragraph.Split(' ', StringSplitOptions.RemoveEmptyEntries))
            {
                var longer = line.Length == 0 ? word : $"{line} {word}";
                if (line.Length > 0 && Width(longer) > room)
                {
                    lines.Add(line);
                    longer = word;
                }
                while (longer.Length > 1 && Width(longer) > room)
                {
                    var fits = Enumerable
                        .Range(1, longer.Length - 1)
                        .LastOrDefault(count => Width(longer[..count]) <= room, 1);
                    lines.Add(longer[..fits]);
                    longer = longer[fits..];
                }
                line = longer;
            }
            lines.Add(line);
        }
        return lines.ToImmutable();
    }

    /// <summary>As much of a text as fits in one line.</summary>
    public string Fitted(string text, double room)
    {
        if (Width(text) <= room)
        {
            return text;
        }
        var count = Enumerable.Range(0, text.Length).LastOrDefault(most => Width(text[..most] + "…") <= room, 0);
        return text[..count] + "…";
    }

    private double Width(string text) => Measure.Width(text, Size, IsBold);
}
