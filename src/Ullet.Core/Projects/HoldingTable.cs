using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What keeps a laid cloth in place, in the trade's words.</summary>
public static class HoldingTable
{
    public static readonly ImmutableArray<(Holding Id, string Name)> All =
    [
        (Holding.Taped, "tape"),
        (Holding.Fused, "a fusible backing"),
        (Holding.Sprayed, "basting spray"),
        (Holding.Nothing, "hands only"),
    ];
}

/// <summary>The stitches of a tack-down, in the trade's words.</summary>
public static class TackTable
{
    public static readonly ImmutableArray<(TackKind Id, string Name)> All =
    [
        (TackKind.DoubleRun, "double run"),
        (TackKind.Zigzag, "zigzag"),
        (TackKind.Blanket, "blanket stitch"),
    ];
}
