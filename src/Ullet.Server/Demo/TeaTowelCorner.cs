using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Tea-towel corner": a carrot with its tops, and a small moon to sow by.</summary>
internal static class TeaTowelCorner
{
    /// <summary>A carrot: broad shoulders, a long taper to a blunt point.</summary>
    internal static readonly DrawnShape Carrot = new(
        0,
        0,
        [
            new DrawnCurve(8, -5, 17, -2, 17, 9),
            new DrawnCurve(17, 30, 8, 58, 0, 76),
            new DrawnCurve(-8, 58, -17, 30, -17, 9),
            new DrawnCurve(-17, -2, -8, -5, 0, 0),
        ]
    );

    internal static Project Make() =>
        new DemoProject("Tea-towel corner", 100, 100)
            .Piece(
                "Left top",
                new LeafShape(),
                new ElementBox(-4, -26, 14, 34, -6),
                "leaf",
                Method.TrimInTheHoop,
                "fern",
                3
            )
            .Piece(
                "Right top",
                new LeafShape(),
                new ElementBox(16, -20, 14, 34, 48),
                "leaf",
                Method.TrimInTheHoop,
                "fern",
                3
            )
            .Piece("Carrot", Carrot, new ElementBox(-10, 14, 27, 58, 28), "carrot", Method.TrimInTheHoop, "rust")
            .Piece(
                "Moon",
                new CrescentShape(0.4),
                new ElementBox(27, 26, 20, 29, 200),
                "straw",
                Method.CutBeforehand,
                "straw",
                2.6
            )
            .Project;
}
