using System.Reflection;
using System.Text.Json.Serialization;
using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Forms;
using Ullet.Core.Makings;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Makings;

public sealed class MakingModulesTests
{
    [Fact]
    public void Registry_HoldsEveryMakingOfTheDocumentFormat_UnderItsWord() =>
        Assert.Equal(
            Words<Making>().OrderBy(pair => pair.Word),
            MakingModules.All.Select(module => (module.Kind, module.Settings)).OrderBy(pair => pair.Kind)
        );

    [Fact]
    public void Registry_HoldsEveryFormOfTheDocumentFormat() =>
        Assert.Equal(
            Words<Form>().Select(pair => pair.Type).ToHashSet(),
            FormModules.All.Select(module => module.Settings).ToHashSet()
        );

    [Fact]
    public void EveryOperation_EveryCover_AndEveryHandKind_HasItsRow()
    {
        Assert.Equal(
            Words<Operation>().Select(pair => pair.Type).ToHashSet(),
            OperationTable.All.Select(row => row.Type).ToHashSet()
        );
        Assert.Equal(Enum.GetValues<CoverKind>(), CoverTable.All.Select(row => row.Kind).Order());
        Assert.Equal(Enum.GetValues<HandKind>().Order(), HandTable.All.Select(row => row.Kind).Order());
        Assert.Equal(HandTable.All.Length, HandTable.All.Select(row => row.FileWord).Distinct().Count());
    }

    [Fact]
    public void EveryPlan_HasAStitcher() =>
        Assert.Equal(
            typeof(StitchPlan).Assembly.GetTypes().Where(type => type.IsSubclassOf(typeof(StitchPlan))).ToHashSet(),
            Stitchers.All.Select(stitcher => stitcher.Plan).ToHashSet()
        );

    [Fact]
    public void EveryStage_HasARow_AndItsOwnWordInKeys()
    {
        Assert.Equal(Enum.GetValues<StageId>(), StageTable.All.Select(row => row.Id).Order());
        Assert.Equal(StageTable.All.Length, StageTable.All.Select(row => row.Key).Distinct().Count());
    }

    [Fact]
    public void ClothToLineToCloth_LosesNothing()
    {
        var cloth = SampleProject.Apply(
            SampleProject.With(new HeartShape(), method: Method.CutBeforehand),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 4.2, ThreadId = "line" },
            },
            new SetCutAllowance { ElementId = "e1", Allowance = 0.4 },
            new SetDrift
            {
                ElementId = "e1",
                Drift = 0.2,
                CutsAsSewn = true,
            }
        );
        var line = SampleProject.Apply(
            cloth,
            new SetMaking { ElementId = "e1", Kind = "line" },
            new SetLine
            {
                ElementId = "e1",
                Line = new LineSettings { Passes = 2, StitchLength = 3.1 },
            }
        );
        Assert.Equal(["e1.line.0"], StitchKeys(line));
        var again = SampleProject.Apply(line, new SetMaking { ElementId = "e1", Kind = "cloth" });
        Assert.Equal(cloth.Elements[0].Making, again.Elements[0].Making);
        Assert.Equal(StitchKeys(cloth), StitchKeys(again));
        var twice = SampleProject.Apply(again, new SetMaking { ElementId = "e1", Kind = "line" });
        Assert.Equal(
            (2, 3.1),
            (twice.Elements[0].Line().Stitching.Passes, twice.Elements[0].Line().Stitching.StitchLength)
        );
        Assert.Single(twice.Elements[0].Kept);
    }

    [Fact]
    public void AConstructionShape_ServesAsWhatItWasLast_NotAsWhatItWasBefore()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new SetMaking { ElementId = "e1", Kind = "line" },
            new SetMaking { ElementId = "e1", Kind = "construction" }
        );
        Assert.True(project.Elements[0].MadeAs<ConstructionMaking>()!.AlongLines);
        var cloth = SampleProject.Apply(
            project,
            new SetMaking { ElementId = "e1", Kind = "cloth" },
            new MakeConstruction { ElementIds = ["e1"], IsConstruction = true }
        );
        Assert.False(cloth.Elements[0].MadeAs<ConstructionMaking>()!.AlongLines);
        Assert.DoesNotContain(cloth.Elements[0].Kept, kept => kept is ConstructionMaking);
        var sewn = SampleProject.Apply(cloth, new MakeConstruction { ElementIds = ["e1"], IsConstruction = false });
        Assert.IsType<ClothMaking>(sewn.Elements[0].Making);
    }

    [Fact]
    public void WordsStitchedAlongTheirEdges_StayThat_AsAConstructionShape()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = "Bean",
                FontId = "block",
                Use = WordsUse.StitchedOutline,
            },
            new MakeConstruction { ElementIds = ["e1"], IsConstruction = true }
        );
        Assert.Equal(WordsUse.StitchedOutline, WordsUses.Of(project.Elements[0]));
        Assert.Empty(SampleProject.Context.Evaluator.Bare(project.Elements[0]).Parts);
    }

    [Theory]
    [InlineData("cloth", "encloses nothing")]
    [InlineData("zone", "encloses nothing")]
    public void AnOpenLine_SaysWhyItDoesNotFit(string kind, string why)
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new DrawLine { Line = new DrawnLine(0, 0, [new DrawnCurve(0, 0, 30, 5, 30, 5)]) }
        );
        var refusal = SampleProject.Refused(project, new SetMaking { ElementId = "e1", Kind = kind });
        Assert.Equal("making-unfit", refusal.Code);
        Assert.Contains(why, refusal.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void EveryFormThatFits_IsMadeOfEveryKind_AndStillEvaluates()
    {
        var start = SampleProject.Apply(
            SampleProject.With(new StarShape()),
            new AddWords { Text = "Bean", FontId = "block" },
            new DrawLine
            {
                Line = new DrawnLine(
                    0,
                    0,
                    [
                        new DrawnCurve(0, 0, 30, 5, 30, 5),
                        new DrawnCurve(30, 5, 0, 30, 0, 30),
                        new DrawnCurve(0, 30, 0, 0, 0, 0),
                    ]
                ),
            }
        );
        foreach (var element in start.Elements)
        {
            foreach (var module in MakingModules.All)
            {
                var made = new SetMaking { ElementId = element.Id, Kind = module.Kind }.Apply(
                    start,
                    SampleProject.Context
                );
                Assert.Equal(module.Unfit(element) is null, made.IsOk);
                if (made.IsOk)
                {
                    var owners = SampleProject.Evaluate(made.Value).RunSheet.Steps.Select(step => step.OwnerId);
                    Assert.Equal(made.Value.Find(element.Id)!.Making.IsSewn, owners.Contains(element.Id));
                    Assert.True(IsAdmitted(start, made.Value));
                }
            }
        }
    }

    [Fact]
    public void AHoleOfALeaningDrawing_LiesAtTheSamePlace_AsClothAndAsALine()
    {
        var cloth = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new FreezeElement { ElementId = "e1" },
            new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 4, 6, 12, 9) },
            new SkewElements { ElementIds = ["e1"], Degrees = 20 }
        );
        var line = SampleProject.Apply(cloth, new SetMaking { ElementId = "e1", Kind = "line" });
        var hole = SampleProject.Context.Evaluator.OutlineOf(cloth.Elements[0]).Parts[0].Holes[0].Bounds();
        var sewn = SampleProject.Context.Evaluator.OutlineOf(line.Elements[0]).Lines[^1].Bounds();
        Assert.Equal(hole.MinX, sewn.MinX, 1e-6);
        Assert.Equal(hole.MaxX, sewn.MaxX, 1e-6);
        Assert.Equal(hole.MaxY, sewn.MaxY, 1e-6);
    }

    [Fact]
    public void UnknownMakings_LockedElements_AndPartsOfPatterns_AreRefused()
    {
        var heart = SampleProject.With(new HeartShape());
        Assert.Equal(
            "making-unknown",
            SampleProject.Refused(heart, new SetMaking { ElementId = "e1", Kind = "balloon" }).Code
        );
        var locked = SampleProject.Apply(heart, new LockElements { ElementIds = ["e1"], Locked = true });
        Assert.Equal(
            "element-locked",
            SampleProject.Refused(locked, new SetMaking { ElementId = "e1", Kind = "line" }).Code
        );
    }

    private static bool IsAdmitted(Project before, Project after) => Core.Documents.Admission.Of(before, after).IsOk;

    private static List<string> StitchKeys(Project project) =>
        [
            .. SampleProject
                .Evaluate(project)
                .RunSheet.Steps.OfType<Core.RunSheets.StitchStep>()
                .Select(step => step.Key.ToString()),
        ];

    private static IEnumerable<(string Word, Type Type)> Words<T>() =>
        typeof(T)
            .GetCustomAttributes<JsonDerivedTypeAttribute>()
            .Select(attribute => ((string)attribute.TypeDiscriminator!, attribute.DerivedType));
}
