using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets how a line without cloth is sewn. All of it is given: a null goes back to the preset.</summary>
public sealed record SetLine : MakingEdit<LineMaking>
{
    public required LineSettings Line { get; init; }

    public override string Label(Project before) => $"Change the stitching of {NameOf(before, [ElementId])}";

    private protected override Result<Project> Change(Element element, LineMaking making, Project project) =>
        StitchedLineEdits.Check(Line, project) is { } refusal
            ? refusal
            : project.With(element.WithSettings(making with { Stitching = Line }));
}

/// <summary>What edits of stitched lines share.</summary>
internal static class StitchedLineEdits
{
    internal static Refusal? Check(LineSettings line, Project project) =>
        line.ThreadId is { } thread && project.FindThread(thread) is null
            ? EditRefusals.NoThread(thread)
            : StageLimits.Check(line);
}
