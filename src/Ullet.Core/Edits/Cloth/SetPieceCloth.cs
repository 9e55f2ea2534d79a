using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

public sealed record SetPieceCloth : ClothEdit
{
    public required string ClothId { get; init; }

    public override string Label(Project before) => $"Change the cloth of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project) =>
        project.FindCloth(ClothId) is null
            ? EditRefusals.NoCloth(ClothId)
            : project.With(piece.With(piece.Making with { ClothId = ClothId }));
}
