using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Says in which groups elements stand, by the groups' names. They are found and selected by them; nothing is moved.</summary>
public sealed record NameGroups : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>The names with commas between them; empty for none.</summary>
    public required string Names { get; init; }

    public override string Label(Project before) => $"Name the groups of {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        GroupNames
            .Read(Names)
            .Then(names =>
                Chosen
                    .Find(project, ElementIds, mayBeLocked: true)
                    .Then(elements =>
                        (Result<Project>)
                            elements.Aggregate(project, (so, each) => so.With(each with { GroupNames = names }))
                    )
            );
}
