using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Server.Demo;

/// <summary>"Rowan's gate initial": a large letter carved by the embroidered name across it, on a bar that is joined to it.</summary>
internal static class GateInitial
{
    /// <summary>The fill-ins of its order book.</summary>
    internal const string InitialField = "initial";

    internal const string NameField = "name";

    internal static Project Make()
    {
        var demo = Made();
        string Id(string name) => demo.Project.Elements.First(element => element.Name == name).Id;
        return demo.Apply(
                new MarkFillIn
                {
                    FillIn = new WordsFillIn
                    {
                        Id = InitialField,
                        Label = "Initial",
                        ElementIds = [Id("R")],
                        Longest = 1,
                        Characters = CharacterSet.Letters,
                        Fit = new WordsFit
                        {
                            Room = new ElementBox(0, -6, 160, 140, 0),
                            SmallestHeight = 90,
                            AllCapitals = true,
                        },
                    },
                }
            )
            .Apply(
                new MarkFillIn
                {
                    FillIn = new WordsFillIn
                    {
                        Id = NameField,
                        Label = "Name",
                        ElementIds = [Id("Rowan")],
                        Longest = 16,
                        Characters = CharacterSet.Letters,
                        Fit = new WordsFit { Room = new ElementBox(0, 4, 176, 74, 0), SmallestHeight = 16 },
                    },
                }
            )
            .Project;
    }

    private static DemoProject Made() =>
        new DemoProject("Rowan’s gate initial", 200, 200)
            .Words("R", "chango", 124, 0, -6, "shed", "straw", WordsUse.OnePiece, coverWidth: 3.5)
            .Piece(
                "Bar",
                new RectangleShape(),
                new ElementBox(0, 54, 150, 18, 0),
                "shed",
                Method.CutBeforehand,
                "straw"
            )
            .Words("Rowan", "dancing-script-bold", 156, 0, 4, "straw", "rust", WordsUse.Satin)
            .Do("R", id => new Carve { SourceIds = [id("Rowan")], Reveal = 2 })
            .Do("R", _ => new ClearCrumbs())
            .Do("R", id => new Join { SourceIds = [id("Bar")] })
            .Do("R", _ => new RoundCorners { Radius = 3, Side = CornerSide.Outer });
}
