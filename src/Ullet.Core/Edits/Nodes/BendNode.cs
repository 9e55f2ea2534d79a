using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Moves one handle of a node.</summary>
public sealed record BendNode : NodeEdit
{
    public required NodeRef Node { get; init; }

    /// <summary>True for the handle towards the next node.</summary>
    public required bool IsOut { get; init; }

    /// <summary>Where the handle is to be, mm right of the field's centre.</summary>
    public required double X { get; init; }

    /// <summary>Where the handle is to be, mm below the field's centre.</summary>
    public required double Y { get; init; }

    public override string Label(Project before) => $"Bend {ElementName(before)}";

    private protected override Result<ImmutableArray<NodeLine>> Change(Element element, ImmutableArray<NodeLine> lines)
    {
        if (Missing(lines, Node.Line, Node.Node) is { } missing)
        {
            return missing;
        }
        var line = lines[Node.Line];
        var bent = NodeChanges.Bent(line.Nodes[Node.Node], IsOut, new Point(X, Y));
        return lines.SetItem(Node.Line, line with { Nodes = line.Nodes.SetItem(Node.Node, bent) });
    }
}
