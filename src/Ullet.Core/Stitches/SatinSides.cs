using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>How far a cover's band reaches from the outline, compensation included, mm.</summary>
internal readonly record struct CoverBand(double Outside, double Inside);

/// <summary>A place along the edge with the two ends of the stroke that may lie there, mm.</summary>
internal readonly record struct StrokePlace(Point Outer, Point Inner)
{
    internal double Length => Outer.DistanceTo(Inner);
}

/// <summary>One smooth stretch of the edge between corners as closely set stroke places.</summary>
/// <param name="Places">Places in sewing order, corner mitres included.</param>
/// <param name="Narrowest">Where two facing edges leave the band least room, or null.</param>
internal sealed record SatinLeg(IReadOnlyList<StrokePlace> Places, NarrowPlace? Narrowest);

/// <summary>Finds the two sides of a cover along a ring: every stroke stands across the edge, ends at the band's sides,
/// and is clipped at the medial axis.</summary>
internal sealed class SatinSides(MedialReach reach, CoverBand band)
{
    /// <summary>Distance between stroke places along a leg, mm: a third of the closest spacing; strokes lie between them.</summary>
    private const double Step = 0.1;

    /// <summary>Distance between stroke places beyond a corner, mm, where their ends move fast.</summary>
    private const double CapStep = 0.04;

    /// <summary>Edges that face each other within this cosine (20° between them) make a narrow place; edges that meet in a
    /// corner do not.</summary>
    private const double Facing = 0.985;

    /// <summary>Nearer to a corner than this the band is a mitre, not a narrow place, mm.</summary>
    private const double CornerReach = 0.3;

    /// <summary>The legs of a ring, from its first point round to it.</summary>
    internal List<SatinLeg> Legs(Ring ring)
    {
        var corners = ring.Corners();
        var count = ring.Points.Length;
        var stops = corners.IsEmpty ? [0] : corners;
        var legs = new List<SatinLeg>();
        for (var i = 0; i < stops.Length; i++)
        {
            var from = stops[i];
            var to = i + 1 < stops.Length ? stops[i + 1] : stops[0] + count;
            var points = Enumerable.Range(from, to - from + 1).Select(i => ring.Points[i % count]).ToArray();
            legs.Add(
                corners.IsEmpty
                    ? Leg(points, null, null, closed: true)
                    : Leg(points, ring.TurnAt(from % count), ring.TurnAt(to % count), closed: false)
            );
        }
        // A ring chosen to begin at a corner has that corner first; otherwise the walk began before it.
        return legs;
    }

    /// <summary>The legs of a stretch of a ring that is open at both ends, where its cover ends square.</summary>
    internal List<SatinLeg> Legs(ImmutableArray<Point> stretch)
    {
        double Turn(int i) => Point.Turn(stretch[i] - stretch[i - 1], stretch[i + 1] - stretch[i]);
        var corners = Enumerable
            .Range(1, Math.Max(0, stretch.Length - 2))
            .Where(i => Math.Abs(Turn(i)) > Tolerance.CornerTurn);
        int[] stops = [0, .. corners, stretch.Length - 1];
        return
        [
            .. stops
                .Zip(stops.Skip(1))
                .Select(pair =>
                    Leg(
                        [.. stretch.Skip(pair.First).Take(pair.Second - pair.First + 1)],
                        pair.First == 0 ? null : Turn(pair.First),
                        pair.Second == stretch.Length - 1 ? null : Turn(pair.Second),
                        closed: false
                    )
                ),
        ];
    }

    /// <summary>One leg between corners; a null turn is an open end, or the seam of a ring without corners.</summary>
    private SatinLeg Leg(Point[] points, double? turnAtStart, double? turnAtEnd, bool closed)
    {
        var normals = Normals(points, closed);
        var places = new List<StrokePlace>();
        NarrowPlace? narrowest = null;
        if (turnAtStart is { } first)
        {
            var caps = Cap(points[0], points[1], first, ahead: false);
            caps.Reverse();
            places.AddRange(caps);
        }
        for (var i = 0; i + 1 < points.Length; i++)
        {
            var steps = Math.Max(1, (int)Math.Ceiling(points[i].DistanceTo(points[i + 1]) / Step));
            for (var s = 0; s < steps || (i + 2 == points.Length && s == steps); s++)
            {
                var t = s / (double)steps;
                var foot = Point.Lerp(points[i], points[i + 1], t);
                var normal = Point.Lerp(normals[i], normals[i + 1], t).Unit();
                places.Add(Place(foot, normal, ref narrowest));
            }
        }
        if (turnAtEnd is { } last)
        {
            places.AddRange(Cap(points[^1], points[^2], last, ahead: true));
        }
        return new SatinLeg(places, narrowest);
    }

    private StrokePlace Place(Point foot, Point normal, ref NarrowPlace? narrowest)
    {
        var (outward, _) = reach.Of(foot, normal, band.Outside);
        var (inward, stop) = reach.Of(foot, normal * -1, band.Inside);
        if (inward > CornerReach && stop is { } facing && Point.Dot((facing - foot).Unit(), normal * -1) > Facing)
        {
            var width = outward + inward;
            if (narrowest is null || width < narrowest.Width)
            {
                narrowest = new NarrowPlace(foot, width);
            }
        }
        return new StrokePlace(foot + (normal * outward), foot - (normal * inward));
    }

    /// <summary>The strokes of one leg beyond a corner, parallel to its others: from the bisector, where the other leg's
    /// strokes meet them in a mitre, to the round cap.</summary>
    /// <remarks>At a distance u beyond a corner that turns by θ the bisector lies u / tan(θ/2) off the leg's line, the cap
    /// √(r² − u²); they meet at u = r · sin(θ/2).</remarks>
    private List<StrokePlace> Cap(Point corner, Point neighbour, double turn, bool ahead)
    {
        var places = new List<StrokePlace>();
        var along = (corner - neighbour).Unit();
        var outward = (ahead ? along : along * -1).Outward();
        var convex = turn > 0;
        var side = convex ? outward : outward * -1;
        var radius = convex ? band.Outside : band.Inside;
        var half = Math.Abs(turn) / 2 * Math.PI / 180;
        var farthest = radius * Math.Sin(half);
        for (var u = CapStep; u < farthest; u += CapStep)
        {
            var foot = corner + (along * u);
            var low = foot + (side * (u / Math.Tan(half)));
            var high = reach.ClipBeyondCorner(corner, low, foot + (side * Math.Sqrt((radius * radius) - (u * u))));
            var place = convex ? new StrokePlace(high, low) : new StrokePlace(low, high);
            if (place.Length < StitchDefaults.ShortestStitch)
            {
                break;
            }
            places.Add(place);
        }
        return places;
    }

    private static Point[] Normals(Point[] points, bool closed)
    {
        var last = points.Length - 1;
        var normals = new Point[points.Length];
        for (var i = 0; i <= last; i++)
        {
            var before =
                i > 0 ? points[i] - points[i - 1]
                : closed ? points[0] - points[last - 1]
                : Point.Zero;
            var after =
                i < last ? points[i + 1] - points[i]
                : closed ? points[1] - points[0]
                : Point.Zero;
            normals[i] = (before.Unit().Outward() + after.Unit().Outward()).Unit();
        }
        return normals;
    }
}
