using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Shed-key tab": a felt tab edged in blanket stitch, with a hole for the ring and a vinyl heart held by a bean stitch.</summary>
internal static class ShedKeyTab
{
    internal static Project Make() =>
        new DemoProject("Shed-key tab", 100, 100)
            .Piece(
                "Tab",
                new RectangleShape(9),
                new ElementBox(0, 0, 46, 84, 0),
                "straw",
                Method.CutBeforehand,
                "rust",
                hole: new PieceHole(new EllipseShape(), 0, -28, 12, 12),
                cover: new CoverSettings { Kind = CoverKind.Blanket }
            )
            .Piece(
                "Heart",
                new HeartShape(),
                new ElementBox(0, 10, 28, 26, 0),
                "barrow",
                Method.CutBeforehand,
                "plum",
                cover: new CoverSettings { Kind = CoverKind.Bean }
            )
            .Project;
}
