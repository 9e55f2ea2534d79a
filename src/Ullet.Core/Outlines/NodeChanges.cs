using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Changes of a line's nodes; every one leaves smooth nodes smooth and symmetric ones symmetric.</summary>
public static class NodeChanges
{
    /// <summary>Moves a handle; the other one follows where the node is smooth or symmetric.</summary>
    /// <param name="node">The node.</param>
    /// <param name="isOut">True for the handle towards the next node.</param>
    /// <param name="to">Its new place, mm.</param>
    public static Node Bent(Node node, bool isOut, Point to)
    {
        var bent = isOut ? node with { Out = to } : node with { In = to };
        var other = isOut ? node.In : node.Out;
        if (node.Kind == NodeKind.Corner || to == node.At || (node.Kind == NodeKind.Smooth && other == node.At))
        {
            return bent;
        }
        var length = node.Kind == NodeKind.Symmetric ? to.DistanceTo(node.At) : other.DistanceTo(node.At);
        var follows = node.At - ((to - node.At).Unit() * length);
        return isOut ? bent with { In = follows } : bent with { Out = follows };
    }

    /// <summary>Makes a node a corner, smooth or symmetric. Smooth handles take the middle direction; a node of straight
    /// stretches gets handles of a third of each stretch.</summary>
    public static NodeLine WithKind(NodeLine line, int index, NodeKind kind)
    {
        var node = line.Nodes[index];
        if (kind == NodeKind.Corner || IsEnd(line, index))
        {
            return Set(line, index, node with { Kind = NodeKind.Corner });
        }
        var count = line.Nodes.Length;
        var (before, after) = (line.Nodes[(index + count - 1) % count].At, line.Nodes[(index + 1) % count].At);
        var (into, outOf) = (node.At - node.In, node.Out - node.At);
        var way = (into.Unit() + outOf.Unit()).Unit();
        if (way.Length < 0.5)
        {
            way = (after - before).Unit();
        }
        var (inLength, outLength) = (
            into.Length > Tolerance.Same ? into.Length : node.At.DistanceTo(before) / 3,
            outOf.Length > Tolerance.Same ? outOf.Length : node.At.DistanceTo(after) / 3
        );
        if (kind == NodeKind.Symmetric)
        {
            (inLength, outLength) = ((inLength + outLength) / 2, (inLength + outLength) / 2);
        }
        return Set(line, index, new Node(node.At, node.At - (way * inLength), node.At + (way * outLength), kind));
    }

    /// <summary>Puts a node on a stretch without changing the line's form.</summary>
    /// <param name="line">The line.</param>
    /// <param name="stretch">From which node it goes out.</param>
    /// <param name="t">Where on it, over 0 and under 1.</param>
    public static NodeLine Added(NodeLine line, int stretch, double t)
    {
        var curve = line.Stretch(stretch);
        var (first, second) = (curve.Part(0, t), curve.Part(t, 1));
        var next = (stretch + 1) % line.Nodes.Length;
        var node = curve.IsLine
            ? new Node(first.End, first.End, first.End, NodeKind.Corner)
            : new Node(first.End, first.Control2, second.Control1, NodeKind.Smooth);
        var nodes = line.Nodes;
        if (!curve.IsLine)
        {
            nodes = nodes.SetItem(stretch, Loosened(nodes[stretch]) with { Out = first.Control1 });
            nodes = nodes.SetItem(next, Loosened(nodes[next]) with { In = second.Control2 });
        }
        return line with { Nodes = nodes.Insert(stretch + 1, node) };
    }

    /// <summary>Takes nodes out; the stretches beside them become one with the outer handles kept.</summary>
    /// <returns>Null when fewer than two nodes are left (three on a closed line of straight stretches).</returns>
    public static NodeLine? Removed(NodeLine line, IReadOnlyCollection<int> indices)
    {
        var left = line with { Nodes = [.. line.Nodes.Where((_, i) => !indices.Contains(i))] };
        return
            left.Nodes.Length < 2
            || (left.IsClosed && left.Nodes.Length == 2 && left.Stretch(0).IsLine && left.Stretch(1).IsLine)
            ? null
            : left;
    }

    /// <summary>Opens a closed line at a node, or divides an open one there; both ends lie at the node.</summary>
    public static ImmutableArray<NodeLine> SplitAt(NodeLine line, int index)
    {
        if (line.IsClosed)
        {
            var turned = line.Nodes.Skip(index).Concat(line.Nodes.Take(index)).ToImmutableArray();
            return [new NodeLine([Start(turned[0]), .. turned.Skip(1), End(turned[0])], false)];
        }
        return IsEnd(line, index)
            ? [line]
            :
            [
                new NodeLine([.. line.Nodes.Take(index), End(line.Nodes[index])], false),
                new NodeLine([Start(line.Nodes[index]), .. line.Nodes.Skip(index + 1)], false),
            ];
    }

    /// <summary>Joins two ends: of one line, which closes, or of two, which become one. Ends nearer than 0.5 mm become one
    /// node; others are joined by a straight stretch.</summary>
    public static NodeLine Joined(NodeLine first, bool atItsEnd, NodeLine second, bool atItsStart)
    {
        const double OneNode = 0.5;
        if (ReferenceEquals(first, second))
        {
            var (start, end) = (first.Nodes[0], first.Nodes[^1]);
            return start.At.DistanceTo(end.At) < OneNode && first.Nodes.Length > 2
                ? new NodeLine([start with { In = end.In + (start.At - end.At) }, .. first.Nodes[1..^1]], true)
                : first with
                {
                    IsClosed = true,
                };
        }
        var (a, b) = (atItsEnd ? first : first.Reversed(), atItsStart ? second : second.Reversed());
        var (last, next) = (a.Nodes[^1], b.Nodes[0]);
        return last.At.DistanceTo(next.At) < OneNode
            ? new NodeLine(
                [.. a.Nodes[..^1], last with { Out = next.Out + (last.At - next.At) }, .. b.Nodes[1..]],
                false
            )
            : new NodeLine([.. a.Nodes, .. b.Nodes], false);
    }

    /// <summary>Makes a stretch straight, or gives a straight one handles to bend it by.</summary>
    public static NodeLine Straightened(NodeLine line, int stretch, bool straight)
    {
        var next = (stretch + 1) % line.Nodes.Length;
        var (start, end) = (line.Nodes[stretch], line.Nodes[next]);
        var third = (end.At - start.At) * (1 / 3.0);
        var (outOf, into) = straight ? (start.At, end.At) : (start.At + third, end.At - third);
        var changed = Set(line, stretch, start with { Out = outOf, Kind = NodeKind.Corner });
        return Set(changed, next, changed.Nodes[next] with { In = into, Kind = NodeKind.Corner });
    }

    /// <summary>True for the first and last node of an open line.</summary>
    public static bool IsEnd(NodeLine line, int index) =>
        !line.IsClosed && (index == 0 || index == line.Nodes.Length - 1);

    private static NodeLine Set(NodeLine line, int index, Node node) =>
        line with
        {
            Nodes = line.Nodes.SetItem(index, node),
        };

    /// <summary>A symmetric node whose one handle was shortened is smooth from then on.</summary>
    private static Node Loosened(Node node) =>
        node.Kind == NodeKind.Symmetric ? node with { Kind = NodeKind.Smooth } : node;

    private static Node Start(Node node) => node with { In = node.At, Kind = NodeKind.Corner };

    private static Node End(Node node) => node with { Out = node.At, Kind = NodeKind.Corner };
}
