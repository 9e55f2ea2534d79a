using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>An edit that sets one thing of every chosen element, whatever the others are.</summary>
public abstract record StateEdit : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context) =>
        Chosen
            .Find(project, ElementIds, MayBeLocked)
            .Then(elements => (Result<Project>)elements.Aggregate(project, (so, each) => so.With(Changed(each))));

    /// <summary>True when locked elements take it as well.</summary>
    private protected virtual bool MayBeLocked => true;

    private protected abstract Element Changed(Element element);
}
