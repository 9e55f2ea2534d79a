using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Takes elements away, with all their stages and what was decided about their steps.</summary>
public sealed record RemoveElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public override string Label(Project before) => $"Delete {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var found = Chosen.Find(project, ElementIds);
        if (!found.IsOk)
        {
            return found.Refusal!;
        }
        return project with
        {
            Elements = [.. project.Elements.Where(element => !ElementIds.Contains(element.Id))],
            RunSheet = project.RunSheet with
            {
                Steps = [.. project.RunSheet.Steps.Where(step => !ElementIds.Contains(step.Key.OwnerId))],
            },
        };
    }
}
