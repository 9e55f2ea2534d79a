using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Fonts;

/// <summary>A font of single strokes from a stroke table: plain ASCII, with accents put on and a few letters composed.</summary>
/// <remarks>The table has a line for each character from the space on: five columns of a number, three of a count, then pairs of
/// letters that stand for places about "R"; the first pair tells how far the letter reaches to either side, " R" lifts the pen.
/// Heights are counted down; letters stand on 9, capitals reach up to -12.</remarks>
public sealed class StrokeFace : IFontFace
{
    private const int First = ' ';
    private const int Count = 96;
    private const double Baseline = 9;
    private const double Cap = 21;
    private const double Small = 14;

    /// <summary>Glyphs from here on are accents.</summary>
    private const int Accents = 1000;

    /// <summary>Marks over or under letters about their middle, their foot on the letter's height; units as in the table.</summary>
    private static readonly (char Mark, string Strokes)[] Marks =
    [
        ('\u0300', "-3,-7 2,-3"),
        ('\u0301', "3,-7 -2,-3"),
        ('\u0302', "-4,-3 0,-7 4,-3"),
        ('\u0303', "-5,-3 -3,-6 -1,-6 2,-4 4,-4 5,-6"),
        ('\u0304', "-4,-5 4,-5"),
        ('\u0306', "-4,-7 -2,-4 2,-4 4,-7"),
        ('\u0307', "0,-5 1,-4 0,-3 -1,-4 0,-5"),
        ('\u0308', "-4,-5 -3,-4 -4,-3 -5,-4 -4,-5|4,-5 5,-4 4,-3 3,-4 4,-5"),
        ('\u030A', "0,-8 2,-7 3,-5 2,-3 0,-2 -2,-3 -3,-5 -2,-7 0,-8"),
        ('\u030B', "-1,-7 -4,-3|4,-7 1,-3"),
        ('\u030C', "-4,-7 0,-3 4,-7"),
        ('\u0327', "0,0 1,2 0,4 -3,5"),
        ('\u0328', "1,0 -1,2 -1,4 2,5"),
    ];

    /// <summary>Characters that are drawn as others.</summary>
    private static readonly Dictionary<string, string> Spelt = new(StringComparer.Ordinal)
    {
        ["’"] = "'",
        ["‘"] = "'",
        ["“"] = "\"",
        ["”"] = "\"",
        ["–"] = "-",
        ["—"] = "-",
        ["…"] = "...",
        ["ß"] = "ss",
        ["æ"] = "ae",
        ["Æ"] = "AE",
        ["œ"] = "oe",
        ["Œ"] = "OE",
        ["ø"] = "o\u0338",
        ["Ø"] = "O\u0338",
        ["ł"] = "l\u0338",
        ["Ł"] = "L\u0338",
        ["ı"] = "i",
        ["\u00A0"] = " ",
    };

    /// <summary>Letters with a mark, and the bare ones in the same order; the program runs without a table of Unicode's own.</summary>
    private static readonly (char Mark, string Marked, string Bare)[] Composed =
    [
        ('\u0300', "ÀÈÌÒÙàèìòù", "AEIOUaeiou"),
        ('\u0301', "ÁÉÍÓÚÝáéíóúýĆćĹĺŃńŔŕŚśŹź", "AEIOUYaeiouyCcLlNnRrSsZz"),
        ('\u0302', "ÂÊÎÔÛâêîôûĈĉĜĝĤĥĴĵŜŝŴŵŶŷ", "AEIOUaeiouCcGgHhJjSsWwYy"),
        ('\u0303', "ÃÑÕãñõĨĩŨũ", "ANOanoIiUu"),
        ('\u0304', "ĀāĒēĪīŌōŪū", "AaEeIiOoUu"),
        ('\u0306', "ĂăĔĕĞğĬĭŎŏŬŭ", "AaEeGgIiOoUu"),
        ('\u0307', "ĊċĖėĠġİŻż", "CcEeGgIZz"),
        ('\u0308', "ÄËÏÖÜäëïöüÿŸ", "AEIOUaeiouyY"),
        ('\u030A', "ÅåŮů", "AaUu"),
        ('\u030B', "ŐőŰű", "OoUu"),
        ('\u030C', "ČčĎďĚěĽľŇňŘřŠšŤťŽž", "CcDdEeLlNnRrSsTtZz"),
        ('\u0327', "ÇçĢģĶķĻļŅņŖŗŞşŢţ", "CcGgKkLlNnRrSsTt"),
        ('\u0328', "ĄąĘęĮįŲų", "AaEeIiUu"),
    ];

    /// <summary>A stroke through a letter.</summary>
    private const char Through = '\u0338';

    private readonly ImmutableArray<StrokeGlyph> _glyphs;

    private StrokeFace(string id, string name, string key, ImmutableArray<StrokeGlyph> glyphs) =>
        (Id, Name, ContentKey, _glyphs) = (id, name, key, glyphs);

    public string Id { get; }

    public string Name { get; }

    public string ContentKey { get; }

    public double LineHeight => 1.7 * Cap;

    public double CapHeight => Cap;

    public bool IsSingleLine => true;

    /// <summary>Reads a stroke table.</summary>
    /// <exception cref="InvalidOperationException">When it is not one: it ships with the program.</exception>
    internal static StrokeFace Read(string id, string name, byte[] table)
    {
        var lines = Encoding.ASCII.GetString(table).Split('\n').Where(line => line.Length > 8).ToList();
        return lines.Count < Count
            ? throw new InvalidOperationException($"The stroke table of {name} has {lines.Count} letters of {Count}.")
            : new StrokeFace(
                id,
                name,
                ContentHash.OfBytes(table).Hex,
                [.. lines.Take(Count).Select(StrokeGlyph.Parse)]
            );
    }

    public ImmutableArray<ShapedGlyph> Shape(string line, bool ligatures)
    {
        var shaped = ImmutableArray.CreateBuilder<ShapedGlyph>();
        var at = 0;
        foreach (var character in Characters.Of(line))
        {
            Add(character, at, shaped);
            at += character.Length;
        }
        return shaped.ToImmutable();
    }

    public ImmutableArray<Contour> Contours(int glyph) => [];

    public ImmutableArray<OpenPath> Strokes(int glyph) =>
        glyph >= Accents ? MarkOf(glyph - Accents)
        : glyph is > 0 and <= Count ? _glyphs[glyph - 1].Strokes
        : [];

    public ImmutableArray<string> Missing(string text) =>
        [
            .. text.Split('\n')
                .SelectMany(line => Characters.Of(line))
                .Where(character => !IsKnown(character))
                .Distinct(StringComparer.Ordinal),
        ];

    private static bool IsKnown(string character) =>
        Apart(character).All(c => c is >= ' ' and <= '~' or Through || MarkNumber(c) >= 0);

    /// <summary>A character as letters and marks of the table.</summary>
    private static string Apart(string character) =>
        Spelt.TryGetValue(character, out var spelt) ? spelt : string.Concat(character.Select(Bare));

    private static string Bare(char letter)
    {
        foreach (var (mark, marked, bare) in Composed)
        {
            if (marked.IndexOf(letter, StringComparison.Ordinal) is var at && at >= 0)
            {
                return $"{bare[at]}{mark}";
            }
        }
        return letter.ToString();
    }

    private static int MarkNumber(char mark) => Array.FindIndex(Marks, known => known.Mark == mark);

    private void Add(string character, int cluster, ImmutableArray<ShapedGlyph>.Builder shaped)
    {
        if (!IsKnown(character))
        {
            shaped.Add(new ShapedGlyph(0, cluster, Cap / 2, 0, 0, false));
            return;
        }
        var (middle, height) = (0.0, 0.0);
        foreach (var c in Apart(character))
        {
            if (c is >= ' ' and <= '~')
            {
                var glyph = _glyphs[c - First];
                shaped.Add(new ShapedGlyph(c - First + 1, cluster, glyph.Advance, 0, 0, false));
                middle = -glyph.Advance / 2;
                height = char.IsUpper(c) || "bdfhklt".Contains(c, StringComparison.Ordinal) ? Cap : Small;
                continue;
            }
            var isUnder = c is '\u0327' or '\u0328';
            var number = c == Through ? Marks.Length : MarkNumber(c);
            var up =
                c == Through ? height / 2
                : isUnder ? 0
                : height;
            shaped.Add(new ShapedGlyph(Accents + number, cluster, 0, middle, -up, false));
        }
    }

    private static ImmutableArray<OpenPath> MarkOf(int number) =>
        number == Marks.Length ? [StrokeGlyph.Line([new(-5, 6), new(5, -6)])]
        : number < 0 || number > Marks.Length ? []
        :
        [
            .. Marks[number]
                .Strokes.Split('|')
                .Select(stroke => StrokeGlyph.Line([.. stroke.Split(' ').Select(PlaceOf)])),
        ];

    private static Point PlaceOf(string pair)
    {
        var comma = pair.IndexOf(',', StringComparison.Ordinal);
        return new Point(
            double.Parse(pair.AsSpan(0, comma), CultureInfo.InvariantCulture),
            double.Parse(pair.AsSpan(comma + 1), CultureInfo.InvariantCulture)
        );
    }

    /// <summary>One letter of the table.</summary>
    /// <param name="Advance">How far the pen goes on, units.</param>
    /// <param name="Strokes">Its strokes from its left edge, on the baseline.</param>
    private sealed record StrokeGlyph(double Advance, ImmutableArray<OpenPath> Strokes)
    {
        internal static StrokeGlyph Parse(string line)
        {
            var pairs = line[8..].TrimEnd('\r');
            var (left, right) = (pairs[0] - 'R', pairs[1] - 'R');
            var strokes = ImmutableArray.CreateBuilder<OpenPath>();
            var stroke = new List<Point>();
            for (var i = 2; i + 1 < pairs.Length; i += 2)
            {
                if (pairs[i] == ' ')
                {
                    Close();
                    continue;
                }
                stroke.Add(new Point(pairs[i] - 'R' - left, pairs[i + 1] - 'R' - Baseline));
            }
            Close();
            return new StrokeGlyph(right - left, strokes.ToImmutable());

            void Close()
            {
                if (stroke.Count > 1)
                {
                    strokes.Add(Line(stroke));
                }
                stroke = [];
            }
        }

        internal static OpenPath Line(List<Point> points) =>
            new([.. Enumerable.Range(1, points.Count - 1).Select(i => Curve.Line(points[i - 1], points[i]))]);
    }
}
