using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>The operations that mend one crumb or thin place and leave the others be.</summary>
public static class LeftoverMends
{
    /// <summary>Bridges become this much wider than what is found too thin, mm.</summary>
    public const double Clear = 0.5;

    private const double JustOver = 0.1;

    /// <summary>Takes it away.</summary>
    public static Operation Removal(Leftover left, Element element) =>
        left.Kind == LeftoverKind.Crumb
            ? new ClearCrumbs { Only = [BoxFit.SpotOf(element.Box, left.At)] }
            : new CutNecks
            {
                Width = Math.Max(Remainders.NeckWidth, left.Width + JustOver),
                Only = [BoxFit.SpotOf(element.Box, left.At)],
            };

    /// <summary>Widens it; null where there is nothing to bridge.</summary>
    public static Operation? Widening(Leftover left, Element element, Project project) =>
        left.Kind switch
        {
            LeftoverKind.Neck => new BridgeNecks
            {
                Width = Remainders.NeckWidth + Clear,
                Only = [BoxFit.SpotOf(element.Box, left.At)],
            },
            LeftoverKind.CoversMeet => new BridgeNecks
            {
                Width = StrokeFit.Covered(element, project) + StrokeFit.ClothBetween,
                Only = [BoxFit.SpotOf(element.Box, left.At)],
            },
            _ => null,
        };
}
