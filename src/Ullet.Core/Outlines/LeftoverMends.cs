using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>The operations that mend one crumb or thin place and leave the others be.</summary>
public static class LeftoverMends
{
    /// <summary>Bridges become this much wider than what is found too thin, mm.</summary>
    public const double Clear = 0.5;

    /// <summary>Cloth that shows between two covers once a place is widened, mm.</summary>
    public const double ClothBetween = 1;

    private const double JustOver = 0.1;

    /// <summary>Takes it away.</summary>
    public static Operation Removal(Leftover left, ElementBox box) =>
        left.Kind == LeftoverKind.Crumb
            ? new ClearCrumbs { Only = [BoxFit.SpotOf(box, left.At)] }
            : new CutNecks
            {
                Width = Math.Max(Remainders.NeckWidth, left.Width + JustOver),
                Only = [BoxFit.SpotOf(box, left.At)],
            };

    /// <summary>Widens it; null where there is nothing to bridge.</summary>
    /// <param name="left">What was found.</param>
    /// <param name="box">The element's frame.</param>
    /// <param name="coversNeed">What two covers take inside the cloth, mm.</param>
    public static Operation? Widening(Leftover left, ElementBox box, double coversNeed) =>
        left.Kind switch
        {
            LeftoverKind.Neck => new BridgeNecks
            {
                Width = Remainders.NeckWidth + Clear,
                Only = [BoxFit.SpotOf(box, left.At)],
            },
            LeftoverKind.CoversMeet => new BridgeNecks
            {
                Width = coversNeed + ClothBetween,
                Only = [BoxFit.SpotOf(box, left.At)],
            },
            _ => null,
        };
}
