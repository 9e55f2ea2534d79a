using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

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
