using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Edits;

/// <summary>Puts a photo of the user's own beside a step, or takes it away.</summary>
public sealed record PhotoStep : StepEdit
{
    /// <summary>The picture's asset, 64 hexadecimal digits; null for none.</summary>
    public string? Picture { get; init; }

    public override string Label(Project before) =>
        Picture is null ? "Take a photo away from a step" : "Put a photo beside a step";

    private protected override Result<Project> Change(RunStep step, RunSheet sheet, Project project) =>
        StepOverride.CheckPhoto(Picture) is { } refusal
            ? refusal
            : project with
            {
                RunSheet = project.RunSheet.With(Of(project, step.Key) with { Photo = Picture }),
            };
}
