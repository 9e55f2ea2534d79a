using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

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
