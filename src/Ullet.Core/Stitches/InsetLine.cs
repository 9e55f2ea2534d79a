using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The line at a distance inside the edges of an outline.</summary>
/// <remarks>Where nothing but corners is in the way it is found stroke by stroke (see <see cref="SatinSides"/>), which costs a
/// tenth of moving the whole outline; else the outline is moved.</remarks>
internal static class InsetLine
{
    /// <summary>Angle between points of a round corner, degrees: 0.02 mm of chord error at 6 mm.</summary>
    private const double ArcStep = 9;

    /// <summary>At a corner the two sides' lines meet no farther than this many distances from it.</summary>
    private const double MitreLimit = 12;

    /// <summary>At a corner at most this much of a line is added or taken away, mm.</summary>
    private const double MostTrimmed = 1;

    /// <param name="regions">The outline, mm.</param>
    /// <param name="distance">Inwards of the material when over 0, mm.</param>
    internal static ImmutableArray<Ring> Of(ImmutableArray<Region> regions, double distance)
    {
        if (Math.Abs(distance) < Tolerance.Quantum)
        {
            return [.. regions.SelectMany(region => region.Rings)];
        }
        return (distance > 0 ? Walked(regions, distance) : null)
            ?? [.. RegionOffset.By(regions, -distance).SelectMany(region => region.Rings)];
    }

    /// <summary>The line found stroke by stroke; null where edges are in each other's way.</summary>
    internal static ImmutableArray<Ring>? Walked(ImmutableArray<Region> regions, double distance)
    {
        var rings = regions.SelectMany(region => region.Rings).Where(ring => ring.Points.Length >= 3).ToList();
        var sides = new SatinSides(rings, new CoverBand(0, distance));
        var lines = ImmutableArray.CreateBuilder<Ring>(rings.Count);
        for (var number = 0; number < rings.Count; number++)
        {
            var points = new List<Point>(rings[number].Points.Length);
            var legs = sides.Legs(number, StartPoint.Of(rings[number]));
            for (var i = 0; i < legs.Count; i++)
            {
                if (!AddLeg(legs[i], legs.Count == 1 && rings[number].Corners().IsEmpty, points))
                {
                    return null;
                }
                var next = legs[(i + 1) % legs.Count];
                if (!rings[number].Corners().IsEmpty && !AddCorner(legs[i], next, distance, points))
                {
                    return null;
                }
            }
            TrimStart(points, rings[number].Corners().IsEmpty);
            lines.Add(Ring.Of(points));
        }
        return lines.ToImmutable();
    }

    /// <summary>Takes away what the first leg has before the place where the last one meets it.</summary>
    private static void TrimStart(List<Point> points, bool isSmooth)
    {
        var meets = points[^1];
        while (
            !isSmooth
            && points.Count > 4
            && points[0].DistanceTo(meets) < MostTrimmed
            && Point.Dot(points[0] - meets, points[1] - points[0]) < 0
        )
        {
            points.RemoveAt(0);
        }
    }

    /// <summary>The inner ends of a leg's free places; false when a place amid them is clipped.</summary>
    private static bool AddLeg(SatinLeg leg, bool isSmooth, List<Point> points)
    {
        var body = leg.Body;
        var (first, last) = Free(body);
        if (first > last || (isSmooth && (first > 0 || last < body.Length - 1)))
        {
            return false;
        }
        var meets = points.Count > 0 ? points[^1] : (Point?)null;
        for (var i = first; i <= last; i++)
        {
            if (body[i].IsClipped)
            {
                return false;
            }
            var isBefore =
                meets is { } begun
                && body[i].Inner.DistanceTo(begun) < MostTrimmed
                && Point.Dot(body[i].Inner - begun, Direction(body[i])) < 0;
            if (!isBefore)
            {
                points.Add(body[i].Inner);
            }
        }
        return true;
    }

    private static (int First, int Last) Free(ReadOnlySpan<StrokePlace> body)
    {
        var (first, last) = (0, body.Length - 1);
        while (first <= last && body[first].IsClipped)
        {
            first++;
        }
        while (last >= first && body[last].IsClipped)
        {
            last--;
        }
        return (first, last);
    }

    /// <summary>Round a corner that turns outwards an arc, at one that turns inwards the place where both lines meet.</summary>
    private static bool AddCorner(SatinLeg leg, SatinLeg next, double distance, List<Point> points)
    {
        var corner = next.Feet[0];
        var before = leg.Body;
        var after = next.Body;
        if (Free(after).First > Free(after).Last)
        {
            return false;
        }
        var (last, first) = (before[Free(before).Last].Inner, after[Free(after).First].Inner);
        if (Point.Turn(corner - leg.Feet[^2], next.Feet[1] - corner) < 0)
        {
            var (from, to) = (last - corner, first - corner);
            var turn = Point.Turn(from, to);
            var steps = (int)Math.Ceiling(Math.Abs(turn) / ArcStep);
            if (Math.Abs(from.Length - distance) > 0.01 || Math.Abs(to.Length - distance) > 0.01)
            {
                return false;
            }
            for (var i = 1; i < steps; i++)
            {
                var (sine, cosine) = Math.SinCos(turn * i / steps * Math.PI / 180);
                points.Add(
                    corner + new Point((from.X * cosine) - (from.Y * sine), (from.X * sine) + (from.Y * cosine))
                );
            }
            return true;
        }
        var (into, onward) = (Direction(before[Free(before).Last]), Direction(after[Free(after).First]));
        var cross = Point.Cross(into, onward);
        if (Math.Abs(cross) < 1e-6)
        {
            return false;
        }
        var ahead = Point.Cross(first - last, onward) / cross;
        var meets = last + (into * ahead);
        if (Math.Abs(ahead) > MostTrimmed || meets.DistanceTo(corner) > MitreLimit * distance)
        {
            return false;
        }
        // A clip is seen a little late: what was sewn beyond the place where the lines meet goes.
        while (
            points.Count > 0 && Point.Dot(points[^1] - meets, into) > 0 && points[^1].DistanceTo(meets) < MostTrimmed
        )
        {
            points.RemoveAt(points.Count - 1);
        }
        points.Add(meets);
        return true;
    }

    /// <summary>The edge's direction at a place: outwards turned a quarter clockwise on screen.</summary>
    private static Point Direction(in StrokePlace place)
    {
        var outward = (place.Outer - place.Inner).Unit();
        return new Point(-outward.Y, outward.X);
    }
}
