using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Rows of short stitches across what is too wide for strokes, there and back.</summary>
internal static class ColumnRows
{
    /// <summary>Length of the stitches of a row, mm.</summary>
    private const double StitchLength = 4.0;

    /// <summary>Rows lie a little closer than strokes, which cross each other, over the spacing.</summary>
    private const double Close = 0.92;

    /// <summary>Nearer to a row beside it than this share of the spacing a row ends early.</summary>
    private const double Apart = 0.6;

    /// <summary>So many rows before it are looked at.</summary>
    private const int Looked = 10;

    /// <summary>How much of its length a row may give up at an end, tried in this order.</summary>
    private static readonly double[] Draws = [0, 0.08, 0.16, 0.24, 0.32, 0.4, 0.46];

    /// <summary>How much farther in a row begins than it could, mm.</summary>
    private const double Inwards = 0.18;

    /// <summary>Where the first stitches of rows end in turn, so that holes of neighbours do not lie side by side, mm.</summary>
    private static readonly double[] Firsts = [0.5, 2.5, 1.5, 3.5];

    internal static ImmutableArray<Point> Of(ReadOnlySpan<StrokePlace> places, double spacing, bool isReversed)
    {
        // Picked places lie half a spacing apart; rows a whole one.
        var rows = StrokeSpread.Pick(places, 2 * Close * spacing, even: false);
        if (isReversed)
        {
            rows.Reverse();
        }
        Thin(rows, Apart * spacing);
        var points = ImmutableArray.CreateBuilder<Point>();
        for (var i = 0; i < rows.Count; i++)
        {
            Budget.Spend();
            var (from, to) = i % 2 == 0 ? (rows[i].Outer, rows[i].Inner) : (rows[i].Inner, rows[i].Outer);
            // A row begins a little farther in than the one before it ends: the step between them is long enough to be sewn.
            points.Add(i == 0 ? from : from + ((to - from).Unit() * Math.Min(Inwards, from.DistanceTo(to) / 4)));
            var length = from.DistanceTo(to);
            var first = Firsts[i % Firsts.Length];
            for (var at = i % 2 == 0 ? first : Rest(length, first); at < length; at += StitchLength)
            {
                if (at >= StitchDefaults.ShortestStitch && length - at >= StitchDefaults.ShortestStitch)
                {
                    points.Add(Point.Lerp(from, to, at / length));
                }
            }
            points.Add(to);
        }
        return points.ToImmutable();
    }

    /// <summary>Draws the ends of rows back where they would crowd round a bend.</summary>
    private static void Thin(List<StrokePlace> rows, double apart)
    {
        for (var i = 1; i < rows.Count; i++)
        {
            Budget.Spend();
            var full = rows[i];
            rows[i] = full with
            {
                Outer = Drawn(full.Outer, full.Inner, rows, i, apart),
                Inner = Drawn(full.Inner, full.Outer, rows, i, apart),
            };
        }
    }

    private static Point Drawn(Point end, Point other, List<StrokePlace> rows, int row, double apart)
    {
        foreach (var share in Draws)
        {
            var at = Point.Lerp(end, other, share);
            if (IsFree(at, rows, row, apart))
            {
                return at;
            }
        }
        return Point.Lerp(end, other, Draws[^1]);
    }

    private static bool IsFree(Point at, List<StrokePlace> rows, int row, double apart)
    {
        for (var k = row - 1; k >= Math.Max(0, row - Looked); k--)
        {
            Budget.Spend();
            if (SegmentIndex.Foot(at, rows[k].Outer, rows[k].Inner).DistanceTo(at) < apart)
            {
                return false;
            }
        }
        return true;
    }

    /// <summary>The same offset counted from the other side.</summary>
    private static double Rest(double length, double first) =>
        (((length - first) % StitchLength) + StitchLength) % StitchLength;
}
