using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets how a line without cloth is sewn. All of it is given: a null goes back to the preset.</summary>
public sealed record SetLine : Edit
{
    public required string ElementId { get; init; }

    public required LineSettings Line { get; init; }

    public override string Label(Project before) => $"Change the stitching of {NameOf(before, [ElementId])}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        project.Find(ElementId) is not StitchedLine line ? EditRefusals.NoElement(ElementId)
        : StitchedLineEdits.Check(Line, project) is { } refusal ? refusal
        : project.With(line with { Stitching = Line });
}

/// <summary>What edits of stitched lines share.</summary>
internal static class StitchedLineEdits
{
    internal static Refusal? Check(LineSettings line, Project project) =>
        line.ThreadId is { } thread && project.FindThread(thread) is null
            ? EditRefusals.NoThread(thread)
            : StageLimits.Check(new RunSettings { StitchLength = line.StitchLength })
                ?? Limits.CheckRange(line.Passes, 1, LineSettings.MostPasses, "", "The number of passes", "passes");
}
