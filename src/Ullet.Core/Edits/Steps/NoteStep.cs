using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Edits;

/// <summary>Adds a line of the user's own to a hand step, or takes it away.</summary>
public sealed record NoteStep : StepEdit
{
    public const int LongestNote = 200;

    /// <summary>The line; null or blank for none.</summary>
    public string? Note { get; init; }

    public override string Label(Project before) => "Change a note for the hands";

    private protected override Result<Project> Change(RunStep step, RunSheet sheet, Project project)
    {
        if (step is not HandStep)
        {
            return new Refusal("step-unknown", "stepKey", $"There is no hand step \"{StepKey}\" in this project.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        var note = string.IsNullOrWhiteSpace(Note) ? null : PlainText.Line(Note);
        if (note is not null && note.Length > LongestNote)
        {
            return new Refusal(
                "note-broken",
                "note",
                $"A note is one line of up to {LongestNote} characters; this one has {note.Length}."
            );
        }
        return project with { RunSheet = project.RunSheet.With(Of(project, step.Key) with { Note = note }) };
    }
}
