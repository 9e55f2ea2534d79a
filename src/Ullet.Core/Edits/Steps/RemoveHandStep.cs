using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Takes a hand step of the user's own away.</summary>
public sealed record RemoveHandStep : Edit
{
    public required string Id { get; init; }

    public override string Label(Project before) => "Delete a hand step";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var sheet = project.RunSheet;
        if (sheet.Hands.FirstOrDefault(hand => hand.Id == Id) is not { } found)
        {
            return new Refusal("step-unknown", "id", $"There is no hand step \"{Id}\" of your own in this project.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        return project with
        {
            RunSheet = sheet with
            {
                Hands = sheet.Hands.Remove(found),
                Sequence = sheet.Sequence.Remove(found.Key),
                Steps = sheet.Steps.RemoveAll(step => step.Key == found.Key),
            },
        };
    }
}
