using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Deletes nodes; a line that has too few left goes.</summary>
public sealed record RemoveNodes : NodeEdit
{
    public required ImmutableArray<NodeRef> Nodes { get; init; }

    public override string Label(Project before) =>
        $"Delete {(Nodes.Length == 1 ? "a node" : $"{Nodes.Length} nodes")} of {ElementName(before)}";

    private protected override Result<ImmutableArray<NodeLine>> Change(Element element, ImmutableArray<NodeLine> lines)
    {
        var left = lines
            .Select(
                (line, l) =>
                    NodeChanges.Removed(line, [.. Nodes.Where(node => node.Line == l).Select(node => node.Node)])
            )
            .OfType<NodeLine>()
            .ToImmutableArray();
        return left.IsEmpty
            ? new Refusal(
                "nodes-too-few",
                "nodes",
                $"{element.Name} would have too few nodes left to be a line. Delete the whole element instead."
            )
            : left;
    }
}
