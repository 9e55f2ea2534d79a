using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Plot 14 harvest patch": a shield with a beetroot in satin and two fused leaves in zigzag.</summary>
internal static class HarvestPatch
{
    /// <summary>A beetroot: a round body with a dip at the crown and a root that runs to a point.</summary>
    internal static readonly DrawnShape Beetroot = new(
        0,
        -25,
        [
            new DrawnCurve(10, -29, 27, -27, 34, -12),
            new DrawnCurve(41, 4, 33, 19, 17, 25),
            new DrawnCurve(8, 28, 4, 33, 0, 50),
            new DrawnCurve(-4, 33, -8, 28, -17, 25),
            new DrawnCurve(-33, 19, -41, 4, -34, -12),
            new DrawnCurve(-27, -27, -10, -29, 0, -25),
        ]
    );

    internal static Project Make() =>
        new DemoProject("Plot 14 harvest patch", 130, 180)
            .Piece(
                "Shield",
                new ShieldShape(),
                new ElementBox(0, 0, 104, 122, 0),
                "shed",
                Method.TrimInTheHoop,
                "straw",
                4
            )
            .Piece(
                "Left leaf",
                new LeafShape(),
                new ElementBox(-15, -27, 25, 46, -26),
                "leaf",
                Method.CutBeforehand,
                "fern",
                cover: new CoverSettings { Kind = CoverKind.Zigzag }
            )
            .Piece(
                "Right leaf",
                new LeafShape(),
                new ElementBox(15, -27, 25, 46, 26),
                "leaf",
                Method.CutBeforehand,
                "fern",
                cover: new CoverSettings { Kind = CoverKind.Zigzag }
            )
            .Hold("Left leaf", Holding.Fused)
            .Hold("Right leaf", Holding.Fused)
            .Piece("Beetroot", Beetroot, new ElementBox(0, 20, 50, 56, 0), "beet", Method.TrimInTheHoop, "plum")
            .Project;
}
