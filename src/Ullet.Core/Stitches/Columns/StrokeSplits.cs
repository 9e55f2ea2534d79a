using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Splits long strokes, each at another third of its length than the one before, so that no line of holes shows.</summary>
internal sealed class StrokeSplits
{
    private static readonly double[] Shares = [1.0 / 3, 2.0 / 3, 0.5];

    private int _next;

    internal ImmutableArray<Point> Of(ImmutableArray<Point> points)
    {
        if (!IsAnyLong(points))
        {
            return points;
        }
        var split = ImmutableArray.CreateBuilder<Point>(2 * points.Length);
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            if (i > 0 && points[i].DistanceTo(points[i - 1]) is var length && length > StitchDefaults.LongestStitch)
            {
                Add(split, points[i - 1], points[i], length);
            }
            split.Add(points[i]);
        }
        return split.ToImmutable();
    }

    private void Add(ImmutableArray<Point>.Builder split, Point from, Point to, double length)
    {
        var share = Shares[_next++ % Shares.Length];
        if (Math.Max(share, 1 - share) * length <= StitchDefaults.LongestStitch)
        {
            split.Add(Point.Lerp(from, to, share));
            return;
        }
        // Longer than one split allows: as many pieces as needed, moved along by a third of a piece from stroke to stroke.
        var pieces = (int)Math.Ceiling(length / (StitchDefaults.LongestStitch * 2 / 3));
        for (var k = 0; k < pieces; k++)
        {
            var at = (k + share) / pieces;
            split.Add(Point.Lerp(from, to, at));
        }
    }

    private static bool IsAnyLong(ImmutableArray<Point> points)
    {
        for (var i = 1; i < points.Length; i++)
        {
            if (points[i].DistanceTo(points[i - 1]) > StitchDefaults.LongestStitch)
            {
                return true;
            }
        }
        return false;
    }
}
