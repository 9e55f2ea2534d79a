using System.Collections.Immutable;
using Ullet.Core.Documents;
using Ullet.Core.Edits;
using Ullet.Core.Orders;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Orders;

/// <summary>What each kind of fill-in takes, and what it makes of the project; the project itself is never changed.</summary>
public sealed class FillingTests
{
    private static Project Applied(Project project, params ImmutableArray<Edit> edits) =>
        SampleProject.Apply(project, edits);

    private static AddPiece Heart(double x) =>
        new()
        {
            Shape = new HeartShape(),
            ClothId = "beet",
            Box = new ElementBox(x, 0, 24, 22, 0),
        };

    /// <summary>Lines of words one under the other, each a fill-in of one group.</summary>
    private static Project Lines(params ReadOnlySpan<string> texts)
    {
        var project = SampleProject.Empty();
        for (var i = 0; i < texts.Length; i++)
        {
            project = Applied(
                project,
                new AddWords
                {
                    Text = texts[i],
                    FontId = BlockFonts.Id,
                    Use = WordsUse.StitchedOutline,
                    CapHeight = 8,
                    X = 0,
                    Y = -40 + (i * 20),
                }
            );
            project = Applied(
                project,
                new MarkFillIn
                {
                    FillIn = new WordsFillIn
                    {
                        Id = $"line{i}",
                        Label = $"Line {i}",
                        Group = "lines",
                        ElementIds = [project.Elements[^1].Id],
                        Fit = new WordsFit { Room = new ElementBox(0, -40 + (i * 20), 90, 16, 0) },
                    },
                }
            );
        }
        return project;
    }

    private static Project Changed<TFillIn>(Project project, string id, Func<TFillIn, FillIn> change)
        where TFillIn : FillIn =>
        Applied(project, new MarkFillIn { FillIn = change((TFillIn)project.FillIns.First(own => own.Id == id)) });

    private static FilledOrder Fill(Project project, params ReadOnlySpan<(string Id, string Text)> values)
    {
        var said = OrderValues.None;
        foreach (var (id, text) in values)
        {
            said = said.With(id, text);
        }
        return new OrderFill(SampleProject.Context).Of(project, said);
    }

    private static string? TextOf(FilledOrder filled, Project master, string id) =>
        filled
            .Project.Find(((WordsFillIn)master.FillIns.First(own => own.Id == id)).ElementIds[0])
            ?.FormedAs<TextForm>()
            ?.Text;

    [Fact]
    public void Words_TakeTheirPlace_AndTheMasterStays()
    {
        var master = Lines("Rowan", "Plot");
        var before = ProjectJson.Write(master);
        var filled = Fill(master, ("line0", "Ama"), ("line1", "seven"));
        Assert.True(filled.IsWhole);
        Assert.Equal(("Ama", "seven"), (TextOf(filled, master, "line0"), TextOf(filled, master, "line1")));
        Assert.Equal("Ama, seven", filled.Words);
        Assert.Empty(filled.Project.FillIns);
        Assert.Equal(before, ProjectJson.Write(master));
        Assert.Null(DocumentCheck.Fatal(filled.Project));
    }

    [Fact]
    public void Words_InCapitals_AreSetSo()
    {
        var master = Changed<WordsFillIn>(
            Lines("ROWAN"),
            "line0",
            own => own with { Fit = own.Fit with { AllCapitals = true } }
        );
        Assert.Equal("AMA", TextOf(Fill(master, ("line0", "Ama")), master, "line0"));
    }

    [Theory]
    [InlineData(CharacterSet.Letters, "Plot 7", "“7”")]
    [InlineData(CharacterSet.Figures, "7a", "“a”")]
    [InlineData(CharacterSet.LettersAndFigures, "a&b", "“&”")]
    public void Words_OfOtherCharacters_AreTold(CharacterSet characters, string text, string named)
    {
        var master = Changed<WordsFillIn>(Lines("Rowan"), "line0", own => own with { Characters = characters });
        var trouble = Assert.Single(Fill(master, ("line0", text)).Outcomes).Trouble!;
        Assert.Equal("fill-in-characters", trouble.Code);
        Assert.Contains(named, trouble.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void ALetterThatTheFontLacks_IsTold_AndTheRestIsFilledIn()
    {
        var master = Lines("Rowan", "Plot");
        var filled = Fill(master, ("line0", "café"), ("line1", "nine"));
        Assert.Equal("characters-missing", filled.Outcomes[0].Trouble?.Code);
        Assert.Equal("nine", TextOf(filled, master, "line1"));
        Assert.Equal("Rowan", TextOf(filled, master, "line0"));
    }

    [Fact]
    public void EmptyWords_GoWithTheirSteps_AndWhatFollowsMovesUp()
    {
        var master = Changed<WordsFillIn>(
            Lines("One", "Two", "Three"),
            "line1",
            own => own with { WhenEmpty = WhenEmpty.CloseUp }
        );
        var filled = Fill(master, ("line0", "One"), ("line2", "Three"));
        Assert.Null(TextOf(filled, master, "line1"));
        var third = ((WordsFillIn)master.FillIns[2]).ElementIds[0];
        Assert.Equal(master.Find(third)!.Box.Y - 20, filled.Project.Find(third)!.Box.Y, 0.5);
        Assert.Equal(-20, filled.Rooms.First(each => each.ElementId == third).Room.Box.Y, 0.5);
        Assert.DoesNotContain(
            SampleProject.Context.Evaluator.Evaluate(filled.Project).RunSheet.Steps,
            step => step.OwnerId == ((WordsFillIn)master.FillIns[1]).ElementIds[0]
        );
    }

    [Fact]
    public void EmptyWords_MayBeAnotherText()
    {
        var master = Changed<WordsFillIn>(
            Lines("One"),
            "line0",
            own => own with { WhenEmpty = WhenEmpty.Instead, Instead = "Guest" }
        );
        Assert.Equal("Guest", TextOf(Fill(master), master, "line0"));
    }

    [Fact]
    public void ABaseline_IsKept_ByLettersThatHangBelowIt()
    {
        var master = Changed<WordsFillIn>(
            Lines("Rowan"),
            "line0",
            own => own with { Fit = own.Fit with { KeepBaseline = true } }
        );
        var id = ((WordsFillIn)master.FillIns[0]).ElementIds[0];
        var evaluator = SampleProject.Context.Evaluator;
        var before = evaluator.BaselineOf(master.Find(id)!)!.Value.Y;
        var filled = Fill(master, ("line0", "gag"));
        Assert.Equal(before, evaluator.BaselineOf(filled.Project.Find(id)!)!.Value.Y, 0.01);
    }

    [Theory]
    [InlineData("7", "007", null)]
    [InlineData("007", "007", null)]
    [InlineData("1O", null, "number-broken")]
    [InlineData("7.5", null, "number-decimals")]
    [InlineData("1200", null, "number-out-of-range")]
    public void Numbers_AreReadAndFilledUp(string typed, string? sewn, string? code)
    {
        var lines = Lines("00");
        var id = ((WordsFillIn)lines.FillIns[0]).ElementIds[0];
        var master = Applied(
            lines with
            {
                FillIns = [],
            },
            new MarkFillIn
            {
                FillIn = new NumberFillIn
                {
                    Id = "plot",
                    Label = "Plot",
                    ElementIds = [id],
                    Figures = 3,
                    Fit = new WordsFit { Room = new ElementBox(0, -40, 90, 16, 0) },
                },
            }
        );
        var outcome = Assert.Single(Fill(master, ("plot", typed)).Outcomes);
        Assert.Equal(code, outcome.Trouble?.Code);
        if (sewn is not null)
        {
            Assert.Equal(sewn, outcome.Said);
            Assert.Equal(typed == sewn, outcome.Odd is null);
        }
        if (typed == "1O")
        {
            Assert.Contains("a letter among its figures", outcome.Trouble!.Words, StringComparison.Ordinal);
        }
    }

    [Fact]
    public void AClothAThread_AndWhatMayBeLeftOut_FollowTheOrder()
    {
        var project = Applied(SampleProject.Empty(), Heart(-20), Heart(20));
        var (heart, spare) = (project.Elements[0].Id, project.Elements[1].Id);
        var cloth = project.Elements[0].MadeAs<ClothMaking>()!.ClothId;
        var master = Applied(
            project,
            new MarkFillIn
            {
                FillIn = new ClothFillIn
                {
                    Id = "cloth",
                    Label = "Front",
                    ClothId = cloth,
                    OptionIds = ["felt"],
                },
            },
            new MarkFillIn
            {
                FillIn = new ThreadFillIn
                {
                    Id = "thread",
                    Label = "Edge",
                    ThreadId = project.Hooping.CoverThreadId,
                    OptionIds = ["line"],
                },
            },
            new MarkFillIn
            {
                FillIn = new OptionalFillIn
                {
                    Id = "spare",
                    Label = "Spare",
                    ElementIds = [spare],
                },
            }
        );
        var filled = Fill(master, ("cloth", "MOSS FELT"), ("thread", "slate"), ("spare", "no"));
        Assert.True(filled.IsWhole);
        Assert.Equal("felt", filled.Project.Find(heart)!.MadeAs<ClothMaking>()!.ClothId);
        Assert.Equal("line", filled.Project.Hooping.CoverThreadId);
        Assert.Null(filled.Project.Find(spare));
        Assert.NotNull(Fill(master).Project.Find(spare));
        var wrong = Fill(master, ("cloth", "silk"), ("spare", "perhaps"));
        Assert.All(
            wrong.Outcomes.Where(outcome => outcome.FillInId != "thread"),
            outcome => Assert.Equal("option-unknown", outcome.Trouble?.Code)
        );
    }

    [Fact]
    public void ADrawing_TakesThePlaceOfAnother_InItsSizeAndStack()
    {
        var project = Applied(
            SampleProject.Empty(),
            new AddSketch
            {
                SketchId = "leaf",
                Way = SketchWay.Cloth,
                Size = 60,
                X = 5,
                Y = 8,
            }
        );
        ImmutableArray<string> standing = [.. project.Elements.Select(element => element.Id)];
        project = Applied(project, Heart(0) with { Name = "Above" });
        var master = Applied(
            project,
            new ChooseAmong
            {
                ElementIds = standing,
                SketchIds = ["beet", "star"],
                Way = SketchWay.Cloth,
                Name = "Motif",
            }
        );
        var id = Assert.Single(master.FillIns).Id;
        var filled = Fill(master, (id, "beet"));
        Assert.True(filled.IsWhole);
        Assert.Equal("Above", filled.Project.Elements[^1].Name);
        Assert.DoesNotContain(filled.Project.Elements, element => standing.Contains(element.Id));
        var place = Bounds(master.Elements.Where(element => standing.Contains(element.Id)));
        var now = Bounds(filled.Project.Elements.SkipLast(1));
        Assert.True(place.Grown(0.2).Contains(now), $"{now} is not in {place}");
        Assert.True(Math.Max(now.Width / place.Width, now.Height / place.Height) > 0.95);
        Assert.Null(DocumentCheck.Fatal(filled.Project));

        static Ullet.Core.Geometry.Box Bounds(IEnumerable<Element> elements) =>
            elements.Aggregate(
                Ullet.Core.Geometry.Box.Empty,
                (box, element) => box.Union(SampleProject.Context.Evaluator.OutlineOf(element).Bounds())
            );
    }

    [Fact]
    public void WhatIsDeleted_IsNoFillInAnyMore()
    {
        var master = Lines("One", "Two");
        var gone = ((WordsFillIn)master.FillIns[0]).ElementIds[0];
        var left = Applied(master, new RemoveElements { ElementIds = [gone] });
        Assert.Equal("line1", Assert.Single(left.FillIns).Id);
    }

    [Fact]
    public void FillIns_AreStored_AndADocumentWithoutThemIsAsItWas()
    {
        var master = Lines("One", "Two");
        var read = ProjectJson.Read(ProjectJson.Write(master)).Value;
        Assert.Equal(ProjectJson.Write(master), ProjectJson.Write(read));
        Assert.Equal(2, read.FillIns.Length);
        Assert.DoesNotContain(
            "fillIns",
            System.Text.Encoding.UTF8.GetString(ProjectJson.Write(SampleProject.Empty())),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("", "name-empty")]
    [InlineData("Line 1", "label-twice")]
    public void WhatCantBeMarked_IsRefused(string label, string code)
    {
        var master = Lines("One", "Two");
        var marked = new MarkFillIn { FillIn = master.FillIns[0] with { Label = label } }.Apply(
            master,
            SampleProject.Context
        );
        var refusal = marked.Refusal ?? Admission.Of(master, marked.Value).Refusal;
        Assert.Equal(code, refusal?.Code);
    }
}
