using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Cuts a piece that is cut to size a little larger or smaller all round.</summary>
public sealed record SetCutAllowance : ClothEdit
{
    /// <summary>mm outwards; null for the method's own.</summary>
    public double? Allowance { get; init; }

    public override string Label(Project before) => $"Change the cut size of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        var changed = piece.With(piece.Making with { CutAllowance = Allowance });
        return StageLimits.Check(changed.Making) is { } refusal ? refusal : project.With(changed);
    }
}
