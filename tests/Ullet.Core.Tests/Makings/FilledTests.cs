using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Makings;

public sealed class FilledTests
{
    [Fact]
    public void MadeClothSatinFilledLineAndBack_NothingIsLost()
    {
        var project = Filled(
            new FilledMaking
            {
                Spacing = 0.6,
                Angle = 77,
                Pattern = RowPattern.Rills,
                Edge = new SatinEdge { Stitch = EdgeStitch.Bean },
            }
        );
        var before = project.Find("e1")!.Making;
        foreach (var kind in (string[])["cloth", "satin", "line", "filled"])
        {
            project = SampleProject.Apply(project, new SetMaking { ElementId = "e1", Kind = kind });
        }
        Assert.Equal(before, project.Find("e1")!.Making);
    }

    [Fact]
    public void RowsTurnWithTheirElement_UnlessTheyAreFixed()
    {
        double Angle(bool isFixed)
        {
            var project = Filled(new FilledMaking { Angle = 20, IsAngleFixed = isFixed });
            project = SampleProject.Apply(project, new PlaceElement { ElementId = "e1", Rotation = 50 });
            return Step(project).Numbers.Angle;
        }
        Assert.Equal((70, 20), (Angle(false), Angle(true)));
    }

    [Fact]
    public void AnEdge_IsAStepAfterTheFill_AndLooseRowsHaveNoRowsUnderThem()
    {
        var project = Filled(new FilledMaking { Spacing = 1.0, Edge = new SatinEdge() });
        var steps = SampleProject.Evaluate(project).RunSheet.Steps.OfType<StitchStep>().ToList();
        Assert.Equal([StageId.Fill, StageId.SatinEdge], steps.Select(step => step.Stage.Id));
        Assert.Equal(FillUnderlay.OfFilm, Step(project).Numbers.Underlay);
    }

    [Fact]
    public void BentRows_FollowAnArc_AndAreStraightAgain()
    {
        var project = SampleProject.Apply(Filled(new FilledMaking()), new BendRows { ElementId = "e1", By = 0.2 });
        Assert.NotEmpty(Step(project).Guide);
        project = SampleProject.Apply(project, new BendRows { ElementId = "e1", By = 0 });
        Assert.Empty(Step(project).Guide);
    }

    [Fact]
    public void ADrawnGuide_LosesItsShakes_AndOneThatTurnsBackIsRefused()
    {
        var project = Filled(new FilledMaking());
        var drawn = Enumerable
            .Range(0, 400)
            .SelectMany(i => (double[])[(i * 0.15) - 30, (5 * Math.Sin(i / 60.0)) + (i % 2 * 0.05)]);
        var laid = SampleProject.Apply(project, new LayGuide { ElementId = "e1", Line = [.. drawn] });
        Assert.InRange(Step(laid).Guide.Length, 4, FilledMaking.MostGuide);
        var back = new LayGuide { ElementId = "e1", Line = [-20, 0, 20, 0, 0, 1, 30, 0] };
        Assert.Equal("guide-unfit", SampleProject.Refused(project, back).Code);
        var odd = new LayGuide { ElementId = "e1", Line = [1, 2, 3] };
        Assert.Equal("guide-not-a-line", SampleProject.Refused(project, odd).Code);
    }

    [Fact]
    public void Film_IsLaidBeforeTheRows_AndTornAwayAfterThem_WhateverTheOrder()
    {
        foreach (var order in Enum.GetValues<StitchOrder>())
        {
            var project = WithFilm(Filled(new FilledMaking { Edge = new SatinEdge() }));
            project = SampleProject.Apply(project, new SetOrder { Order = order });
            var filled = project.Find("e1")!.MadeAs<FilledMaking>()! with { FilmClothId = "film" };
            project = SampleProject.Apply(project, new SetFilled { ElementId = "e1", Filled = filled });
            var steps = SampleProject.Evaluate(project).RunSheet.Steps.Where(step => step.OwnerId == "e1");
            Assert.Equal(["lay-film", "fill", "tear-film", "edge"], steps.Select(step => step.Key.Stage));
            Assert.Equal((1.0, FillUnderlay.OfFilm), (Step(project).Numbers.Spacing, Step(project).Numbers.Underlay));
        }
    }

    [Theory]
    [InlineData(null, 1.0)]
    [InlineData(0.5, 1.0)]
    [InlineData(1.4, 1.4)]
    public void FilmLaidUnderRows_LoosensThoseThatWouldHideIt_AndTakenAwayTheyAreAsUsual(double? spacing, double wanted)
    {
        var project = WithFilm(Filled(new FilledMaking { Spacing = spacing }));
        var laid = SampleProject.Apply(project, new SetFilm { ElementId = "e1", FilmClothId = "film" });
        Assert.Equal(wanted, Step(laid).Numbers.Spacing);
        var away = SampleProject.Apply(laid, new SetFilm { ElementId = "e1" });
        Assert.InRange(Step(away).Numbers.Spacing, 0.3, 0.5);
        var cloth = new SetFilm { ElementId = "e1", FilmClothId = project.Cloths[0].Id };
        Assert.Equal("film-unknown", SampleProject.Refused(project, cloth).Code);
    }

    [Fact]
    public void ASecondThread_ComesInWhileTheFirstThinsOut()
    {
        var project = Filled(new FilledMaking { Angle = 0, Spacing = 0.4 });
        var second = project.Threads.First(thread => thread.Id != project.Hooping.CoverThreadId).Id;
        project = SampleProject.Apply(
            project,
            new SetFilled
            {
                ElementId = "e1",
                Filled = new FilledMaking
                {
                    Angle = 0,
                    Spacing = 0.4,
                    SecondThreadId = second,
                },
            }
        );
        var sewn = SampleProject.Evaluate(project).Hoopings[0].Stitches.Single(pair => pair.Key.Stage == "fill").Value;
        int Rows(string? thread, bool above) =>
            sewn
                .Runs.Where(run => run.Kind == RunKind.Top && run.ThreadId == thread)
                .SelectMany(run => run.Points)
                .Where(point => point.Y < 0 == above)
                .Select(point => Math.Round(point.Y, 3))
                .Distinct()
                .Count();
        Assert.True(Rows(null, above: true) > 2 * Rows(null, above: false));
        Assert.True(Rows(second, above: false) > 2 * Rows(second, above: true));
        // Together they are as dense as one.
        Assert.InRange(Rows(null, true) + Rows(second, true), 30, 42);
    }

    [Fact]
    public void Film_UnderDenseRows_AndWhatIsNoFilm_AreRefused()
    {
        var project = WithFilm(Filled(new FilledMaking()));
        string? Code(string cloth, double? spacing) =>
            SampleProject
                .Refused(
                    project,
                    new SetFilled
                    {
                        ElementId = "e1",
                        Filled = new FilledMaking { FilmClothId = cloth, Spacing = spacing },
                    }
                )
                .Code;
        Assert.Equal("film-hidden", Code("film", 0.5));
        Assert.Equal("film-unknown", Code(project.Cloths[0].Id, null));
        Assert.Equal("film-unknown", Code("nothing", null));
    }

    private static Project WithFilm(Project project) =>
        project with
        {
            Cloths = project.Cloths.Add(
                project.Cloths[0] with
                {
                    Id = "film",
                    Name = "pearl film",
                    Kind = ClothKind.Film,
                }
            ),
        };

    [Theory]
    [InlineData(0.2, 0, 4, "spacing")]
    [InlineData(0.4, 200, 4, "angle")]
    [InlineData(0.4, 0, 9, "stitchLength")]
    public void NumbersOutOfRange_AreRefusedWithASentence(double spacing, double angle, double length, string place)
    {
        var refusal = MakingModules
            .All.First(module => module.Kind == "filled")
            .Check(
                new FilledMaking
                {
                    Spacing = spacing,
                    Angle = angle,
                    StitchLength = length,
                }
            );
        Assert.Equal(place, refusal?.Place);
        Assert.EndsWith(".", refusal!.Words, StringComparison.Ordinal);
    }

    private static FillPlan Step(Project project) =>
        (FillPlan)
            SampleProject
                .Evaluate(project)
                .RunSheet.Steps.OfType<StitchStep>()
                .First(step => step.Stage.Id == StageId.Fill)
                .Stage.Plan;

    private static Project Filled(FilledMaking filled)
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddPiece
            {
                Shape = new EllipseShape(),
                Box = new ElementBox(0, 0, 40, 30, 0),
                Method = Method.CutBeforehand,
            }
        );
        project = SampleProject.Apply(project, new SetMaking { ElementId = "e1", Kind = "filled" });
        return SampleProject.Apply(project, new SetFilled { ElementId = "e1", Filled = filled });
    }
}
