using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Opens a closed line at a node, or divides an open one. Only lines without cloth may be open.</summary>
public sealed record SplitLine : NodeEdit
{
    public required NodeRef Node { get; init; }

    public override string Label(Project before) => $"Split {ElementName(before)} at a node";

    private protected override Result<ImmutableArray<NodeLine>> Change(Element element, ImmutableArray<NodeLine> lines)
    {
        if (Missing(lines, Node.Line, Node.Node) is { } missing)
        {
            return missing;
        }
        if (!element.Making.FollowsLines)
        {
            return new Refusal(
                "cloth-closed",
                "nodes",
                $"{element.Name} is a piece of cloth, whose edge must close. Split it by a line under Shape instead."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
        }
        return lines.RemoveAt(Node.Line).InsertRange(Node.Line, NodeChanges.SplitAt(lines[Node.Line], Node.Node));
    }
}
