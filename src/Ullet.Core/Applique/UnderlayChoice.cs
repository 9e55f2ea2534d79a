using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>What lies underneath, as it was ticked.</summary>
public static class UnderlayChoice
{
    /// <summary>Where nothing is ticked each width has its own; ticking begins from this.</summary>
    public static readonly UnderlaySettings Usual = new(CentreRun: true, EdgeRuns: true, Zigzag: false);

    internal static UnderlayKinds? Of(UnderlaySettings? set) =>
        set is null
            ? null
            : (set.CentreRun ? UnderlayKinds.CentreRun : UnderlayKinds.None)
                | (set.EdgeRuns ? UnderlayKinds.EdgeRuns : UnderlayKinds.None)
                | (set.Zigzag ? UnderlayKinds.Zigzag : UnderlayKinds.None);
}
