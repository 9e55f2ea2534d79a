using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Moves nodes with their handles.</summary>
public sealed record MoveNodes : NodeEdit
{
    public required ImmutableArray<NodeRef> Nodes { get; init; }

    /// <summary>mm right.</summary>
    public required double X { get; init; }

    /// <summary>mm down.</summary>
    public required double Y { get; init; }

    public override string Label(Project before) =>
        $"Move {(Nodes.Length == 1 ? "a node" : $"{Nodes.Length} nodes")} of {ElementName(before)}";

    private protected override Result<ImmutableArray<NodeLine>> Change(Element element, ImmutableArray<NodeLine> lines)
    {
        foreach (var node in Nodes)
        {
            if (Missing(lines, node.Line, node.Node) is { } missing)
            {
                return missing;
            }
        }
        return lines
            .Select(
                (line, l) =>
                    line with
                    {
                        Nodes =
                        [
                            .. line.Nodes.Select(
                                (node, n) => Nodes.Contains(new NodeRef(l, n)) ? node.Moved(new Point(X, Y)) : node
                            ),
                        ],
                    }
            )
            .ToImmutableArray();
    }
}
