using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Joins two ends of open lines; the two ends of one line close it.</summary>
public sealed record JoinLines : NodeEdit
{
    public required NodeRef First { get; init; }

    public required NodeRef Second { get; init; }

    public override string Label(Project before) => $"Join ends of {ElementName(before)}";

    private protected override Result<ImmutableArray<NodeLine>> Change(Element element, ImmutableArray<NodeLine> lines)
    {
        if ((Missing(lines, First.Line, First.Node) ?? Missing(lines, Second.Line, Second.Node)) is { } missing)
        {
            return missing;
        }
        if (
            First == Second
            || !NodeChanges.IsEnd(lines[First.Line], First.Node)
            || !NodeChanges.IsEnd(lines[Second.Line], Second.Node)
        )
        {
            return new Refusal("ends-needed", "nodes", "Select two ends of open lines to join them.");
        }
        var joined = NodeChanges.Joined(lines[First.Line], First.Node > 0, lines[Second.Line], Second.Node == 0);
        return First.Line == Second.Line
            ? lines.SetItem(First.Line, joined)
            : lines.SetItem(First.Line, joined).RemoveAt(Second.Line);
    }
}
