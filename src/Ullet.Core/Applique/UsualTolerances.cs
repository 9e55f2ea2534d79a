using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>How exact cutter and hands usually are, where nobody measured it.</summary>
public static class UsualTolerances
{
    /// <summary>The numbers that are taken for a cloth; laying is meant with fuse or tape.</summary>
    public static EdgeTolerances Of(Cloth cloth) =>
        new()
        {
            Cutting = Laying.CutterTolerance,
            Laying = Laying.Tolerance(Holding.Taped),
            TrimLeast = Laying.TrimLeaves.Least,
            TrimMost = Laying.TrimLeaves.Most,
            DrawIn = ClothPreset.Of(cloth).DrawIn,
        };
}
