using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

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
