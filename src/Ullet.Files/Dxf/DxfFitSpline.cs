using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Dxf;

/// <summary>A SPLINE entity that is given by the points it goes through, and by no others.</summary>
/// <remarks>The smooth line through them whose bend does not jump (a natural cubic spline over the lengths of the chords; de Boor, "A
/// Practical Guide to Splines", chapter 4). Where the entity gives the ways at its ends, they are kept.</remarks>
internal static class DxfFitSpline
{
    /// <summary>The line through points; null for fewer than two.</summary>
    /// <param name="points">The points, none twice in a row.</param>
    /// <param name="startWay">The way in which it leaves the first point, or null.</param>
    /// <param name="endWay">The way in which it comes to the last point, or null.</param>
    internal static ImmutableArray<Curve>? Through(IReadOnlyList<Point> points, Point? startWay, Point? endWay)
    {
        if (points.Count < 2)
        {
            return null;
        }
        var chords = points.Zip(points.Skip(1), (from, to) => from.DistanceTo(to)).ToArray();
        var ways = Ways(points, chords, startWay, endWay);
        var curves = ImmutableArray.CreateBuilder<Curve>(chords.Length);
        for (var i = 0; i < chords.Length; i++)
        {
            Budget.Spend();
            var third = chords[i] / 3;
            curves.Add(
                Curve.Cubic(
                    points[i],
                    points[i] + (ways[i] * third),
                    points[i + 1] - (ways[i + 1] * third),
                    points[i + 1]
                )
            );
        }
        return curves.MoveToImmutable();
    }

    /// <summary>The ways at the points for which the second derivative goes on without a jump: a system of three bands, swept once.</summary>
    private static Point[] Ways(IReadOnlyList<Point> points, double[] chords, Point? startWay, Point? endWay)
    {
        var last = points.Count - 1;
        var (upper, right) = (new double[last + 1], new Point[last + 1]);
        (upper[0], right[0]) = startWay is { } start
            ? (0, start.Unit())
            : (0.5, (points[1] - points[0]) * (1.5 / chords[0]));
        for (var i = 1; i < last; i++)
        {
            var (before, after) = (chords[i - 1], chords[i]);
            var sum =
                ((points[i] - points[i - 1]) * (3 * after / before))
                + ((points[i + 1] - points[i]) * (3 * before / after));
            var pivot = (2 * (before + after)) - (after * upper[i - 1]);
            upper[i] = before / pivot;
            right[i] = (sum - (right[i - 1] * after)) * (1 / pivot);
        }
        right[last] = endWay is { } end
            ? end.Unit()
            : (((points[last] - points[last - 1]) * (3 / chords[last - 1])) - right[last - 1])
                * (1 / (2 - upper[last - 1]));
        for (var i = last - 1; i >= 0; i--)
        {
            right[i] -= right[i + 1] * upper[i];
        }
        return right;
    }
}
