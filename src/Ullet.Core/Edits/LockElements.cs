using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

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
