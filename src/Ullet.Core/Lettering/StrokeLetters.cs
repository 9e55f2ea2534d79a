using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Lettering;

/// <summary>Plain capitals of single strokes, for labels that a pen draws.</summary>
/// <remarks>Drawn for Ullet on a grid of 4 × 6; small letters become capitals and lose their accents, and a character that is
/// not among them becomes a box.</remarks>
public static class StrokeLetters
{
    private const double GridHeight = 6;

    /// <summary>Room after a letter, grid steps.</summary>
    private const double Between = 1.6;

    private const double Blank = 3;

    private const string Box = "00 40 46 06 00";

    private static readonly Dictionary<char, string> Glyphs = new()
    {
        ['A'] = "06 20 46|14 34",
        ['B'] = "00 06 36 45 44 33 03|33 42 41 30 00",
        ['C'] = "41 30 10 01 05 16 36 45",
        ['D'] = "00 06 26 45 41 20 00",
        ['E'] = "40 00 06 46|03 33",
        ['F'] = "40 00 06|03 33",
        ['G'] = "41 30 10 01 05 16 36 45 43 23",
        ['H'] = "00 06|40 46|03 43",
        ['I'] = "00 06",
        ['J'] = "30 35 26 16 05",
        ['K'] = "00 06|40 03 46",
        ['L'] = "00 06 46",
        ['M'] = "06 00 23 40 46",
        ['N'] = "06 00 46 40",
        ['O'] = "10 01 05 16 36 45 41 30 10",
        ['P'] = "06 00 30 41 42 33 03",
        ['Q'] = "10 01 05 16 36 45 41 30 10|34 46",
        ['R'] = "06 00 30 41 42 33 03|23 46",
        ['S'] = "41 30 10 01 02 13 33 44 45 36 16 05",
        ['T'] = "00 40|20 26",
        ['U'] = "00 05 16 36 45 40",
        ['V'] = "00 26 40",
        ['W'] = "00 16 23 36 40",
        ['X'] = "00 46|40 06",
        ['Y'] = "00 23 40|23 26",
        ['Z'] = "00 40 06 46",
        ['0'] = "10 01 05 16 26 35 31 20 10",
        ['1'] = "01 10 16|06 26",
        ['2'] = "01 10 30 41 42 06 46",
        ['3'] = "01 10 30 41 42 33 44 45 36 16 05|33 23",
        ['4'] = "36 30 04 44",
        ['5'] = "40 00 02 32 43 45 36 06",
        ['6'] = "40 20 02 05 16 36 45 44 33 03",
        ['7'] = "00 40 16",
        ['8'] = "13 02 01 10 30 41 42 33 13 04 05 16 36 45 44 33",
        ['9'] = "06 26 44 41 30 10 01 02 13 43",
        ['-'] = "03 33",
        ['.'] = "05 06",
        [','] = "15 06",
        ['\''] = "00 02",
        ['/'] = "06 40",
        ['+'] = "03 43|21 25",
        ['('] = "20 11 15 26",
        [')'] = "00 11 15 06",
        [':'] = "01 02|05 06",
        ['&'] = "46 02 01 10 20 31 04 05 16 26 44",
    };

    /// <summary>How wide a text is, mm.</summary>
    /// <param name="text">Any text.</param>
    /// <param name="height">Height of its capitals, mm.</param>
    public static double WidthOf(string text, double height) => Laid(text).Width * height / GridHeight;

    /// <summary>The strokes of a text.</summary>
    /// <param name="text">Any text; blanks make room.</param>
    /// <param name="left">Left end, mm.</param>
    /// <param name="top">Upper edge, mm.</param>
    /// <param name="height">Height of its capitals, mm.</param>
    public static ImmutableArray<ImmutableArray<Curve>> Strokes(string text, double left, double top, double height)
    {
        var map = Affine.Scale(height / GridHeight, height / GridHeight).Then(Affine.Translate(left, top));
        return
        [
            .. Laid(text)
                .Strokes.Select(stroke =>
                    Enumerable
                        .Range(1, stroke.Count - 1)
                        .Select(i => Curve.Line(map.Apply(stroke[i - 1]), map.Apply(stroke[i])))
                        .ToImmutableArray()
                ),
        ];
    }

    private static (List<List<Point>> Strokes, double Width) Laid(string text)
    {
        var strokes = new List<List<Point>>();
        var x = 0.0;
        foreach (var letter in Plain(text))
        {
            Budget.Spend();
            if (letter == ' ')
            {
                x += Blank;
                continue;
            }
            var glyph = Glyphs.GetValueOrDefault(letter, Box).Split('|').Select(Points).ToList();
            strokes.AddRange(glyph.Select(stroke => stroke.ConvertAll(p => new Point(p.X + x, p.Y))));
            x += glyph.Max(stroke => stroke.Max(p => p.X)) + Between;
        }
        return (strokes, Math.Max(0, x - Between));
    }

    private static List<Point> Points(string stroke) =>
        [.. stroke.Split(' ').Select(pair => new Point(pair[0] - '0', pair[1] - '0'))];

    private static string Plain(string text) =>
        new([
            .. text.ToUpperInvariant()
                .Normalize(NormalizationForm.FormD)
                .Where(c => CharUnicodeInfo.GetUnicodeCategory(c) != UnicodeCategory.NonSpacingMark)
                .Select(c => char.IsWhiteSpace(c) ? ' ' : c),
        ]);
}
