using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Lettering;

/// <summary>Sets words: shaping, gaps, lines, slant, touches of single letters, and the arc.</summary>
public sealed class LetterSetting
{
    /// <summary>More than all letters of the shipped fonts; a font with more begins anew.</summary>
    private const int MostGlyphs = 8_000;

    private readonly ConcurrentDictionary<(string Font, int Glyph), Outline> _glyphs = new();

    /// <summary>The words as letters with their edges.</summary>
    /// <param name="words">The lettering; its box is not looked at.</param>
    /// <param name="font">Its font.</param>
    public LaidText Set(TextForm words, IFontFace font)
    {
        if (_glyphs.Count > MostGlyphs)
        {
            _glyphs.Clear();
        }
        var lines = Lines(words, font);
        var widest = lines.Max(line => line.Width);
        var letters = ImmutableArray.CreateBuilder<LaidLetter>();
        for (var i = 0; i < lines.Count; i++)
        {
            var line = lines[i];
            var down = i * font.LineHeight / font.CapHeight * LaidText.CapHeight * words.LineSpacing;
            var left = words.Align switch
            {
                TextAlign.Left => 0,
                TextAlign.Right => -line.Width,
                TextAlign.Centre => -line.Width / 2,
            };
            // An arc is bent about the middle of its widest line, whatever edge the lines stand at.
            var middle = words.Align switch
            {
                TextAlign.Left => widest / 2,
                TextAlign.Right => -widest / 2,
                TextAlign.Centre => 0,
            };
            foreach (var letter in line.Letters.OrderBy(letter => letter.Index))
            {
                var at = left + letter.At;
                var map = Shear(words.Slant)
                    .Then(Touch(words.TouchOf(letter.Index), letter.Outline.Transform(Shear(words.Slant)).Bounds()))
                    .Then(Affine.Translate(-letter.Advance / 2, 0))
                    .Then(Place(at + (letter.Advance / 2) - middle, down, widest, words.Arc))
                    .Then(Affine.Translate(middle, 0));
                letters.Add(new LaidLetter(letter.Index, letter.Text, letter.Outline.Transform(map)));
            }
        }
        var ink = letters.Aggregate(Box.Empty, (box, letter) => box.Union(letter.Outline.Bounds()));
        return new LaidText(letters.ToImmutable(), ink);
    }

    /// <summary>Letters as one outline: areas that overlap are joined, lines stand side by side.</summary>
    internal static Outline Together(IReadOnlyList<Outline> letters) =>
        letters.All(letter => letter.Parts.IsEmpty)
            ? new Outline([]) { Lines = [.. letters.SelectMany(letter => letter.Lines)] }
            : FilledOutline.Joined(letters);

    private static Affine Shear(double degrees) => new(1, 0, -Math.Tan(degrees * Math.PI / 180), 1, 0, 0);

    private static Affine Touch(LetterTouch touch, Box ink) =>
        Affine
            .Translate(-ink.Centre.X, -ink.Centre.Y)
            .Then(Affine.Scale(touch.Scale, touch.Scale))
            .Then(Affine.Rotate(touch.Turn))
            .Then(
                Affine.Translate(
                    ink.Centre.X + (touch.X * LaidText.CapHeight),
                    ink.Centre.Y + (touch.Y * LaidText.CapHeight)
                )
            );

    /// <summary>Where a letter goes whose middle is at a distance along a line: straight on, or turned with the arc.</summary>
    private static Affine Place(double along, double down, double length, double arc)
    {
        if (Math.Abs(arc) < 1e-9 || length < 1e-9)
        {
            return Affine.Translate(along, down);
        }
        var radius = length / (arc * Math.PI / 180);
        var turn = along / radius;
        return Affine
            .Translate(0, down - radius)
            .Then(Affine.Rotate(turn * 180 / Math.PI))
            .Then(Affine.Translate(0, radius));
    }

    private List<SetLine> Lines(TextForm words, IFontFace font)
    {
        var lines = new List<SetLine>();
        var first = 0;
        foreach (var text in words.Text.Split('\n'))
        {
            lines.Add(Line(words, font, text, first));
            first += Characters.Of(text).Length + 1;
        }
        return lines;
    }

    private SetLine Line(TextForm words, IFontFace font, string text, int first)
    {
        var scale = LaidText.CapHeight / font.CapHeight;
        var numbers = Characters.NumberAt(text);
        var characters = Characters.Of(text);
        // Letters that are moved apart or touched on their own can't be drawn as one.
        var apart =
            words.Spacing != 0
            || words.Touches.Any(touch => touch.Index >= first && touch.Index <= first + characters.Length);
        var clusters = Clusters(font.Shape(text, !apart), numbers);
        var letters = new List<SetLetter>();
        var (pen, last) = (0.0, 0.0);
        for (var i = 0; i < clusters.Count; i++)
        {
            Budget.Spend();
            var cluster = clusters[i];
            var index = first + cluster.Number;
            var gap = (words.Spacing + words.TouchOf(index).GapAfter) * LaidText.CapHeight;
            var before = cluster.IsRightToLeft && i > 0 ? gap : 0;
            var start = pen + before;
            var parts = new List<Outline>();
            foreach (var glyph in cluster.Glyphs)
            {
                Budget.Spend();
                var map = Affine.Translate(pen + before - start + (glyph.X * scale), glyph.Y * scale);
                parts.Add(OutlineOf(font, glyph.Glyph).Transform(map));
                pen += glyph.Advance * scale;
            }
            pen += before;
            last = pen;
            var outline = parts.Count == 1 ? parts[0] : Together(parts);
            if (!outline.IsEmpty)
            {
                letters.Add(new SetLetter(index, cluster.Text(characters, clusters), start, pen - start, outline));
            }
            pen += cluster.IsRightToLeft ? 0 : gap;
        }
        return new SetLine(letters, Math.Max(last, 1e-9));
    }

    private static List<Cluster> Clusters(ImmutableArray<ShapedGlyph> glyphs, int[] numbers)
    {
        var clusters = new List<Cluster>();
        foreach (var glyph in glyphs)
        {
            var number = numbers[glyph.Cluster];
            if (clusters.Count == 0 || clusters[^1].Number != number)
            {
                clusters.Add(new Cluster(number, glyph.IsRightToLeft, []));
            }
            clusters[^1].Glyphs.Add(glyph);
        }
        return clusters;
    }

    /// <summary>A glyph's edge at the cap height of <see cref="LaidText"/>, with lines that cross joined.</summary>
    private Outline OutlineOf(IFontFace font, int glyph) =>
        _glyphs.GetOrAdd(
            (font.ContentKey, glyph),
            _ =>
            {
                var scale = LaidText.CapHeight / font.CapHeight;
                if (font.IsSingleLine)
                {
                    var strokes = font.Strokes(glyph).Select(line => line.Transform(Affine.Scale(scale, scale)));
                    return new Outline([]) { Lines = [.. strokes] };
                }
                var contours = font.Contours(glyph).Select(contour => contour.Transform(Affine.Scale(scale, scale)));
                return FilledOutline.Of(contours, FillRule.NonZero);
            }
        );

    private sealed record SetLine(List<SetLetter> Letters, double Width);

    private sealed record SetLetter(int Index, string Text, double At, double Advance, Outline Outline);

    /// <summary>The glyphs that one character (or several drawn as one) became.</summary>
    private sealed record Cluster(int Number, bool IsRightToLeft, List<ShapedGlyph> Glyphs)
    {
        /// <summary>The characters up to the next cluster's.</summary>
        internal string Text(ImmutableArray<string> characters, List<Cluster> all)
        {
            var next = all.Where(other => other.Number > Number)
                .Select(other => other.Number)
                .DefaultIfEmpty(characters.Length)
                .Min();
            return string.Concat(characters[Number..next]);
        }
    }
}
