using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes a group of elements, or takes their groups apart.</summary>
public sealed record GroupElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>False to take the groups of these elements apart.</summary>
    public bool Together { get; init; } = true;

    public override string Label(Project before) =>
        Together ? $"Group {NameOf(before, ElementIds)}" : "Take the group apart";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var found = Chosen.Find(project, ElementIds, mayBeLocked: true);
        if (!found.IsOk)
        {
            return found.Refusal!;
        }
        if (Together && found.Value.Length < 2)
        {
            return new Refusal("too-few", "elementIds", "A group needs at least two elements; select another too.");
        }
        var groups = found.Value.Select(element => element.GroupId).Where(id => id is not null).ToHashSet();
        var own = Together ? $"g{project.NextNumber}" : null;
        return project with
        {
            Elements =
            [
                .. project.Elements.Select(element =>
                    ElementIds.Contains(element.Id) || (!Together && groups.Contains(element.GroupId))
                        ? element with
                        {
                            GroupId = own,
                        }
                        : element
                ),
            ],
            NextNumber = project.NextNumber + (Together ? 1 : 0),
        };
    }
}
