using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Plot 14 pennant": a felt pennant edged with a motif, letters sewn together stage by stage, and a line of writing.</summary>
internal static class PlotPennant
{
    /// <summary>A pennant: straight top and sides, a notch below.</summary>
    private static readonly DrawnShape Pennant = new(
        0,
        0,
        [
            new DrawnCurve(0, 0, 160, 0, 160, 0),
            new DrawnCurve(160, 0, 160, 178, 160, 178),
            new DrawnCurve(160, 178, 80, 158, 80, 158),
            new DrawnCurve(80, 158, 0, 178, 0, 178),
            new DrawnCurve(0, 178, 0, 0, 0, 0),
        ]
    );

    internal static Project Make() =>
        new DemoProject("Plot 14 pennant", 200, 200)
            .Piece(
                "Pennant",
                Pennant,
                new ElementBox(0, 0, 168, 184, 0),
                "straw",
                Method.CutBeforehand,
                "rust",
                cover: new CoverSettings { Kind = CoverKind.Motif, MotifId = "picket" }
            )
            .Words("Plot", "titan-one", 136, 0, -46, "beet", "plum", coverWidth: 3)
            .Nudge(2, 3, 8)
            .Words("14", "chango", 84, 0, 8, "carrot", "rust", WordsUse.OnePiece, 3)
            .Words("Marrow Lane", "pacifico", 96, 0, 55, "beet", "slate", WordsUse.Satin)
            .Together()
            .Cut(new ClothCut { ClothId = "carrot", Lies = Lying.PaperUp })
            .Project;
}
