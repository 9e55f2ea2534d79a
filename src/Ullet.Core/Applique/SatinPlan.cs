using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Satin columns over an outline's area, or in a band along its lines.</summary>
/// <param name="Numbers">Spacing, compensation, underlay.</param>
/// <param name="Band">The band along its lines; null for the area that it encloses.</param>
/// <param name="Directions">Lines across it that turn its strokes, on the wall, mm.</param>
/// <param name="Order">Which of its parts come first.</param>
/// <param name="JoinNearer">Parts nearer than this are sewn on without a trim, mm.</param>
public sealed record SatinPlan(
    ColumnNumbers Numbers,
    SatinBand? Band,
    ImmutableArray<StrokeDirection> Directions,
    LetterOrder Order,
    double JoinNearer
) : StitchPlan, IAreaPlan
{
    int IAreaPlan.NeedleLimit => Numbers.NeedleLimit;

    double IAreaPlan.MeantBare => 0;

    public override bool HidesUnderTop => true;

    /// <summary>What it should cover of an outline: the area or the band, with its compensation.</summary>
    ImmutableArray<Region> IAreaPlan.Area(Outline outline)
    {
        var drawn = Band is { } band ? LineBand.Of(outline, band) : outline.Flatten();
        return Numbers.Compensation > 0 ? RegionOffset.By(drawn, Numbers.Compensation) : drawn;
    }
}
