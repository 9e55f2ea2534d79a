using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Applies a piece in another way; numbers set by hand stay.</summary>
public sealed record SetMethod : ElementEdit<AppliqueElement>
{
    public required Method Method { get; init; }

    public override string Label(Project before) => $"Change the method of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project) =>
        project.With(piece with { Method = Method });
}
