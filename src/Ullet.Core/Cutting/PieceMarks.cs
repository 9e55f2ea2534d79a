using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using NetTopologySuite.Index.Strtree;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Point = Ullet.Core.Geometry.Point;

namespace Ullet.Core.Cutting;

/// <summary>Draws marks on cut shapes: a centre cross with an arrow to the top, and ticks where edges meet.</summary>
public static class PieceMarks
{
    /// <summary>Half the length of a cross's arms, mm; shorter on small pieces.</summary>
    private const double Arm = 5;

    /// <summary>Length of a tick from the edge inwards, mm.</summary>
    private const double Tick = 3;

    /// <summary>Arms shorter than this are not drawn, mm.</summary>
    private const double LeastArm = 1.2;

    /// <summary>The shapes with the marks that their cloths ask for.</summary>
    /// <param name="shapes">All shapes of a project, from the bottom of the stack.</param>
    /// <param name="settings">The project's cut settings.</param>
    public static ImmutableArray<CutShape> Marked(ImmutableArray<CutShape> shapes, CutSettings settings)
    {
        var ticks = shapes.Any(shape => settings.Of(shape.ClothId).Marks.Matches) ? Meetings(shapes) : [];
        return
        [
            .. shapes.Select(shape =>
            {
                var marks = settings.Of(shape.ClothId).Marks;
                if (marks is { Centres: false, Matches: false })
                {
                    return shape;
                }
                return shape with
                {
                    Lines =
                    [
                        .. shape.Lines,
                        .. marks.Centres ? Cross(shape) : [],
                        .. marks.Matches && ticks.TryGetValue(shape.Key, out var places) ? Ticks(shape, places) : [],
                    ],
                };
            }),
        ];
    }

    /// <summary>A cross at the middle of a shape's box where that lies well inside it, at its deepest place otherwise; an arrow
    /// head at its upper arm.</summary>
    public static IEnumerable<MarkLine> Cross(CutShape shape)
    {
        var regions = shape.Outline.Flatten(0.05);
        var (at, arm) = MiddleOf(shape.Bounds().Centre, regions);
        if (arm < LeastArm)
        {
            yield break;
        }
        yield return Line("centre", at + new Point(-arm, 0), at + new Point(arm, 0));
        yield return Line("centre", at + new Point(0, arm), at + new Point(0, -arm));
        var head = arm * 0.35;
        yield return new MarkLine(
            CutRole.Draw,
            "top",
            [
                Curve.Line(at + new Point(-head, head - arm), at + new Point(0, -arm)),
                Curve.Line(at + new Point(0, -arm), at + new Point(head, head - arm)),
            ]
        );
    }

    /// <summary>Where a cross goes, and how long its arms may be, mm.</summary>
    internal static (Point At, double Arm) MiddleOf(Point middle, ImmutableArray<Region> regions)
    {
        var room = new AreaIndex(regions).Holds(middle)
            ? RegionOverlay.DistanceToRings(regions, middle) - 0.5
            : double.NegativeInfinity;
        var (deepest, radius) = DeepestPlace.Of(regions);
        // Near an edge it would be no middle: then the cross lies where most is cut round it.
        var (at, free) = room >= radius / 2 ? (middle, room) : (deepest, radius - 0.5);
        return (at, Math.Min(Arm, free));
    }

    /// <summary>Where edges of two pieces cross on the wall, by the key of each of the two. Templates are trimmed afterwards and layers
    /// are sewn in: their edges meet nothing.</summary>
    private static Dictionary<string, List<Point>> Meetings(ImmutableArray<CutShape> shapes)
    {
        var tree = new STRtree<int>();
        var lines = shapes.Select(shape => PlaneGeometry.Lines(shape.Outline)).ToList();
        for (var i = 0; i < lines.Count; i++)
        {
            if (shapes[i].Kind == CutKind.Piece)
            {
                tree.Insert(lines[i].EnvelopeInternal, i);
            }
        }
        var found = new Dictionary<string, List<Point>>(StringComparer.Ordinal);
        for (var i = 0; i < lines.Count; i++)
        {
            foreach (var j in tree.Query(lines[i].EnvelopeInternal).Order().Where(_ => shapes[i].Kind == CutKind.Piece))
            {
                Budget.Spend();
                foreach (var at in j > i ? Crossings(lines[i], lines[j]) : [])
                {
                    List(shapes[i].Key).Add(at);
                    List(shapes[j].Key).Add(at);
                }
            }
        }
        return found;

        List<Point> List(string key) => found.TryGetValue(key, out var list) ? list : found[key] = [];
    }

    private static IEnumerable<Point> Crossings(
        NetTopologySuite.Geometries.Geometry first,
        NetTopologySuite.Geometries.Geometry second
    )
    {
        LibraryWork.Overlay(first, second);
        var meet = first.Intersection(second);
        for (var i = 0; i < meet.NumGeometries; i++)
        {
            // Edges that run along each other meet at the ends of what they share.
            var part = meet.GetGeometryN(i);
            foreach (
                var c in part is LineString { IsEmpty: false } shared ? [shared[0], shared[^1]]
                : part.IsEmpty ? []
                : part.Coordinates
            )
            {
                Budget.Spend();
                yield return new Point(c.X, c.Y);
            }
        }
    }

    private static IEnumerable<MarkLine> Ticks(CutShape shape, List<Point> places)
    {
        var rings = shape.Outline.Flatten(0.02).SelectMany(region => region.Rings).ToList();
        var edges = new SegmentIndex(rings);
        var area = new AreaIndex(shape.Outline.Flatten(0.02));
        foreach (var place in places)
        {
            if (edges.Nearest(place, 40) is not { } foot || InwardsAt(foot, rings, area) is not { } inwards)
            {
                continue;
            }
            yield return Line("match", foot, foot + (inwards * Tick));
        }
    }

    /// <summary>Across the edge to the inside at a place on it; null where neither side is inside far enough.</summary>
    private static Point? InwardsAt(Point foot, List<Ring> rings, AreaIndex area)
    {
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                Budget.Spend();
                var (a, b) = (ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]);
                if (SegmentIndex.Foot(foot, a, b).DistanceTo(foot) > 1e-6)
                {
                    continue;
                }
                var across = (b - a).Unit().Outward();
                return area.Holds(foot + (across * Tick)) ? across
                    : area.Holds(foot - (across * Tick)) ? across * -1
                    : null;
            }
        }
        return null;
    }

    private static MarkLine Line(string name, Point from, Point to) => new(CutRole.Draw, name, [Curve.Line(from, to)]);
}
