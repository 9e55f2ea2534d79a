using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The line at a distance inside the edges of an outline.</summary>
/// <remarks>Each leg between corners is moved by itself, and legs are cut where they meet; when every point of the result keeps
/// its distance from every edge, that is the line. Else edges are in each other's way, and the whole outline is moved, which
/// costs many times as much. Where that leaves edges free because the piece is narrower than twice the distance, the line runs
/// along its middle there.</remarks>
internal static class InsetLine
{
    /// <summary>A ring shorter than this can't be sewn, mm.</summary>
    private const double Shortest = 1;

    /// <summary>A part is held by a line at least so long, mm.</summary>
    private const double LeastLine = 6;

    /// <summary>A line lies no nearer to the edge than half of this, mm.</summary>
    private const double Least = 0.4;

    /// <summary>Angle between points of a round corner, degrees: 0.02 mm of chord error at 6 mm.</summary>
    private const double ArcStep = 9;

    /// <summary>How far from a corner legs may cut each other, as a multiple of the distance.</summary>
    private const double CutWithin = 12;

    /// <summary>By how much a point of the line may come nearer to an edge than wanted: the chords of curves do, mm.</summary>
    private const double Slack = 0.02;

    /// <param name="regions">The outline, mm.</param>
    /// <param name="distance">Inwards of the material when over 0, mm.</param>
    internal static ImmutableArray<Ring> Of(ImmutableArray<Region> regions, double distance)
    {
        if (Math.Abs(distance) < Tolerance.Quantum)
        {
            return [.. regions.SelectMany(region => region.Rings)];
        }
        return distance < 0
            ? [.. RegionOffset.By(regions, -distance).SelectMany(region => region.Rings)]
            : [.. regions.SelectMany(region => Inside([region], distance))];
    }

    /// <summary>The line inside a part. What is hardly wider than twice the distance all round has no middle line to speak of: there it
    /// lies nearer to the edge.</summary>
    private static IEnumerable<Ring> Inside(ImmutableArray<Region> part, double distance)
    {
        var line = Whole(part, distance).Where(ring => ring.Length >= Shortest).ToList();
        return line.Sum(ring => ring.Length) < LeastLine && distance > Least ? Inside(part, distance / 2) : line;
    }

    private static ImmutableArray<Ring> Whole(ImmutableArray<Region> part, double distance)
    {
        if (Moved(part, distance) is { } moved)
        {
            return moved;
        }
        ImmutableArray<Ring> line = [.. RegionOffset.By(part, -distance).SelectMany(region => region.Rings)];
        return IsHeld(part, line, distance) ? line : [.. NarrowInset.Of(part, distance)];
    }

    private static bool IsHeld(ImmutableArray<Region> regions, ImmutableArray<Ring> line, double distance) =>
        HeldEdge
            .LongestFree(
                regions
                    .SelectMany(region => region.Rings)
                    .Where(ring => !CoverEdges.IsSpeck(ring))
                    .Select(ring => (IReadOnlyList<Point>)[.. ring.Points, ring.Points[0]]),
                line,
                HeldEdge.Within(distance)
            )
            .Length
        <= HeldEdge.Free / 2;

    /// <summary>The line leg by leg; null where edges are in each other's way.</summary>
    internal static ImmutableArray<Ring>? Moved(ImmutableArray<Region> regions, double distance)
    {
        var rings = regions.SelectMany(region => region.Rings).Where(ring => ring.Points.Length >= 3).ToList();
        var lines = ImmutableArray.CreateBuilder<Ring>(rings.Count);
        foreach (var ring in rings)
        {
            if (Moved(ring, distance) is not { } line)
            {
                return null;
            }
            lines.Add(line);
        }
        var edges = new SegmentIndex(rings, Math.Max(1, distance));
        return lines.All(line => KeepsItsDistance(line, edges, distance)) ? lines.ToImmutable() : null;
    }

    private static Ring? Moved(Ring ring, double distance)
    {
        var corners = ring.Corners();
        if (corners.IsEmpty)
        {
            return Ring.Of(Leg([.. ring.Points, ring.Points[0]], distance, isClosed: true));
        }
        var legs = corners
            .Select(
                (corner, i) => Leg(Between(ring, corner, corners[(i + 1) % corners.Length]), distance, isClosed: false)
            )
            .ToList();
        var corner = new List<Point>[legs.Count];
        for (var i = 0; i < legs.Count; i++)
        {
            Budget.Spend();
            // The corner at which a leg begins; the leg before ends there.
            var (before, at) = (legs[(i + legs.Count - 1) % legs.Count], ring.Points[corners[i]]);
            corner[i] = [];
            if (ring.TurnAt(corners[i]) < 0)
            {
                corner[i].AddRange(Arc(at, before[^1], legs[i][0]));
            }
            else if (
                !Cut(before, legs[i], at, CutWithin * distance)
                || legs[i][0].DistanceTo(at) > NarrowInset.MitreLimit * distance
            )
            {
                return null;
            }
        }
        return Ring.Of([.. legs.Zip(corner).SelectMany(pair => pair.Second.Concat(pair.First))]);
    }

    private static Point[] Between(Ring ring, int from, int to)
    {
        var count = ring.Points.Length;
        var line = new Point[(to > from ? to - from : to - from + count) + 1];
        for (var i = 0; i < line.Length; i++)
        {
            Budget.Spend();
            line[i] = ring.Points[(from + i) % count];
        }
        return line;
    }

    /// <summary>A leg moved inwards; at each vertex both edges keep the distance.</summary>
    private static List<Point> Leg(Point[] line, double distance, bool isClosed)
    {
        var last = line.Length - 1;
        var moved = new List<Point>(line.Length);
        var before = isClosed ? (line[0] - line[last - 1]).Unit() : Point.Zero;
        for (var i = 0; i <= last; i++)
        {
            Budget.Spend();
            var after =
                i < last ? (line[i + 1] - line[i]).Unit()
                : isClosed ? (line[1] - line[0]).Unit()
                : Point.Zero;
            var outward = (before + after).Unit().Outward();
            var slant = before == Point.Zero || after == Point.Zero ? 1 : Point.Dot(outward, after.Outward());
            moved.Add(line[i] - (outward * (distance / Math.Max(slant, 0.5))));
            before = after;
        }
        return moved;
    }

    /// <summary>Cuts the end of one leg and the start of the next where they meet; false when they do not near the corner.</summary>
    private static bool Cut(List<Point> leg, List<Point> next, Point corner, double within)
    {
        for (var i = leg.Count - 2; i >= 0 && leg[i + 1].DistanceTo(corner) <= within; i--)
        {
            Budget.Spend();
            for (var k = 0; k + 1 < next.Count && next[k].DistanceTo(corner) <= within; k++)
            {
                if (SegmentIndex.Meeting(leg[i], leg[i + 1], next[k], next[k + 1]) is { } meets)
                {
                    leg.RemoveRange(i + 1, leg.Count - i - 1);
                    leg.Add(meets);
                    next.RemoveRange(0, k + 1);
                    next.Insert(0, meets);
                    return true;
                }
            }
        }
        return false;
    }

    /// <summary>The points between two on a circle round a corner.</summary>
    private static IEnumerable<Point> Arc(Point centre, Point start, Point end)
    {
        var (from, to) = (start - centre, end - centre);
        var turn = Point.Turn(from, to);
        var steps = (int)Math.Ceiling(Math.Abs(turn) / ArcStep);
        for (var i = 1; i < steps; i++)
        {
            var (sine, cosine) = Math.SinCos(turn * i / steps * Math.PI / 180);
            yield return centre + new Point((from.X * cosine) - (from.Y * sine), (from.X * sine) + (from.Y * cosine));
        }
    }

    private static bool KeepsItsDistance(Ring line, SegmentIndex edges, double distance)
    {
        var points = line.Points;
        if (points.Length < 3)
        {
            return false;
        }
        for (var i = 0; i < points.Length; i++)
        {
            var (here, next) = (points[i], points[i + 1 < points.Length ? i + 1 : 0]);
            var pieces = Math.Max(1, (int)Math.Ceiling(here.DistanceTo(next) / distance));
            for (var k = 0; k < pieces; k++)
            {
                if (edges.Nearest(Point.Lerp(here, next, k / (double)pieces), distance - Slack) is not null)
                {
                    return false;
                }
            }
        }
        return true;
    }
}
