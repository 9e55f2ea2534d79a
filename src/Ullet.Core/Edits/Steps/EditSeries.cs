using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Several edits that a mend asks for, made as one step: all of them or none. It is not asked for by itself.</summary>
/// <param name="Name">What they do together.</param>
/// <param name="Edits">In their order.</param>
internal sealed record EditSeries(string Name, ImmutableArray<Edit> Edits) : Edit
{
    public override string Label(Project before) => Name;

    public override Result<Project> Apply(Project project, EditContext context) =>
        Edits.Aggregate((Result<Project>)project, (so, edit) => so.Then(now => edit.Apply(now, context)));
}
