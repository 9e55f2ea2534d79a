using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Rows of stitches over an outline's area.</summary>
/// <param name="Numbers">Spacing, angle, pattern, compensation, underlay.</param>
/// <param name="Guide">A curve that rows follow, on the wall, mm; empty for straight rows.</param>
/// <param name="NeedleLimit">Most needle points that a disc of 0.5 mm radius may take.</param>
public sealed record FillPlan(FillNumbers Numbers, ImmutableArray<Point> Guide, int NeedleLimit) : StitchPlan, IAreaPlan
{
    /// <summary>A thread that comes in while the first thins out; null for none.</summary>
    public string? SecondThreadId { get; init; }

    public override bool HidesUnderTop => !Numbers.IsOpen;

    double IAreaPlan.JoinNearer => 0;

    double IAreaPlan.MeantBare => Numbers.IsOpen ? double.MaxValue : 0;

    ImmutableArray<Region> IAreaPlan.Area(Outline outline) => RegionOffset.By(outline.Flatten(), Numbers.Compensation);

    /// <summary>The frame in which its rows lie.</summary>
    internal RowFrame Frame() => RowGuide.Of(Guide) is { } guide ? RowFrame.Along(guide) : RowFrame.At(Numbers.Angle);
}
