using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>How a stage is sewn. The kinds of plans are a closed family; each has a stitcher (<see cref="Stitchers"/>).</summary>
public abstract record StitchPlan
{
    /// <summary>True when its strokes lie side by side and hide what was sewn before them.</summary>
    public virtual bool HidesUnderTop => false;
}

/// <summary>A running stitch along an outline, mm.</summary>
/// <param name="StitchLength">Longest stitch.</param>
/// <param name="Inset">How far inside the outline it runs; below 0 outside.</param>
/// <param name="Passes">How often it goes round.</param>
public sealed record RunPlan(double StitchLength, double Inset, int Passes) : StitchPlan
{
    /// <summary>True to sew every stitch three times.</summary>
    public bool IsBean { get; init; }

    /// <summary>How wide it goes to and fro across the line, mm; 0 for along it.</summary>
    public double Across { get; init; }
}

/// <summary>A unit repeated along an outline's edges and lines, mm.</summary>
/// <param name="MotifId">The decorative unit; null for the teeth of a blanket stitch.</param>
/// <param name="Length">Length of one.</param>
/// <param name="Reach">How far it reaches to a side.</param>
/// <param name="IsMirrored">True to change its sides.</param>
/// <param name="Passes">How often it goes along.</param>
public sealed record UnitLinePlan(string? MotifId, double Length, double Reach, bool IsMirrored, int Passes)
    : StitchPlan;

/// <summary>A tack-down wider than a line, from its inset inwards, mm.</summary>
/// <param name="Kind">Zigzag or blanket.</param>
/// <param name="Inset">How far inside the outline it begins.</param>
/// <param name="Width">How wide it is.</param>
public sealed record TackPlan(TackKind Kind, double Inset, double Width) : StitchPlan;

/// <summary>Long stitches along an outline that come out again, mm.</summary>
/// <param name="StitchLength">Longest stitch.</param>
public sealed record BastingPlan(double StitchLength) : StitchPlan;

/// <summary>A cover over or along an edge.</summary>
/// <param name="Numbers">Kind and numbers.</param>
/// <param name="Visible">The stretches of edge that it is made along; null for all of it.</param>
public sealed record CoverPlan(CoverNumbers Numbers, VisibleEdge? Visible) : StitchPlan
{
    public override bool HidesUnderTop => Numbers.HidesEdge;
}
