using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Adds a line of the user's own to a hand step, or takes it away.</summary>
public sealed record NoteStep : Edit
{
    public const int LongestNote = 200;

    public required string StepKey { get; init; }

    /// <summary>The line; null or blank for none.</summary>
    public string? Note { get; init; }

    public override string Label(Project before) => "Change a note for the hands";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var key = Projects.StepKey.Parse(StepKey);
        var known =
            key is { } parsed
            && context
                .Evaluator.Evaluate(project)
                .RunSheet.Steps.Any(step => step is RunSheets.HandStep && step.Key == parsed);
        if (key is null || !known)
        {
            return new Refusal("step-unknown", "stepKey", $"There is no hand step \"{StepKey}\" in this project.");
        }
        var note = string.IsNullOrWhiteSpace(Note) ? null : Note.Trim();
        if (note is not null && (note.Length > LongestNote || note.Any(char.IsControl)))
        {
            return new Refusal(
                "note-broken",
                "note",
                $"A note is one line of up to {LongestNote} characters; this one has {note.Length}."
            );
        }
        var rest = project.RunSheet.Steps.RemoveAll(step => step.Key == key);
        return project with
        {
            RunSheet = project.RunSheet with
            {
                Steps = note is null ? rest : rest.Add(new StepOverride(key.Value, note)),
            },
        };
    }
}
