using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Tea-towel corner": a carrot in zigzag with tops that fray, and a moon to sow by in a window.</summary>
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
            .Piece("Left top", new LeafShape(), new ElementBox(-4, -26, 14, 34, -6), "leaf", Method.RawEdge, "fern")
            .Piece("Right top", new LeafShape(), new ElementBox(16, -20, 14, 34, 48), "leaf", Method.RawEdge, "fern")
            .Piece(
                "Carrot",
                Carrot,
                new ElementBox(-10, 14, 27, 58, 28),
                "carrot",
                Method.CutBeforehand,
                "rust",
                cover: new CoverSettings { Kind = CoverKind.Zigzag }
            )
            .Hold("Carrot", Holding.Fused)
            .Piece(
                "Moon",
                new CrescentShape(0.4),
                new ElementBox(27, 26, 20, 29, 200),
                "barrow",
                Method.SetBehind,
                "straw",
                3
            )
            .Project;
}
