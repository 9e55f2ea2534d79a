using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Shares out nodes: at each one column goes through, or runs out to the outline, and the others end under it.</summary>
internal static class MeshColumns
{
    /// <summary>Branches that go on from each other turn by no more than this, degrees.</summary>
    private const double MostTurn = 55;

    /// <summary>A branch half as wide again as another counts as turning so much more, degrees.</summary>
    private const double WidthTurn = 25;

    internal static List<MeshColumn> Of(ColumnMesh mesh, MeshGraph graph)
    {
        var next = new Dictionary<(MeshBranch, bool AtTo), (MeshBranch, bool AtTo)>();
        var owner = new Dictionary<MeshNode, (MeshBranch, bool AtTo)>();
        foreach (var node in graph.Nodes)
        {
            Share(mesh, node, next, owner);
        }
        var columns = new List<MeshColumn>();
        var done = new HashSet<MeshBranch>();
        foreach (var branch in graph.Branches.OrderBy(branch => branch.IsClosed))
        {
            if (done.Contains(branch))
            {
                continue;
            }
            var chain = Chain(branch, next, out var isClosed);
            chain.ForEach(link => done.Add(link.Branch));
            columns.Add(Joined(chain, isClosed, owner));
        }
        return [.. columns.SelectMany(column => ColumnCorners.Split(mesh, column))];
    }

    private static void Share(
        ColumnMesh mesh,
        MeshNode node,
        Dictionary<(MeshBranch, bool), (MeshBranch, bool)> next,
        Dictionary<MeshNode, (MeshBranch, bool)> owner
    )
    {
        var ends = new List<BranchEnd>();
        foreach (var branch in node.Branches.Distinct())
        {
            if (branch.From == node)
            {
                ends.Add(BranchEnd.Of(mesh, branch, atTo: false));
            }
            if (branch.To == node)
            {
                ends.Add(BranchEnd.Of(mesh, branch, atTo: true));
            }
        }
        var pairs = new List<(double Turn, BranchEnd One, BranchEnd Two)>();
        for (var i = 0; i < ends.Count; i++)
        {
            for (var k = i + 1; k < ends.Count; k++)
            {
                var turn = 180 - Math.Abs(Point.Turn(ends[i].Away, ends[k].Away));
                if (turn <= MostTurn)
                {
                    var wider = Math.Abs(Math.Log(ends[i].Width / ends[k].Width)) / Math.Log(1.5);
                    pairs.Add((turn + (WidthTurn * wider), ends[i], ends[k]));
                }
            }
        }
        if (pairs.Count > 0)
        {
            var (_, one, two) = pairs.MinBy(pair => pair.Turn);
            next[(one.Branch, one.AtTo)] = (two.Branch, two.AtTo);
            next[(two.Branch, two.AtTo)] = (one.Branch, one.AtTo);
            owner[node] = (one.Branch, one.AtTo);
            return;
        }
        var widest = ends.MaxBy(end => end.Weight);
        owner[node] = (widest.Branch, widest.AtTo);
    }

    private static List<(MeshBranch Branch, bool IsReversed)> Chain(
        MeshBranch branch,
        Dictionary<(MeshBranch, bool AtTo), (MeshBranch, bool AtTo)> next,
        out bool isClosed
    )
    {
        isClosed = branch.IsClosed;
        var chain = new List<(MeshBranch Branch, bool IsReversed)> { (branch, false) };
        var at = (branch, AtTo: true);
        while (next.TryGetValue(at, out var other))
        {
            Budget.Spend();
            if (other.Item1 == branch && !other.AtTo)
            {
                isClosed = true;
                return chain;
            }
            chain.Add((other.Item1, other.AtTo));
            at = (other.Item1, !other.AtTo);
        }
        at = (branch, false);
        while (next.TryGetValue(at, out var other))
        {
            Budget.Spend();
            chain.Insert(0, (other.Item1, !other.AtTo));
            at = (other.Item1, !other.AtTo);
        }
        return chain;
    }

    private static MeshColumn Joined(
        List<(MeshBranch Branch, bool IsReversed)> chain,
        bool isClosed,
        Dictionary<MeshNode, (MeshBranch, bool AtTo)> owner
    )
    {
        var column = new MeshColumn { IsClosed = isClosed };
        foreach (var (branch, isReversed) in chain)
        {
            if (isReversed)
            {
                branch.Reverse();
            }
            if (column.Groups.Count == 0)
            {
                column.Groups.AddRange(branch.Groups.Select(group => new List<int>(group)));
                column.Rungs.AddRange(branch.Rungs);
                continue;
            }
            column.Groups[^1].AddRange(branch.From!.Triangles);
            column.Passed.Add((branch.From, column.Rungs.Count));
            column.Groups[^1].AddRange(branch.Groups[0]);
            column.Groups.AddRange(branch.Groups.Skip(1).Select(group => new List<int>(group)));
            column.Rungs.AddRange(branch.Rungs);
        }
        var (first, last) = (chain[0], chain[^1]);
        if (isClosed)
        {
            if (!first.Branch.IsClosed)
            {
                column.Groups[0].AddRange(first.Branch.From!.Triangles);
                column.Groups[0].AddRange(column.Groups[^1]);
                column.Groups.RemoveAt(column.Groups.Count - 1);
                column.Passed.Add((first.Branch.From, 0));
            }
            return column;
        }
        if (first.Branch.From is { } start)
        {
            if (Owns(first, atTo: false, start))
            {
                column.Groups[0].AddRange(start.Triangles);
                column.Passed.Insert(0, (start, 0));
            }
            else
            {
                column.Start = start;
            }
        }
        if (last.Branch.To is { } end)
        {
            if (Owns(last, atTo: true, end))
            {
                column.Groups[^1].AddRange(end.Triangles);
                column.Passed.Add((end, column.Rungs.Count));
            }
            else
            {
                column.End = end;
            }
        }
        return column;

        // The owner was noted before branches were turned round.
        bool Owns((MeshBranch Branch, bool IsReversed) link, bool atTo, MeshNode node) =>
            owner[node] == (link.Branch, link.IsReversed ? !atTo : atTo);
    }

    /// <summary>A branch where it meets a node.</summary>
    /// <param name="Branch">The branch.</param>
    /// <param name="AtTo">True where it is its far end.</param>
    /// <param name="Away">Its direction away from the node.</param>
    /// <param name="Width">How wide it is there, mm.</param>
    /// <param name="Weight">How much it asks to run out to the outline where none goes through.</param>
    private readonly record struct BranchEnd(MeshBranch Branch, bool AtTo, Point Away, double Width, double Weight)
    {
        /// <summary>Nearer to the node than this share of its width a branch bends towards the others.</summary>
        private const double Bent = 0.5;

        /// <summary>Its direction is taken over this share of its width.</summary>
        private const double Seen = 1.2;

        /// <summary>An upright branch counts so much more than a level one.</summary>
        private const double Upright = 0.3;

        internal static BranchEnd Of(ColumnMesh mesh, MeshBranch branch, bool atTo)
        {
            var rungs = atTo ? Enumerable.Reverse(branch.Rungs).ToList() : branch.Rungs;
            var middles = rungs.ConvertAll(mesh.Middle);
            if (branch.IsLeaf)
            {
                var last = atTo ? branch.Groups[0] : branch.Groups[^1];
                middles.Add(mesh.Centre(last));
            }
            var mouth = mesh.Length(rungs[0]);
            var (way, width) = (0.0, mouth);
            for (var i = 1; i < rungs.Count && way < 1.5 * mouth; i++)
            {
                Budget.Spend();
                way += middles[i].DistanceTo(middles[i - 1]);
                width = Math.Min(width, mesh.Length(rungs[i]));
            }
            width = Math.Max(width, 0.25 * mouth);
            var line = new ArcLength([.. middles]);
            var from = Math.Min(Bent * width, 0.4 * line.Total);
            var to = Math.Min(from + (Seen * width), line.Total);
            var away = (line.At(to) - line.At(from)).Unit();
            if (away == Point.Zero)
            {
                var node = atTo ? branch.To! : branch.From!;
                away = (middles[0] - mesh.Centre(node.Triangles[0])).Unit();
            }
            var weight = width * (1 + (Upright * Math.Abs(away.Y))) * Math.Min(1, line.Total / width);
            return new BranchEnd(branch, atTo, away, width, weight);
        }
    }
}
