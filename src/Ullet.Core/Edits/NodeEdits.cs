using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>A node of a drawn element: the number of its line, and its own on it.</summary>
public readonly record struct NodeRef(int Line, int Node);

/// <summary>An edit of a drawn element's nodes. Everything else about the element stays.</summary>
public abstract record NodeEdit : Edit
{
    public required string ElementId { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Find(ElementId) is not { } element)
        {
            return EditRefusals.NoElement(ElementId);
        }
        if (element.IsLocked)
        {
            return EditRefusals.Locked(element);
        }
        if (NodeLines.Of(element) is not { } lines)
        {
            return new Refusal(
                "not-drawn",
                "elementId",
                $"{element.Name} has no nodes yet: it is made by a generator. Turn it into nodes first."
            );
        }
        return Change(element, lines)
            .Then(changed =>
            {
                var after = NodeLines.With(element, changed);
                return
                    (
                        Limits.CheckBox(after.Box, after.Name, mayBeFlat: after is StitchedLine)
                        ?? Shape(after)
                        ?? Operations(after)
                    )
                        is { } no
                    ? no
                    : (Result<Project>)Centring.Kept(project.With(after), after, context);
            });
    }

    private protected abstract Result<ImmutableArray<NodeLine>> Change(Element element, ImmutableArray<NodeLine> lines);

    private protected string ElementName(Project project) => project.Find(ElementId)?.Name ?? "element";

    /// <summary>Says that a node or a stretch is not there, or null.</summary>
    private protected static Refusal? Missing(
        ImmutableArray<NodeLine> lines,
        int line,
        int node,
        bool isStretch = false
    ) =>
        line >= 0
        && line < lines.Length
        && node >= 0
        && node < (isStretch ? lines[line].StretchCount : lines[line].Nodes.Length)
            ? null
            : new Refusal("node-unknown", "nodes", "That node is not there any more; select it again.");

    /// <summary>Operations keep their place on the wall; a frame that goes too far from it takes them out of their ranges.</summary>
    private static Refusal? Operations(Element element) =>
        element.Operations.Select(OperationLimits.Check).FirstOrDefault(no => no is not null);

    private static Refusal? Shape(Element element) =>
        element switch
        {
            Piece piece => ShapeLimits.Check(piece.Shape),
            StitchedLine line => ShapeLimits.CheckLine(line.Line),
            _ => null,
        };
}

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

/// <summary>Puts a node on a stretch; the form stays.</summary>
public sealed record AddNode : NodeEdit
{
    public required int Line { get; init; }

    /// <summary>The stretch, by the node that it goes out from.</summary>
    public required int Stretch { get; init; }

    /// <summary>Where on the stretch, 0.01 to 0.99.</summary>
    public double At { get; init; } = 0.5;

    public override string Label(Project before) => $"Add a node to {ElementName(before)}";

    private protected override Result<ImmutableArray<NodeLine>> Change(
        Element element,
        ImmutableArray<NodeLine> lines
    ) =>
        (
            Missing(lines, Line, Stretch, isStretch: true)
            ?? Limits.CheckRange(At, 0.01, 0.99, "", "The place on the stretch", "at")
        )
            is { } no
            ? no
            : lines.SetItem(Line, NodeChanges.Added(lines[Line], Stretch, At));
}

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
        if (element is Piece)
        {
            return new Refusal(
                "cloth-closed",
                "nodes",
                $"{element.Name} is a piece of cloth, whose edge must close. Split it by a line under Shape instead."
            );
        }
        return lines.RemoveAt(Node.Line).InsertRange(Node.Line, NodeChanges.SplitAt(lines[Node.Line], Node.Node));
    }
}

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

/// <summary>Turns a line's direction round: stitches run the other way.</summary>
public sealed record ReverseLine : NodeEdit
{
    public required int Line { get; init; }

    public override string Label(Project before) => $"Reverse {ElementName(before)}";

    private protected override Result<ImmutableArray<NodeLine>> Change(
        Element element,
        ImmutableArray<NodeLine> lines
    ) => Missing(lines, Line, 0) is { } missing ? missing : lines.SetItem(Line, lines[Line].Reversed());
}

/// <summary>Makes a stretch straight, or one that can be bent.</summary>
public sealed record StraightenStretch : NodeEdit
{
    public required int Line { get; init; }

    /// <summary>The stretch, by the node that it goes out from.</summary>
    public required int Stretch { get; init; }

    /// <summary>False gives a straight stretch handles.</summary>
    public bool Straight { get; init; } = true;

    public override string Label(Project before) =>
        $"{(Straight ? "Straighten" : "Loosen")} a stretch of {ElementName(before)}";

    private protected override Result<ImmutableArray<NodeLine>> Change(
        Element element,
        ImmutableArray<NodeLine> lines
    ) =>
        Missing(lines, Line, Stretch, isStretch: true) is { } missing
            ? missing
            : lines.SetItem(Line, NodeChanges.Straightened(lines[Line], Stretch, Straight));
}
