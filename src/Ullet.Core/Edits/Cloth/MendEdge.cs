using Ullet.Core.Applique;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Changes one number of a piece so that its edge match holds.</summary>
public sealed record MendEdge : ClothEdit
{
    public required EdgeNumber Number { get; init; }

    /// <summary>mm, or a share.</summary>
    public required double Value { get; init; }

    public override string Label(Project before) => $"Mend the edge of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        var (range, unit, what) = Number switch
        {
            EdgeNumber.CoverWidth => (StitchRanges.CoverWidth, "mm", "The cover width"),
            EdgeNumber.InsideShare => (StitchRanges.CoverInsideShare, "", "The cover's inside share"),
            EdgeNumber.LineInset => (StitchRanges.BeanInset, "mm", "The inset of the line"),
            EdgeNumber.CutAllowance => (StitchRanges.CutAllowance, "mm", "The cut allowance"),
        };
        return Limits.CheckRange(Value, range.Least, range.Most, unit, what, "value") is { } no
            ? no
            : project.With(EdgeMends.With(piece, new EdgeMend(Number, Value)));
    }
}
