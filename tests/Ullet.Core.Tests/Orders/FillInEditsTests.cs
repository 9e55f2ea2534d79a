using System.Collections.Immutable;
using Ullet.Core.Documents;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Orders;

/// <summary>Marking what changes from order to order, and what can't be marked.</summary>
public sealed class FillInEditsTests
{
    private static Project Words(params ReadOnlySpan<string> texts)
    {
        var project = SampleProject.Empty();
        for (var i = 0; i < texts.Length; i++)
        {
            project = SampleProject.Apply(
                project,
                new AddWords
                {
                    Text = texts[i],
                    FontId = BlockFonts.Id,
                    Use = WordsUse.StitchedOutline,
                    CapHeight = 8,
                    X = 0,
                    Y = i * 20,
                }
            );
        }
        return project;
    }

    private static WordsFillIn Name(Project project, string label = "Name", string id = "") =>
        new()
        {
            Id = id,
            Label = label,
            ElementIds = [project.Elements[0].Id],
        };

    [Fact]
    public void AMark_GetsAnIdForEver_AndARoom()
    {
        var project = Words("Rowan");
        var marked = SampleProject.Apply(project, new MarkFillIn { FillIn = Name(project) });
        var fillIn = Assert.IsType<WordsFillIn>(Assert.Single(marked.FillIns));
        Assert.Equal($"f{project.NextNumber}", fillIn.Id);
        Assert.Equal(project.NextNumber + 1, marked.NextNumber);
        // The room is as wide as the field has it free on both sides of the words.
        Assert.Equal(marked.Hooping.Hoop.Usable.Width, fillIn.Fit.Room!.Width, 6);
        Assert.Equal(project.Elements[0].Box.Height, fillIn.Fit.Room.Height, 6);
        Assert.Equal(8, fillIn.Fit.LargestHeight!.Value, 2);
    }

    [Fact]
    public void WordsOnAPiece_HaveTheRoomThatItsCoverLeaves()
    {
        var ground = SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new RectangleShape(), 100, 80, Method.CutBeforehand)
        );
        var project = SampleProject.Apply(
            ground,
            new AddWords
            {
                Text = "Ro",
                FontId = BlockFonts.Id,
                Use = WordsUse.StitchedOutline,
                CapHeight = 8,
                X = 10,
                Y = 0,
            }
        );
        var words = project.Elements[^1];
        var marked = SampleProject.Apply(
            project,
            new MarkFillIn { FillIn = Name(project) with { ElementIds = [words.Id] } }
        );
        var room = ((WordsFillIn)marked.FillIns[0]).Fit.Room!;
        Assert.Equal(words.Box.X, room.X, 6);
        Assert.True(room.Width < 2 * (50 - words.Box.X), $"{room.Width}");
        Assert.True(room.Width > words.Box.Width);
    }

    [Fact]
    public void Marks_AreArranged_Changed_AndTakenAway()
    {
        var project = Words("Rowan", "Plot");
        project = SampleProject.Apply(
            project,
            new MarkFillIn { FillIn = Name(project, "Name", "a") },
            new MarkFillIn { FillIn = Name(project, "Plot", "b") with { ElementIds = [project.Elements[1].Id] } }
        );
        project = SampleProject.Apply(project, new ArrangeFillIns { FillInIds = ["b", "a"] });
        Assert.Equal(["Plot", "Name"], project.FillIns.Select(own => own.Label));
        project = SampleProject.Apply(project, new MarkFillIn { FillIn = Name(project, "First name", "a") });
        Assert.Equal(["Plot", "First name"], project.FillIns.Select(own => own.Label));
        project = SampleProject.Apply(project, new UnmarkFillIn { FillInId = "b" });
        Assert.Equal("a", Assert.Single(project.FillIns).Id);
        Assert.Equal("fill-ins-differ", SampleProject.Refused(project, new ArrangeFillIns { FillInIds = ["b"] }).Code);
        Assert.Equal("fill-in-unknown", SampleProject.Refused(project, new UnmarkFillIn { FillInId = "b" }).Code);
    }

    public static TheoryData<FillIn, string> Wrong =>
        new()
        {
            {
                new WordsFillIn
                {
                    Id = "",
                    Label = "Name",
                    ElementIds = ["gone"],
                },
                "element-unknown"
            },
            {
                new WordsFillIn { Id = "", Label = "Name" },
                "nothing-selected"
            },
            {
                new WordsFillIn
                {
                    Id = "",
                    Label = "Name",
                    ElementIds = ["e1"],
                    Fit = new WordsFit { SmallestHeight = 1 },
                },
                "number-out-of-range"
            },
            {
                new WordsFillIn
                {
                    Id = "",
                    Label = "Name",
                    ElementIds = ["e1"],
                    Fit = new WordsFit { NarrowedTo = 0.3 },
                },
                "number-out-of-range"
            },
            {
                new WordsFillIn
                {
                    Id = "",
                    Label = "Name",
                    ElementIds = ["e1"],
                    WhenEmpty = WhenEmpty.Instead,
                },
                "instead-empty"
            },
            {
                new NumberFillIn
                {
                    Id = "",
                    Label = "Plot",
                    ElementIds = ["e1"],
                    Least = 9,
                    Most = 3,
                },
                "number-out-of-range"
            },
            {
                new ClothFillIn
                {
                    Id = "",
                    Label = "Front",
                    ClothId = "silk",
                    OptionIds = ["felt"],
                },
                "cloth-unknown"
            },
            {
                new ClothFillIn
                {
                    Id = "",
                    Label = "Front",
                    ClothId = "beet",
                },
                "options-count"
            },
            {
                new ThreadFillIn
                {
                    Id = "",
                    Label = "Edge",
                    ThreadId = "line",
                    OptionIds = ["cover", "COVER"],
                },
                "options-twice"
            },
            {
                new OptionalFillIn { Id = "", Label = "Spare" },
                "nothing-selected"
            },
            {
                new MotifFillIn
                {
                    Id = "",
                    Label = "Motif",
                    Options = ["Leaf"],
                },
                "pattern-fill-in-missing"
            },
            {
                new WordsFillIn
                {
                    Id = "",
                    Label = "Name",
                    PatternFillInId = "name",
                },
                "fill-in-unknown"
            },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void WhatCantChange_IsRefused_WithItsReason(FillIn fillIn, string code)
    {
        var project = Words("Rowan");
        Assert.Equal("e1", project.Elements[0].Id);
        Assert.Equal(code, SampleProject.Refused(project, new MarkFillIn { FillIn = fillIn }).Code);
    }

    [Fact]
    public void ADocument_WithTwoFillInsOfOneId_IsBroken()
    {
        var project = Words("Rowan");
        var twice = project with { FillIns = [Name(project, "A", "a"), Name(project, "B", "a")] };
        Assert.NotNull(DocumentCheck.Fatal(twice));
        var many = project with
        {
            FillIns =
            [
                .. Enumerable
                    .Range(0, FillInLimits.MostOfProject + 1)
                    .Select(i => Name(project, $"Field {i}", $"f{i}")),
            ],
        };
        Assert.Equal("too-many", Admission.Of(project, many).Refusal?.Code);
    }

    [Fact]
    public void AnExchangedCloth_IsExchangedInDrawingsToChooseFromToo()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new HeartShape(), 60, 60, Method.CutBeforehand)
        );
        var heart = project.Elements[0];
        ImmutableArray<Element> star = [heart with { Id = "star", Form = new ShapeForm(new StarShape()) }];
        project = project with
        {
            FillIns =
            [
                new DrawingFillIn
                {
                    Id = "d",
                    Label = "Motif",
                    ElementIds = [heart.Id],
                    Options = [new DrawingOption("Heart", [heart]), new DrawingOption("Star", star)],
                },
            ],
        };
        var exchanged = SampleProject.Apply(project, new ExchangeCloth { FromId = "beet", ToId = "felt" });
        Assert.All(
            ((DrawingFillIn)exchanged.FillIns[0]).Options.SelectMany(option => option.Elements),
            element => Assert.Equal("felt", element.MadeAs<ClothMaking>()!.ClothId)
        );
    }

    [Fact]
    public void AFillIn_GoesWithTheClothAndTheThreadThatTookThePlaceOfItsOwn()
    {
        var project = SampleProject.Apply(
            Words("Rowan"),
            new MarkFillIn
            {
                FillIn = new ClothFillIn
                {
                    Id = "cloth",
                    Label = "Front",
                    ClothId = "beet",
                    OptionIds = ["felt"],
                },
            },
            new MarkFillIn
            {
                FillIn = new ThreadFillIn
                {
                    Id = "thread",
                    Label = "Edge",
                    ThreadId = "cover",
                    OptionIds = ["line"],
                },
            }
        );
        project = SampleProject.Apply(
            project,
            new ExchangeCloth { FromId = "beet", ToId = "ground" },
            new ExchangeThread { FromId = "cover", ToId = "line" }
        );
        Assert.Equal("ground", ((ClothFillIn)project.FillIns[0]).ClothId);
        Assert.Equal("line", ((ThreadFillIn)project.FillIns[1]).ThreadId);
        Assert.Equal(["felt"], ((ClothFillIn)project.FillIns[0]).OptionIds);
    }
}
