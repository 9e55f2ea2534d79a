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

/// <summary>Locks elements against moving, resizing and deleting, or unlocks them.</summary>
public sealed record LockElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public required bool Locked { get; init; }

    public override string Label(Project before) => $"{(Locked ? "Lock" : "Unlock")} {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen
            .Find(project, ElementIds, mayBeLocked: true)
            .Then(elements =>
                (Result<Project>)elements.Aggregate(project, (so, each) => so.With(each with { IsLocked = Locked }))
            );
}

/// <summary>Hides elements on the wall, or shows them again; they are sewn and cut all the same.</summary>
public sealed record HideElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public required bool Hidden { get; init; }

    public override string Label(Project before) => $"{(Hidden ? "Hide" : "Show")} {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen
            .Find(project, ElementIds, mayBeLocked: true)
            .Then(elements =>
                (Result<Project>)elements.Aggregate(project, (so, each) => so.With(each with { IsHidden = Hidden }))
            );
}
