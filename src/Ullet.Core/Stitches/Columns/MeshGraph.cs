using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The branches of a mesh and the nodes where they meet, without those that are only a corner of the outline.</summary>
/// <remarks>A branch from a node into a corner that is shallower than the last of <see cref="Shallow"/> of its mouth belongs to the node: strokes of
/// the column that goes through or ends there reach it. Nodes that lie within each other are one.</remarks>
internal sealed class MeshGraph
{
    /// <summary>Shallower than this share of its mouth a branch is no column of its own; a right angle has a half. What is only rough
    /// goes first, so that both corners of an end are looked at together.</summary>
    private static readonly double[] Shallow = [0.2, 0.4, 0.8];

    /// <summary>Nodes nearer than this share of their mouths are one.</summary>
    private const double Merged = 0.55;

    private readonly ColumnMesh _mesh;
    private readonly List<MeshNode> _nodes;
    private readonly List<MeshBranch> _branches;

    private MeshGraph(ColumnMesh mesh)
    {
        _mesh = mesh;
        (_nodes, _branches) = MeshTrace.Of(mesh);
    }

    internal IReadOnlyList<MeshNode> Nodes => _nodes;

    internal IReadOnlyList<MeshBranch> Branches => _branches;

    /// <summary>The graph of a mesh; without a branch where the shape is a blob.</summary>
    internal static MeshGraph Of(ColumnMesh mesh)
    {
        var graph = new MeshGraph(mesh);
        graph.Prune();
        graph.Merge();
        return graph;
    }

    /// <summary>Gives shallow branches to their nodes, the shallowest first, until none is left.</summary>
    private void Prune()
    {
        foreach (var share in Shallow)
        {
            Prune(share);
        }
    }

    private void Prune(double most)
    {
        while (true)
        {
            Budget.Spend();
            var shallow = _branches
                .Where(branch => branch.IsLeaf && (branch.From is not null || branch.To is not null))
                .Select(branch => (Branch: branch, Share: Depth(branch)))
                .Where(pair => pair.Share < most)
                .OrderBy(pair => pair.Share)
                .ToList();
            if (shallow.Count == 0)
            {
                return;
            }
            foreach (var (branch, _) in shallow)
            {
                if ((branch.From ?? branch.To) is { } node && _branches.Contains(branch) && branch.IsLeaf)
                {
                    _branches.Remove(branch);
                    node.Branches.Remove(branch);
                    node.Triangles.AddRange(branch.Triangles);
                }
            }
            foreach (var node in _nodes.ToList())
            {
                Dissolve(node);
            }
        }
    }

    /// <summary>Puts a node into the branch that passes or ends there.</summary>
    private void Dissolve(MeshNode node)
    {
        switch (node.Branches)
        {
            case [var only]:
                if (only.To != node)
                {
                    only.Reverse();
                }
                only.Groups[^1].AddRange(node.Triangles);
                only.To = null;
                _nodes.Remove(node);
                break;
            case [var round, var same] when round == same:
                round.Groups.RemoveAt(round.Groups.Count - 1);
                round.Groups[0].AddRange(node.Triangles);
                (round.From, round.To, round.IsClosed) = (null, null, true);
                _nodes.Remove(node);
                break;
            case [var one, var two]:
                if (one.To != node)
                {
                    one.Reverse();
                }
                if (two.From != node)
                {
                    two.Reverse();
                }
                one.Groups[^1].AddRange(node.Triangles);
                one.Groups[^1].AddRange(two.Groups[0]);
                one.Groups.AddRange(two.Groups.Skip(1));
                one.Rungs.AddRange(two.Rungs);
                one.To = two.To;
                _branches.Remove(two);
                _nodes.Remove(node);
                if (two.To is { } end)
                {
                    end.Branches[end.Branches.LastIndexOf(two)] = one;
                }
                break;
            default:
                break;
        }
    }

    /// <summary>How deep a branch goes beyond its mouth, over the mouth's width.</summary>
    private double Depth(MeshBranch branch)
    {
        var mouth = branch.From is not null ? branch.Rungs[0] : branch.Rungs[^1];
        var (a, b) = (_mesh.Points[mouth.A], _mesh.Points[mouth.B]);
        var along = (b - a).Unit();
        var deepest = 0.0;
        foreach (var triangle in branch.Triangles)
        {
            Budget.Spend();
            for (var k = 0; k < 3; k++)
            {
                var at = _mesh.Points[_mesh.Corners[(3 * triangle) + k]];
                deepest = Math.Max(deepest, Math.Abs(Point.Cross(along, at - a)));
            }
        }
        return deepest / Math.Max(1e-9, a.DistanceTo(b));
    }

    /// <summary>Makes one of nodes that a short branch joins.</summary>
    private void Merge()
    {
        while (
            _branches.FirstOrDefault(branch =>
                branch is { From: { } from, To: { } to } && from != to && Way(branch) < Merged * Mouths(from, to)
            )
                is { From: { } kept, To: { } lost } link
        )
        {
            Budget.Spend();
            _branches.Remove(link);
            kept.Branches.Remove(link);
            lost.Branches.Remove(link);
            kept.Triangles.AddRange(link.Triangles);
            kept.Triangles.AddRange(lost.Triangles);
            foreach (var branch in lost.Branches)
            {
                if (branch.From == lost)
                {
                    branch.From = kept;
                }
                if (branch.To == lost)
                {
                    branch.To = kept;
                }
            }
            kept.Branches.AddRange(lost.Branches);
            _nodes.Remove(lost);
        }
    }

    private double Way(MeshBranch branch)
    {
        var way = 0.0;
        for (var i = 1; i < branch.Rungs.Count; i++)
        {
            way += _mesh.Middle(branch.Rungs[i]).DistanceTo(_mesh.Middle(branch.Rungs[i - 1]));
        }
        return way;
    }

    private double Mouths(MeshNode one, MeshNode two) => Math.Min(Mouth(one), Mouth(two));

    private double Mouth(MeshNode node) =>
        node.Branches.Max(branch => _mesh.Length(branch.From == node ? branch.Rungs[0] : branch.Rungs[^1]));
}
