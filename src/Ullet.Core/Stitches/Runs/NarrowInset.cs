using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The line at a distance inside the edges of an outline that is narrow in places: there it gives way to the middle line of
/// what is narrow, so that every edge is held.</summary>
/// <remarks>Law, tested in InsetLineTests: every place of an edge has the line within the distance, or within a corner's own reach
/// of it.</remarks>
internal static class NarrowInset
{
    /// <summary>A corner whose mitre lies farther from it than so many times the distance is sharp: the line goes on into it.</summary>
    internal const double MitreLimit = 2.05;

    /// <summary>The line for every edge.</summary>
    /// <param name="regions">The outline, mm.</param>
    /// <param name="distance">Inwards of the material, over 0, mm.</param>
    internal static IEnumerable<Ring> Of(ImmutableArray<Region> regions, double distance)
    {
        var rings = regions
            .SelectMany(region => region.Rings)
            .Where(ring => ring.Points.Length >= 3 && !CoverEdges.IsSpeck(ring))
            .Select(SmallSteps.Removed)
            .ToList();
        var sides = new SatinSides(rings, new CoverBand(0, distance));
        for (var number = 0; number < rings.Count; number++)
        {
            var line = Line(sides.Legs(number, StartPoint.Of(rings[number])), distance);
            if (line.Points.Length >= 3)
            {
                yield return line;
            }
        }
    }

    private static Ring Line(List<SatinLeg> legs, double distance)
    {
        var points = new List<Point>();
        for (var i = 0; i < legs.Count; i++)
        {
            var leg = legs[i];
            var isRound = leg.Feet[0].DistanceTo(leg.Feet[^1]) <= Tolerance.Same && legs.Count == 1;
            var body = leg.Body;
            var (first, last) = (0, body.Length - 1);
            if (!isRound)
            {
                var before = legs[(i + legs.Count - 1) % legs.Count];
                var after = legs[(i + 1) % legs.Count];
                var (atStart, atEnd) = (HalfSine(before, leg), HalfSine(leg, after));
                while (first <= last && IsInCorner(body[first].Inner, body[first], leg.Feet[0], atStart, distance))
                {
                    first++;
                }
                while (last >= first && IsInCorner(body[last].Inner, body[last], leg.Feet[^1], atEnd, distance))
                {
                    last--;
                }
                if (atStart is null)
                {
                    AddRound(leg, points);
                }
            }
            for (var k = first; k <= last; k++)
            {
                Budget.Spend();
                points.Add(body[k].Inner);
            }
        }
        return Ring.Of(points);
    }

    /// <summary>Round a corner that points inwards the line keeps its distance.</summary>
    private static void AddRound(SatinLeg leg, List<Point> points)
    {
        for (var k = 0; k < leg.First; k++)
        {
            points.Add(leg.Places[k].Inner);
        }
    }

    /// <summary>The sine of half the corner's angle inside the material; null where it points inwards.</summary>
    private static double? HalfSine(SatinLeg before, SatinLeg after)
    {
        var turn = Point.Turn(before.Feet[^1] - before.Feet[^2], after.Feet[1] - after.Feet[0]);
        return turn <= 0 ? null : Math.Sin((180 - turn) / 2 * Math.PI / 180);
    }

    /// <summary>True on the way into a corner: the two edges that meet there are the nearest ones, and the corner is held from
    /// farther out.</summary>
    private static bool IsInCorner(Point at, in StrokePlace place, Point corner, double? halfSine, double distance)
    {
        if (halfSine is not { } sine || !place.IsClipped)
        {
            return false;
        }
        var (reach, away) = (place.Length, at.DistanceTo(corner));
        var most = 1 / sine <= MitreLimit ? MitreLimit * distance : HeldEdge.Within(distance);
        return away <= most && Math.Abs(reach - (away * sine)) < 0.05 + (0.03 * away);
    }
}
