using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes nodes corners, smooth or symmetric.</summary>
public sealed record SetNodeKind : NodeEdit
{
    public required ImmutableArray<NodeRef> Nodes { get; init; }

    public required NodeKind Kind { get; init; }

    public override string Label(Project before) =>
        $"Make nodes of {ElementName(before)} {Kind.ToString().ToLowerInvariant()}";

    private protected override Result<ImmutableArray<NodeLine>> Change(Element element, ImmutableArray<NodeLine> lines)
    {
        foreach (var node in Nodes)
        {
            if (Missing(lines, node.Line, node.Node) is { } missing)
            {
                return missing;
            }
            lines = lines.SetItem(node.Line, NodeChanges.WithKind(lines[node.Line], node.Node, Kind));
        }
        return lines;
    }
}
