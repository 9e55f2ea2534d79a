using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Hands on what a column's strokes do not reach: to a column that ends beside it, else it becomes a column of its own.</summary>
internal static class ColumnSharing
{
    /// <summary>Smaller rests are left, mm².</summary>
    private const double LeastRest = 0.04;

    /// <summary>Rests of a band that are looked for around nodes.</summary>
    /// <param name="mesh">The region.</param>
    /// <param name="columns">Its columns; what they take changes.</param>
    /// <param name="sewn">The places of a column as it is now.</param>
    /// <returns>The columns whose triangles changed; none when nothing was handed on.</returns>
    internal static List<MeshColumn> HandOn(
        ColumnMesh mesh,
        List<MeshColumn> columns,
        Func<MeshColumn, StrokePlace[]> sewn
    )
    {
        var owner = new int[mesh.Count];
        Array.Fill(owner, -1);
        for (var c = 0; c < columns.Count; c++)
        {
            foreach (var triangle in columns[c].Triangles)
            {
                owner[triangle] = c;
            }
        }
        var reached = new ReachedCells(Box.Of(mesh.Points));
        var missed = new HashSet<int>();
        for (var c = 0; c < columns.Count; c++)
        {
            reached.Begin();
            reached.Add(sewn(columns[c]));
            missed.UnionWith(columns[c].Triangles.Where(triangle => !IsReached(mesh, triangle, reached)));
        }
        var changed = new List<MeshColumn>();
        while (missed.Count > 0)
        {
            Budget.Spend();
            var rest = Connected(mesh, owner, missed);
            missed.ExceptWith(rest);
            if (rest.Sum(mesh.Area) < LeastRest)
            {
                continue;
            }
            var from = columns[owner[rest.First()]];
            changed.Add(from);
            var to = Neighbour(mesh, columns, owner, rest);
            from.Groups.ForEach(group => group.RemoveAll(rest.Contains));
            if (to is null)
            {
                columns.Add(
                    new MeshColumn
                    {
                        Groups =
                        [
                            [.. rest],
                        ],
                        IsRest = true,
                    }
                );
                continue;
            }
            changed.Add(to.Column);
            (to.AtEnd ? to.Column.Groups[^1] : to.Column.Groups[0]).AddRange(rest);
        }
        columns.RemoveAll(column => !column.Triangles.Any());
        return changed;
    }

    /// <summary>The missed triangles of one column that hang together with one of them.</summary>
    private static HashSet<int> Connected(ColumnMesh mesh, int[] owner, HashSet<int> missed)
    {
        var first = missed.First();
        var found = new HashSet<int> { first };
        var open = new Queue<int>([first]);
        while (open.TryDequeue(out var at))
        {
            for (var k = 0; k < 3; k++)
            {
                Budget.Spend();
                var next = mesh.Beside[(3 * at) + k];
                if (next >= 0 && missed.Contains(next) && owner[next] == owner[first] && found.Add(next))
                {
                    open.Enqueue(next);
                }
            }
        }
        return found;
    }

    private static Receiver? Neighbour(ColumnMesh mesh, List<MeshColumn> columns, int[] owner, HashSet<int> rest)
    {
        Receiver? best = null;
        var longest = 0.0;
        foreach (var triangle in rest)
        {
            for (var k = 0; k < 3; k++)
            {
                var other = mesh.Beside[(3 * triangle) + k];
                if (other < 0 || owner[other] < 0 || owner[other] == owner[triangle])
                {
                    continue;
                }
                var (column, edge) = (columns[owner[other]], mesh.Edge(triangle, k));
                var atStart = column.Start is not null && IsEdge(column.Rungs[0], edge);
                var atEnd = column.End is not null && IsEdge(column.Rungs[^1], edge);
                if ((atStart || atEnd) && mesh.Length(edge) > longest)
                {
                    (longest, best) = (mesh.Length(edge), new Receiver(column, atEnd));
                }
            }
        }
        return best;
    }

    private static bool IsEdge(Rung one, Rung two) => one == two || (one.A == two.B && one.B == two.A);

    private static bool IsReached(ColumnMesh mesh, int triangle, ReachedCells reached)
    {
        var (a, b, c) = mesh.At(triangle);
        var centre = mesh.Centre(triangle);
        ReadOnlySpan<Point> tried =
        [
            centre,
            Point.Lerp(centre, a, 0.5),
            Point.Lerp(centre, b, 0.5),
            Point.Lerp(centre, c, 0.5),
        ];
        var found = 0;
        foreach (var place in tried)
        {
            found += reached.Holds(place) ? 1 : 0;
        }
        return found >= 3;
    }

    private sealed record Receiver(MeshColumn Column, bool AtEnd);
}
