using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Moments;

/// <summary>Where strips of tape go: across the edge of what they hold, and never under the needle while they are there.</summary>
internal static class TapeStrips
{
    /// <summary>Length and width of a strip, mm.</summary>
    private static readonly (double Long, double Wide) Strip = (22, 9);

    /// <summary>Strips stay so far from stitches, mm.</summary>
    internal const double Clear = 2;

    /// <summary>A strip may lie so far out that its end just holds, mm.</summary>
    private static readonly double[] Outwards = [0, 4, 8];

    /// <summary>The strips that hold a layer.</summary>
    /// <param name="area">What it takes, mm.</param>
    /// <param name="place">Where it is held.</param>
    /// <param name="within">The room inside the frame.</param>
    /// <param name="sewn">What is sewn while the tape is there.</param>
    internal static IEnumerable<ImmutableArray<Point>> Of(
        ImmutableArray<Region> area,
        TapePlace place,
        Box within,
        IReadOnlyList<ImmutableArray<Point>> sewn
    )
    {
        var box = Box.Of(area);
        if (box.IsEmpty)
        {
            yield break;
        }
        // What reaches under the frame is held inside it.
        var held = box.Overlap(within);
        var index = new AreaIndex(area);
        // Where no cloth lies it is held at its nearest edge.
        var edges = LineWalk.Edges(area.Select(region => MomentScene.Closed(region.Shell)));
        var middle = (held.IsEmpty ? box : held).Centre;
        foreach (var (at, along) in Places(held.IsEmpty ? box : held, place))
        {
            Budget.Spend();
            var edge = index.Holds(at) ? at : edges.Nearest(at, double.MaxValue) ?? at;
            // Less of it on the cloth where the needle comes near.
            var outwards = Point.Dot(along, edge - middle) < 0 ? along * -1 : along;
            var free = Outwards
                .Select(by => StripAt(edge + (outwards * by), along))
                .Where(strip => !sewn.Any(line => Meets(strip, line)))
                .Take(1);
            foreach (var strip in free)
            {
                yield return strip;
            }
        }
    }

    private static IEnumerable<(Point At, Point Along)> Places(Box box, TapePlace place)
    {
        var (left, right) = (new Point(box.MinX, box.Centre.Y), new Point(box.MaxX, box.Centre.Y));
        var (top, bottom) = (new Point(box.Centre.X, box.MinY), new Point(box.Centre.X, box.MaxY));
        var (across, down) = (new Point(1, 0), new Point(0, 1));
        return place switch
        {
            TapePlace.Corners =>
            [
                .. box.Corners()
                    .Select(corner =>
                        (
                            corner,
                            (corner - box.Centre) is var out_ && out_.X * out_.Y > 0
                                ? new Point(1, 1).Unit()
                                : new Point(1, -1).Unit()
                        )
                    ),
            ],
            TapePlace.Ends => box.Width >= box.Height
                ? [(left, across), (right, across)]
                : [(top, down), (bottom, down)],
            TapePlace.Sides => [(left, across), (right, across), (top, down), (bottom, down)],
            TapePlace.Top =>
            [
                (Point.Lerp(box.Corners()[0], top, 0.5), down),
                (Point.Lerp(top, box.Corners()[1], 0.5), down),
            ],
            TapePlace.Bottom =>
            [
                (Point.Lerp(box.Corners()[3], bottom, 0.5), down),
                (Point.Lerp(bottom, box.Corners()[2], 0.5), down),
            ],
            TapePlace.Left => [(left, across)],
            TapePlace.Right => [(right, across)],
            _ => throw new ArgumentOutOfRangeException(nameof(place), place, "no such place of tape"),
        };
    }

    private static ImmutableArray<Point> StripAt(Point at, Point along)
    {
        var (far, side) = (along * (Strip.Long / 2), along.Outward() * (Strip.Wide / 2));
        return [at - far - side, at + far - side, at + far + side, at - far + side];
    }

    private static bool Meets(ImmutableArray<Point> strip, ImmutableArray<Point> line)
    {
        var box = Box.Of(strip).Grown(Clear);
        if (!box.Overlaps(Box.Of(line)))
        {
            return false;
        }
        ImmutableArray<Region> area = [new Region(Ring.Of(strip), [])];
        return LineWalk
            .Of(line, Clear / 2)
            .Any(place =>
                box.Contains(place)
                && (area[0].Shell.Winding(place) != 0 || RegionOverlay.DistanceToRings(area, place) < Clear)
            );
    }
}
