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

    /// <summary>What is done before a cloth is laid that spray is to hold, with a space after it.</summary>
    internal static string Spraying(string cloth) =>
        $"Spray the underside of {cloth} lightly, away from hoop and machine. ";
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
