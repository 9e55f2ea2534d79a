using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

public sealed class EditTests
{
    public static TheoryData<string, Edit, string> Refusals =>
        new()
        {
            {
                "negative width",
                new PlaceElement { ElementId = "e1", Width = -5 },
                "number-out-of-range"
            },
            {
                "no width at all",
                new PlaceElement { ElementId = "e1", Width = double.NaN },
                "number-out-of-range"
            },
            {
                "absurd height",
                new PlaceElement { ElementId = "e1", Height = 1e7 },
                "number-out-of-range"
            },
            {
                "far away",
                new PlaceElement { ElementId = "e1", X = 1e9 },
                "number-out-of-range"
            },
            {
                "unknown element",
                new PlaceElement { ElementId = "e9", X = 1 },
                "element-unknown"
            },
            { "infinite move", Move("e1", double.PositiveInfinity), "number-out-of-range" },
            { "unknown move", Move("e9", 1), "element-unknown" },
            {
                "unknown cloth",
                new SetPieceCloth { ElementId = "e1", ClothId = "silk" },
                "cloth-unknown"
            },
            { "thin cover", Cover(new CoverSettings { Width = 1 }), "number-out-of-range" },
            { "wide cover", Cover(new CoverSettings { Width = 9 }), "number-out-of-range" },
            { "dense cover", Cover(new CoverSettings { Spacing = 0.1 }), "number-out-of-range" },
            { "all inside", Cover(new CoverSettings { InsideShare = 1.2 }), "number-out-of-range" },
            { "unknown thread", Cover(new CoverSettings { ThreadId = "gold" }), "thread-unknown" },
            {
                "two-sided polygon",
                new ReshapePiece { ElementId = "e1", Shape = new PolygonShape(2) },
                "number-out-of-range"
            },
            {
                "empty name",
                new RenameElement { ElementId = "e1", Name = "  " },
                "name-empty"
            },
            {
                "endless title",
                new RenameProject { Title = new string('a', 400) },
                "name-too-long"
            },
            {
                "tiny hoop",
                new SetHooping { FieldWidth = 3 },
                "number-out-of-range"
            },
            {
                "tiny mat",
                new SetMat { Width = 10, Height = 300 },
                "number-out-of-range"
            },
            {
                "no colour",
                new AddCloth { Name = "x", Colour = "red" },
                "colour-broken"
            },
            {
                "unknown step",
                new NoteStep { StepKey = "e1.cover.0", Note = "x" },
                "step-unknown"
            },
            {
                "long note",
                new NoteStep { StepKey = "e1.lay.0", Note = new string('n', 300) },
                "note-broken"
            },
            {
                "below the bottom",
                new RestackElement { ElementId = "e1", Place = -1 },
                "place-out-of-range"
            },
            {
                "hole without size",
                new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 0, 0, 0, 5) },
                "number-out-of-range"
            },
        };

    [Theory]
    [MemberData(nameof(Refusals))]
    public void Edit_WithBadInput_IsRefusedWithASentence(string what, Edit edit, string code)
    {
        var refusal = SampleProject.Refused(SampleProject.With(new HeartShape()), edit);
        Assert.True(refusal.Code == code, $"{what}: {refusal.Code}");
        Assert.EndsWith(".", refusal.Words, StringComparison.Ordinal);
        Assert.NotEmpty(refusal.Place);
    }

    [Fact]
    public void Place_WithProportionsKept_LetsTheOtherSideFollow()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), 60, 50),
            new PlaceElement
            {
                ElementId = "e1",
                Width = 90,
                KeepProportions = true,
            }
        );
        Assert.Equal(75, project.Elements[0].Box.Height, 9);
    }

    [Fact]
    public void Place_TakesATypedNumberAsTyped()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new PlaceElement
            {
                ElementId = "e1",
                Width = 71.37,
                Height = 33.01,
                Rotation = 33,
            }
        );
        var outline = SampleProject.Evaluate(
            SampleProject.Apply(project, new PlaceElement { ElementId = "e1", Rotation = 0 })
        );
        Assert.Equal(71.37, outline.Outlines["e1"].Bounds().Width, 1e-6);
        Assert.Equal(33.01, outline.Outlines["e1"].Bounds().Height, 1e-6);
    }

    [Fact]
    public void Place_ScalesTheHoleAlong()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 40),
            new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 6, 4, 12, 12) },
            new PlaceElement { ElementId = "e1", Width = 120 }
        );
        Assert.Equal(new PieceHole(new EllipseShape(), 12, 4, 24, 12), project.Elements[0].Form.HolesOf()[0]);
    }

    [Fact]
    public void Remove_TakesNotesOfItsStepsAlong_AndItsIdIsNotGivenAgain()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new NoteStep { StepKey = "e1.lay.0", Note = "dots up" },
            new RemoveElements { ElementIds = ["e1"] },
            SampleProject.Add(new LeafShape())
        );
        Assert.Equal("e2", Assert.Single(project.Elements).Id);
        Assert.Empty(project.RunSheet.Steps);
    }

    [Fact]
    public void Restack_MovesTheElementInTheRunAsWell()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            SampleProject.Add(new LeafShape()),
            new RestackElement { ElementId = "e1", Place = 5 }
        );
        Assert.Equal(["e2", "e1"], project.Elements.Select(element => element.Id));
        var owners = SampleProject.Evaluate(project).Program.Steps.Select(step => step.Key.OwnerId).Distinct();
        Assert.Equal(["h1", "e2", "e1"], owners);
    }

    [Fact]
    public void Duplicate_IsAPieceOfItsOwn()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new DuplicateElements { ElementIds = ["e1"] },
            new SetMethod { ElementId = "e2", Method = Method.CutBeforehand }
        );
        Assert.Equal("Heart copy", project.Elements[1].Name);
        Assert.Equal(5, project.Elements[1].Box.X, 9);
        Assert.Equal(Method.TrimInTheHoop, project.Elements[0].Cloth().Method);
    }

    [Fact]
    public void SetMethod_KeepsNumbersSetByHand()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            Cover(new CoverSettings { Width = 4.2 }),
            new SetMethod { ElementId = "e1", Method = Method.CutBeforehand }
        );
        Assert.Equal(4.2, project.Elements[0].Cloth().Stages.Cover.Width);
    }

    [Theory]
    [InlineData("Beet leaf", "Move Beet leaf")]
    public void Label_NamesTheElement(string name, string label)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new LeafShape()),
            new RenameElement { ElementId = "e1", Name = name }
        );
        Assert.Equal(label, Move("e1", 3).Label(project));
    }

    [Fact]
    public void AddPiece_WithoutASize_FitsASmallHoop()
    {
        var project = SampleProject.Apply(SampleProject.Empty(80, 80), new AddPiece { Shape = new HeartShape() });
        Assert.Equal(new ElementBox(0, 0, 40, 40, 0), project.Elements[0].Box);
        Assert.Equal("beet", project.Elements[0].Cloth().ClothId);
    }

    private static MoveElements Move(string id, double x) =>
        new()
        {
            ElementIds = [id],
            X = x,
            Y = 0,
        };

    private static SetCover Cover(CoverSettings cover) => new() { ElementId = "e1", Cover = cover };
}
