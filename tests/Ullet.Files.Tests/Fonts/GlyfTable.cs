using System.Buffers.Binary;
using Ullet.Core.Geometry;

namespace Ullet.Files.Tests.Fonts;

/// <summary>A plain reader of TrueType outlines (OpenType 1.9, "glyf", "loca", "cmap" format 4), to hold the font's own numbers
/// against ours. Glyphs made of other glyphs are not read.</summary>
internal sealed class GlyfTable(byte[] font)
{
    internal int UnitsPerEm => U16(Table("head") + 18);

    /// <summary>The glyph's closed lines as points, y down, each quadratic cut into 64 chords; null for a composite.</summary>
    internal List<Ring>? Lines(char letter)
    {
        var glyph = GlyphOf(letter);
        var isLong = U16(Table("head") + 50) == 1;
        var loca = Table("loca");
        int At(int i) =>
            isLong ? (int)BinaryPrimitives.ReadUInt32BigEndian(font.AsSpan(loca + (i * 4))) : U16(loca + (i * 2)) * 2;
        var at = Table("glyf") + At(glyph);
        var count = (short)U16(at);
        if (count < 0)
        {
            return null;
        }
        var ends = Enumerable.Range(0, count).Select(i => U16(at + 10 + (i * 2))).ToList();
        var next = at + 10 + (count * 2);
        next += 2 + U16(next);
        var flags = new List<byte>();
        while (flags.Count <= ends[^1])
        {
            var flag = font[next++];
            var repeat = (flag & 8) != 0 ? font[next++] : 0;
            flags.AddRange(Enumerable.Repeat(flag, repeat + 1));
        }
        var xs = Coordinates(flags, 2, 16, ref next);
        var ys = Coordinates(flags, 4, 32, ref next);
        var (lines, from) = (new List<Ring>(), 0);
        foreach (var end in ends)
        {
            var points = Enumerable
                .Range(from, end - from + 1)
                .Select(i => (At: new Point(xs[i], -ys[i]), On: (flags[i] & 1) != 0))
                .ToList();
            lines.Add(Flat(points));
            from = end + 1;
        }
        return lines;
    }

    private static Ring Flat(List<(Point At, bool On)> points)
    {
        var whole = new List<(Point At, bool On)>();
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Count]);
            whole.Add(a);
            if (!a.On && !b.On)
            {
                whole.Add((Point.Lerp(a.At, b.At, 0.5), true));
            }
        }
        var start = whole.FindIndex(point => point.On);
        whole = [.. whole.Skip(start), .. whole.Take(start)];
        var flat = new List<Point>();
        for (var i = 0; i < whole.Count; i++)
        {
            if (whole[i].On)
            {
                flat.Add(whole[i].At);
                continue;
            }
            var (a, c, b) = (whole[i - 1].At, whole[i].At, whole[(i + 1) % whole.Count].At);
            flat.AddRange(
                Enumerable
                    .Range(1, 63)
                    .Select(k => k / 64.0)
                    .Select(t => Point.Lerp(Point.Lerp(a, c, t), Point.Lerp(c, b, t), t))
            );
        }
        return Ring.Of(flat);
    }

    private List<int> Coordinates(List<byte> flags, int shortBit, int sameBit, ref int next)
    {
        var (values, value) = (new List<int>(), 0);
        foreach (var flag in flags)
        {
            if ((flag & shortBit) != 0)
            {
                value += (flag & sameBit) != 0 ? font[next] : -font[next];
                next++;
            }
            else if ((flag & sameBit) == 0)
            {
                value += (short)U16(next);
                next += 2;
            }
            values.Add(value);
        }
        return values;
    }

    /// <summary>The glyph that a letter has where nothing stands beside it.</summary>
    internal int GlyphOf(char letter)
    {
        var cmap = Table("cmap");
        for (var i = 0; i < U16(cmap + 2); i++)
        {
            var at = cmap + (int)BinaryPrimitives.ReadUInt32BigEndian(font.AsSpan(cmap + 8 + (i * 8)));
            if (U16(at) != 4)
            {
                continue;
            }
            var segments = U16(at + 6) / 2;
            for (var s = 0; s < segments; s++)
            {
                var (end, start) = (U16(at + 14 + (s * 2)), U16(at + 16 + (segments * 2) + (s * 2)));
                if (letter < start || letter > end)
                {
                    continue;
                }
                var delta = U16(at + 16 + (segments * 4) + (s * 2));
                var rangeAt = at + 16 + (segments * 6) + (s * 2);
                var range = U16(rangeAt);
                return range == 0
                    ? (letter + delta) & 0xFFFF
                    : U16(rangeAt + range + ((letter - start) * 2)) + delta & 0xFFFF;
            }
        }
        throw new InvalidOperationException($"No glyph for {letter}.");
    }

    private int Table(string tag)
    {
        for (var i = 0; i < U16(4); i++)
        {
            var at = 12 + (i * 16);
            if (System.Text.Encoding.ASCII.GetString(font, at, 4) == tag)
            {
                return (int)BinaryPrimitives.ReadUInt32BigEndian(font.AsSpan(at + 8));
            }
        }
        throw new InvalidOperationException($"No table {tag}.");
    }

    private int U16(int at) => BinaryPrimitives.ReadUInt16BigEndian(font.AsSpan(at));
}
