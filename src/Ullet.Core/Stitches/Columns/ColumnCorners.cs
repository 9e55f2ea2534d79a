using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Divides columns where they go round a sharp corner: one part runs out to the outline's corner, the other ends under it.</summary>
internal static class ColumnCorners
{
    /// <summary>Rungs that turn by more than this about one place go round a corner, degrees.</summary>
    private const double Sharp = 48;

    /// <summary>The inner side goes on by less than this share of the width while they turn.</summary>
    private const double Still = 0.3;

    /// <summary>The outer side has a corner when its chord leaves so deep a rest, over the width.</summary>
    private const double CornerDepth = 0.13;

    /// <summary>The column, or its parts with a corner between each two.</summary>
    internal static IEnumerable<MeshColumn> Split(ColumnMesh mesh, MeshColumn column)
    {
        if (Find(mesh, column) is not { } corner)
        {
            return [column];
        }
        var node = new MeshNode();
        var (first, last) = corner;
        if (column.IsClosed)
        {
            return Split(mesh, Opened(mesh, column, node, first, last));
        }
        var isBefore = Weight(mesh, column, first, -1) >= Weight(mesh, column, last, 1);
        var before = new MeshColumn { Start = column.Start };
        var after = new MeshColumn { End = column.End };
        before.Rungs.AddRange(column.Rungs[..(first + 1)]);
        before.Groups.AddRange(column.Groups[..(first + 1)]);
        after.Rungs.AddRange(column.Rungs[last..]);
        after.Groups.AddRange(column.Groups[(last + 1)..]);
        List<int> between = [.. column.Groups[(first + 1)..(last + 1)].SelectMany(group => group)];
        before.Groups.Add(isBefore ? between : []);
        after.Groups.Insert(0, isBefore ? [] : between);
        foreach (var (passed, rung) in column.Passed)
        {
            var isFirst = rung <= first || (rung < last && isBefore);
            (isFirst ? before : after).Passed.Add(
                (passed, isFirst ? Math.Min(rung, first + 1) : Math.Max(0, rung - last))
            );
        }
        if (isBefore)
        {
            (before.End, after.Start) = (null, node);
            before.Passed.Add((node, before.Rungs.Count));
        }
        else
        {
            (before.End, after.Start) = (node, null);
            after.Passed.Insert(0, (node, 0));
        }
        return Split(mesh, before).Concat(Split(mesh, after));
    }

    /// <summary>A ring cut at a corner.</summary>
    private static MeshColumn Opened(ColumnMesh mesh, MeshColumn ring, MeshNode node, int first, int last)
    {
        var count = ring.Rungs.Count;
        var inside = (last - first + count) % count;
        var isBefore = Weight(mesh, ring, first, -1) >= Weight(mesh, ring, last, 1);
        var open = new MeshColumn { Start = isBefore ? node : null, End = isBefore ? null : node };
        for (var k = 0; k <= count - inside; k++)
        {
            open.Rungs.Add(ring.Rungs[(last + k) % count]);
        }
        List<int> between = [];
        for (var k = 1; k <= inside; k++)
        {
            between.AddRange(ring.Groups[(first + k) % count]);
        }
        open.Groups.Add(isBefore ? [] : between);
        for (var k = 1; k <= count - inside; k++)
        {
            open.Groups.Add(ring.Groups[(last + k) % count]);
        }
        open.Groups.Add(isBefore ? between : []);
        foreach (var (passed, rung) in ring.Passed)
        {
            var at = (rung - last + count) % count;
            open.Passed.Add((passed, Math.Min(at, open.Rungs.Count)));
        }
        open.Passed.Insert(isBefore ? open.Passed.Count : 0, (node, isBefore ? open.Rungs.Count : 0));
        return open;
    }

    /// <summary>The first rung of a corner and its last, or null.</summary>
    private static (int First, int Last)? Find(ColumnMesh mesh, MeshColumn column)
    {
        var sides = ColumnSides.Of(mesh, column);
        var count = sides.Count;
        for (var i = 0; i < count; i++)
        {
            foreach (var isLeft in (ReadOnlySpan<bool>)[true, false])
            {
                if (From(mesh, column, sides, i, isLeft) is { } last)
                {
                    return (i, last);
                }
            }
        }
        return null;
    }

    private static int? From(
        ColumnMesh mesh,
        MeshColumn column,
        List<(int Left, int Right)> sides,
        int first,
        bool isLeft
    )
    {
        Point Inner(int i) => mesh.Points[isLeft ? sides[i].Left : sides[i].Right];
        Point Outer(int i) => mesh.Points[isLeft ? sides[i].Right : sides[i].Left];
        var width = Inner(first).DistanceTo(Outer(first));
        var from = Outer(first) - Inner(first);
        var hasCorner = false;
        var (turned, best) = (0.0, -1);
        for (var step = 1; step < sides.Count; step++)
        {
            Budget.Spend();
            var i = first + step;
            if (i >= sides.Count)
            {
                if (!column.IsClosed)
                {
                    break;
                }
                i -= sides.Count;
            }
            if (Inner(i).DistanceTo(Inner(first)) > Still * width)
            {
                break;
            }
            var before = (i + sides.Count - 1) % sides.Count;
            hasCorner |= Depth(mesh, column.Groups[i], Outer(before), Outer(i), Inner(i)) > CornerDepth * width;
            var turn = Math.Abs(Point.Turn(from, Outer(i) - Inner(i)));
            if (turn > turned + 0.5)
            {
                (turned, best) = (turn, i);
            }
        }
        return hasCorner && turned > Sharp ? best : null;
    }

    /// <summary>How deep a group of triangles goes beyond the chord between two rungs' outer ends, mm.</summary>
    private static double Depth(ColumnMesh mesh, List<int> group, Point from, Point to, Point inner)
    {
        var along = (to - from).Unit();
        if (along == Point.Zero)
        {
            return 0;
        }
        var side = Math.Sign(Point.Cross(along, inner - from));
        var deepest = 0.0;
        foreach (var triangle in group)
        {
            Budget.Spend();
            for (var k = 0; k < 3; k++)
            {
                var at = mesh.Points[mesh.Corners[(3 * triangle) + k]];
                deepest = Math.Max(deepest, -side * Point.Cross(along, at - from));
            }
        }
        return deepest;
    }

    /// <summary>How much the part on one side of a corner asks to run out to it.</summary>
    private static double Weight(ColumnMesh mesh, MeshColumn column, int rung, int way)
    {
        var (count, along, width) = (column.Rungs.Count, 0.0, mesh.Length(column.Rungs[rung]));
        var (mouth, start) = (width, mesh.Middle(column.Rungs[rung]));
        var at = start;
        for (var step = 1; step < count && along < 1.5 * mouth; step++)
        {
            Budget.Spend();
            var i = rung + (way * step);
            if (!column.IsClosed && (i < 0 || i >= count))
            {
                break;
            }
            var next = column.Rungs[(i + count) % count];
            width = Math.Min(width, mesh.Length(next));
            along += mesh.Middle(next).DistanceTo(at);
            at = mesh.Middle(next);
        }
        var upright = Math.Abs((at - start).Unit().Y);
        return width * (1 + (0.3 * upright)) * Math.Min(1, 0.2 + (along / Math.Max(1e-9, mouth)));
    }
}
