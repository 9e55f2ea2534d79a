using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Beetroot and carrot block": layered pieces, each covered along what is seen of it.</summary>
internal static class VegetableBlock
{
    internal static Project Make() =>
        new DemoProject("Beetroot and carrot block", 200, 200)
            .Piece(
                "Bed",
                new EllipseShape(),
                new ElementBox(0, 6, 164, 150, 0),
                "straw",
                Method.CutBeforehand,
                "rust",
                cover: new CoverSettings { Kind = CoverKind.Motif, MotifId = "furrow" }
            )
            .Piece(
                "Carrot leaf",
                new LeafShape(),
                new ElementBox(50, -52, 24, 56, 24),
                "leaf",
                Method.CutBeforehand,
                "fern"
            )
            .Do(
                "Carrot leaf",
                _ => new RepeatRound
                {
                    Count = 3,
                    CentreY = 26,
                    Sweep = -56,
                }
            )
            .Piece(
                "Beet leaves",
                new LeafShape(),
                new ElementBox(-28, -44, 26, 58, -20),
                "shed",
                Method.CutBeforehand,
                "fern"
            )
            .Do("Beet leaves", _ => new Mirror { Distance = 14, Angle = 20 })
            .Piece(
                "Beetroot",
                HarvestPatch.Beetroot,
                new ElementBox(-22, 20, 72, 80, 0),
                "beet",
                Method.MarkedOnCloth,
                "plum"
            )
            .Piece(
                "Carrot",
                TeaTowelCorner.Carrot,
                new ElementBox(20, 24, 44, 104, 20),
                "carrot",
                Method.CutBeforehand,
                "rust"
            )
            .Project;
}
