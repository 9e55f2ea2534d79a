using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>All nodes and branches of a mesh as its triangles lie: each with three inner edges is a node, rows of others are branches.</summary>
internal sealed class MeshTrace
{
    private readonly ColumnMesh _mesh;
    private readonly List<MeshNode> _nodes = [];
    private readonly List<MeshBranch> _branches = [];

    private MeshTrace(ColumnMesh mesh) => _mesh = mesh;

    /// <summary>Follows the triangles of a mesh.</summary>
    internal static (List<MeshNode> Nodes, List<MeshBranch> Branches) Of(ColumnMesh mesh)
    {
        var trace = new MeshTrace(mesh);
        trace.Trace();
        return (trace._nodes, trace._branches);
    }

    private void Trace()
    {
        var nodeOf = new Dictionary<int, MeshNode>();
        for (var t = 0; t < _mesh.Count; t++)
        {
            if (_mesh.Degree(t) is 3 or 0)
            {
                var node = new MeshNode();
                node.Triangles.Add(t);
                nodeOf[t] = node;
                _nodes.Add(node);
            }
        }
        var seen = new bool[_mesh.Count];
        var entered = new HashSet<(int, int)>();
        foreach (var (t, node) in nodeOf)
        {
            for (var k = 0; k < 3; k++)
            {
                if (_mesh.Beside[(3 * t) + k] >= 0 && !entered.Contains((t, k)))
                {
                    Follow(t, k, node, nodeOf, seen, entered);
                }
            }
        }
        for (var t = 0; t < _mesh.Count; t++)
        {
            if (!seen[t] && _mesh.Degree(t) == 1)
            {
                FromEnd(t, seen);
            }
        }
        for (var t = 0; t < _mesh.Count; t++)
        {
            if (!seen[t] && _mesh.Degree(t) == 2)
            {
                Round(t, seen);
            }
        }
    }

    private void Follow(
        int from,
        int edge,
        MeshNode node,
        Dictionary<int, MeshNode> nodeOf,
        bool[] seen,
        HashSet<(int, int)> entered
    )
    {
        var branch = new MeshBranch
        {
            From = node,
            Groups =
            [
                [],
            ],
        };
        var (at, through) = (from, edge);
        entered.Add((from, edge));
        while (true)
        {
            Budget.Spend();
            branch.Rungs.Add(_mesh.Edge(at, through));
            var next = _mesh.Beside[(3 * at) + through];
            var back = EdgeTo(next, at);
            if (nodeOf.TryGetValue(next, out var end))
            {
                entered.Add((next, back));
                branch.To = end;
                branch.Groups.Add([]);
                end.Branches.Add(branch);
                break;
            }
            branch.Groups.Add([next]);
            seen[next] = true;
            if (_mesh.Degree(next) == 1)
            {
                break;
            }
            (at, through) = (next, Other(next, back));
        }
        node.Branches.Add(branch);
        _branches.Add(branch);
    }

    /// <summary>A shape without nodes that has two ends.</summary>
    private void FromEnd(int first, bool[] seen)
    {
        var branch = new MeshBranch();
        var (at, back) = (first, -1);
        while (true)
        {
            Budget.Spend();
            branch.Groups.Add([at]);
            seen[at] = true;
            var through = Other(at, back);
            if (through < 0)
            {
                break;
            }
            branch.Rungs.Add(_mesh.Edge(at, through));
            var next = _mesh.Beside[(3 * at) + through];
            (at, back) = (next, EdgeTo(next, at));
        }
        _branches.Add(branch);
    }

    /// <summary>A ring without nodes.</summary>
    private void Round(int first, bool[] seen)
    {
        var branch = new MeshBranch { IsClosed = true };
        var (at, back) = (first, -1);
        do
        {
            Budget.Spend();
            branch.Groups.Add([at]);
            seen[at] = true;
            var through = Other(at, back);
            branch.Rungs.Add(_mesh.Edge(at, through));
            var next = _mesh.Beside[(3 * at) + through];
            (at, back) = (next, EdgeTo(next, at));
        } while (at != first);
        _branches.Add(branch);
    }

    private int EdgeTo(int triangle, int other) =>
        _mesh.Beside[3 * triangle] == other ? 0
        : _mesh.Beside[(3 * triangle) + 1] == other ? 1
        : 2;

    /// <summary>An inner edge of a triangle other than one; -1 for none.</summary>
    private int Other(int triangle, int edge)
    {
        for (var k = 0; k < 3; k++)
        {
            if (k != edge && _mesh.Beside[(3 * triangle) + k] >= 0)
            {
                return k;
            }
        }
        return -1;
    }
}
