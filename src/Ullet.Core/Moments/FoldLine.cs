using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>The line along which a layer is folded: where its place before and its place after meet, midway between them.</summary>
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
        // Boxes are folded about an upright or a level line: the edge of the one that lies nearest to the other's.
        if (Math.Abs(moved.Y) >= Math.Abs(moved.X))
        {
            var y = moved.Y > 0 ? now.MinY : now.MaxY;
            var (left, right) = (Math.Max(was.MinX, now.MinX), Math.Min(was.MaxX, now.MaxX));
            return new FoldPart(
                layerId,
                before,
                new Point(left, y),
                new Point(right, y),
                new Point((left + right) / 2, was.Centre.Y),
                new Point((left + right) / 2, now.Centre.Y)
            );
        }
        var x = moved.X > 0 ? now.MinX : now.MaxX;
        var (top, bottom) = (Math.Max(was.MinY, now.MinY), Math.Min(was.MaxY, now.MaxY));
        return new FoldPart(
            layerId,
            before,
            new Point(x, top),
            new Point(x, bottom),
            new Point(was.Centre.X, (top + bottom) / 2),
            new Point(now.Centre.X, (top + bottom) / 2)
        );
    }
}
