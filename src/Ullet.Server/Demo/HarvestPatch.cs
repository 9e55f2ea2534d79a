using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Plot 14 harvest patch": a shield with a beetroot and two leaves.</summary>
internal static class HarvestPatch
{
    /// <summary>A beetroot: a round body with a dip at the crown and a root that runs to a point.</summary>
    private static readonly DrawnShape Beetroot = new(
        0,
        -22,
        [
            new DrawnCurve(8, -28, 25, -28, 32, -14),
            new DrawnCurve(39, 0, 31, 15, 19, 22),
            new DrawnCurve(11, 27, 6, 35, 0, 50),
            new DrawnCurve(-6, 35, -11, 27, -19, 22),
            new DrawnCurve(-31, 15, -39, 0, -32, -14),
            new DrawnCurve(-25, -28, -8, -28, 0, -22),
        ]
    );

    internal static Project Make() =>
        new DemoProject("Plot 14 harvest patch", 130, 180)
            .Piece("Shield", new ShieldShape(), new ElementBox(0, 0, 104, 122, 0), "shed", Method.TrimInTheHoop, "straw", 4)
            .Piece("Left leaf", new LeafShape(), new ElementBox(-15, -27, 25, 46, -26), "leaf", Method.CutBeforehand, "fern")
            .Piece("Right leaf", new LeafShape(), new ElementBox(15, -27, 25, 46, 26), "leaf", Method.CutBeforehand, "fern")
            .Piece("Beetroot", Beetroot, new ElementBox(0, 20, 50, 56, 0), "beet", Method.TrimInTheHoop, "plum")
            .Project;
}
