using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

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
