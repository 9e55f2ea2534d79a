using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Takes back every number, thread and kind set by hand for a piece's stages: as first set by method and cloth.</summary>
public sealed record ResetStages : ClothEdit
{
    public override string Label(Project before) => $"Stages of {PieceName(before)} as first set";

    private protected override Result<Project> Change(AppliqueElement piece, Project project) =>
        project.With(
            piece.With(
                piece.Making with
                {
                    Stages = new StageSettings(),
                    CutAllowance = null,
                    Drift = null,
                    CutsAsSewn = false,
                }
            )
        );
}
