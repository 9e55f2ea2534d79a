using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>The line along which a layer is folded: the edge of its place after that lies nearest to its place before.</summary>
internal static class FoldLine
{
    /// <summary>The fold with an arrow over it; null where nothing moves.</summary>
    internal static FoldPart? Of(string layerId, ImmutableArray<Region> before, ImmutableArray<Region> after)
    {
        var (was, now) = (Box.Of(before), Box.Of(after));
        if (was.IsEmpty || now.IsEmpty)
        {
            return null;
        }
        var moved = now.Centre - was.Centre;
        if (moved.Length < 1)
        {
            return null;
        }
        // Boxes are folded about a level or an upright line; an upright one is a level one with both axes exchanged.
        if (Math.Abs(moved.Y) >= Math.Abs(moved.X))
        {
            return Level(layerId, before, was, now, at => at);
        }
        static Point Exchanged(Point at) => new(at.Y, at.X);
        static Box Turned(Box box) => new(box.MinY, box.MinX, box.MaxY, box.MaxX);
        return Level(layerId, before, Turned(was), Turned(now), Exchanged);
    }

    private static FoldPart Level(
        string layerId,
        ImmutableArray<Region> before,
        Box was,
        Box now,
        Func<Point, Point> placed
    )
    {
        var y = now.Centre.Y > was.Centre.Y ? now.MinY : now.MaxY;
        var (left, right) = (Math.Max(was.MinX, now.MinX), Math.Min(was.MaxX, now.MaxX));
        var middle = (left + right) / 2;
        return new FoldPart(
            layerId,
            before,
            placed(new Point(left, y)),
            placed(new Point(right, y)),
            placed(new Point(middle, was.Centre.Y)),
            placed(new Point(middle, now.Centre.Y))
        );
    }
}
