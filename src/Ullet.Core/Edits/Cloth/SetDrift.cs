using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Says how far stitches may lie from a rough outline, and which of the two lines the cloth is cut along.</summary>
public sealed record SetDrift : ClothEdit
{
    /// <summary>mm; null for the usual.</summary>
    public double? Drift { get; init; }

    /// <summary>True to cut along the line that is sewn, false along the outline as drawn.</summary>
    public bool CutsAsSewn { get; init; }

    public override string Label(Project before) => $"Change how {PieceName(before)} follows its outline";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        var changed = piece.With(piece.Making with { Drift = Drift, CutsAsSewn = CutsAsSewn });
        return StageLimits.Check(changed.Making) is { } refusal ? refusal : project.With(changed);
    }
}
