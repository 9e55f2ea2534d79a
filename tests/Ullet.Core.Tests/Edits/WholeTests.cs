using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

/// <summary>Several elements made larger, turned and lined up as a whole; new ones beside those that are there.</summary>
public sealed class WholeTests
{
    private static readonly ImmutableArray<string> Both = ["e1", "e2"];

    private static readonly Project Two = SampleProject.Apply(
        SampleProject.Empty(),
        Rectangle(-20, -10, 10, 20),
        Rectangle(30, 20, 20, 10)
    );

    [Fact]
    public void TheWhole_GrowsAboutItsMiddle_EachPartWithIt()
    {
        var before = Whole(Two);
        var grown = SampleProject.Apply(Two, new PlaceElements { ElementIds = Both, Width = before.Width * 1.5 });
        var after = Whole(grown);
        Assert.Equal(before.Width * 1.5, after.Width, 6);
        Assert.Equal(before.Height, after.Height, 6);
        Assert.Equal(before.Centre.X, after.Centre.X, 6);
        Assert.Equal(15, grown.Find("e1")!.Box.Width, 6);
        Assert.Equal(20, grown.Find("e1")!.Box.Height, 6);
    }

    [Fact]
    public void WhereOneStandsAskew_TheWholeGrowsEvenly()
    {
        var askew = SampleProject.Apply(Two, new PlaceElement { ElementId = "e1", Rotation = 30 });
        var grown = SampleProject.Apply(askew, new PlaceElements { ElementIds = Both, Width = Whole(askew).Width * 2 });
        Assert.Equal(20, grown.Find("e1")!.Box.Width, 6);
        Assert.Equal(40, grown.Find("e1")!.Box.Height, 6);
        Assert.Equal(Whole(askew).Height * 2, Whole(grown).Height, 6);
    }

    [Fact]
    public void ThatWhichStandsOnItsSide_IsStretchedAlongTheWall()
    {
        var lying = SampleProject.Apply(Two, new PlaceElement { ElementId = "e1", Rotation = 90 });
        var grown = SampleProject.Apply(lying, new PlaceElements { ElementIds = Both, Width = Whole(lying).Width * 2 });
        Assert.Equal(10, grown.Find("e1")!.Box.Width, 6);
        Assert.Equal(40, grown.Find("e1")!.Box.Height, 6);
    }

    [Theory]
    [InlineData(60, 40, false)]
    [InlineData(128, 146, true)]
    public void ANewShape_GoesBesideWhatLiesInTheMiddle_OntoWhatFillsTheHoop(double width, double height, bool onto)
    {
        var ground = SampleProject.Apply(SampleProject.Empty(), Rectangle(0, 0, width, height));
        var both = SampleProject.Apply(ground, new AddPiece { Shape = new HeartShape(), Aside = true });
        var box = both.Elements[^1].Box;
        Assert.Equal(onto, box.X == 0 && box.Y == 0);
        Assert.InRange(Math.Abs(box.Y) + (box.Height / 2), 0, both.Hooping.Hoop.Usable.Height / 2);
    }

    [Theory]
    [InlineData(30)]
    [InlineData(-90)]
    [InlineData(725)]
    public void TurnedAndTurnedBack_AllIsAsItWas(double turn)
    {
        var turned = SampleProject.Apply(Two, new PlaceElements { ElementIds = Both, Turn = turn });
        var middle = Middle(Two);
        Assert.Equal(middle.X, Middle(turned).X, 6);
        Assert.Equal(middle.Y, Middle(turned).Y, 6);
        Assert.Equal(0, Math.IEEERemainder(turned.Find("e1")!.Box.Rotation - turn, 360), 6);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-4)]
    [InlineData(double.NaN)]
    public void ASizeThatIsNone_IsRefused(double width) =>
        Assert.Equal(
            "size-wrong",
            new PlaceElements { ElementIds = Both, Width = width }
                .Apply(Two, SampleProject.Context)
                .Refusal!.Code
        );

    [Fact]
    public void Baselines_AreBroughtTogether_WhateverHangsBelow()
    {
        var words = SampleProject.Apply(SampleProject.Empty(), Words("HO", 20, -30, -20), Words("og", 30, 20, 15));
        var aligned = SampleProject.Apply(words, Align(AlignLine.Baseline, "e1", "e2"));
        var (one, other) = (Baseline(aligned, "e1"), Baseline(aligned, "e2"));
        Assert.Equal(one.Y, other.Y, 6);
        Assert.Equal(Math.Max(Baseline(words, "e1").Y, Baseline(words, "e2").Y), one.Y, 6);
        Assert.NotEqual(Bottom(aligned, "e1"), Bottom(aligned, "e2"), 1.0);
    }

    [Fact]
    public void ADrawing_StandsOnTheBaseline_AndTurnedWordsKeepTheirsInLine()
    {
        var words = SampleProject.Apply(SampleProject.Empty(), Words("HO", 20, -20, -20), Rectangle(30, 30, 10, 10));
        var aligned = SampleProject.Apply(words, Align(AlignLine.Baseline, "e1", "e2"));
        Assert.Equal(Baseline(aligned, "e1").Y, Bottom(aligned, "e2"), 6);
        var turned = SampleProject.Apply(
            words,
            Words("OH", 15, 10, 40),
            new PlaceElement { ElementId = "e1", Rotation = 20 },
            new PlaceElement { ElementId = "e3", Rotation = 20 },
            Align(AlignLine.Baseline, "e1", "e3")
        );
        var way = Baseline(turned, "e3") - Baseline(turned, "e1");
        Assert.Equal(20, Math.Atan2(way.Y, way.X) * 180 / Math.PI, 6);
        var mixed = SampleProject.Apply(turned, new PlaceElement { ElementId = "e1", Rotation = 0 });
        Assert.Equal(
            "turns-differ",
            Align(AlignLine.Baseline, "e1", "e3").Apply(mixed, SampleProject.Context).Refusal!.Code
        );
    }

    [Fact]
    public void ByEye_ADropLiesHigherThanByItsBox()
    {
        var two = SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new DropShape(), 30, 60),
            Rectangle(40, 0, 10, 10)
        );
        var aligned = SampleProject.Apply(two, Align(AlignLine.OpticalMiddle, "e1", "e2"));
        var (drop, block) = (Balance.Of(Outline(aligned, "e1"))!.Value, Balance.Of(Outline(aligned, "e2"))!.Value);
        Assert.Equal(drop.Y, block.Y, 6);
        Assert.True(Outline(aligned, "e1").Bounds().Centre.Y < drop.Y - 2);
    }

    [Fact]
    public void SameWidth_WithoutOneThatStays_TakesTheWidest()
    {
        var same = SampleProject.Apply(
            Two,
            new MatchSize
            {
                ElementIds = Both,
                Width = true,
                KeepProportions = true,
            }
        );
        Assert.All(same.Elements, element => Assert.Equal(20, element.Box.Width, 6));
        Assert.Equal(40, same.Find("e1")!.Box.Height, 6);
    }

    [Fact]
    public void TenTexts_AddedInARow_LieApart_AndAreReadInTheirOrder()
    {
        var project = SampleProject.Empty(130, 300);
        for (var i = 0; i < 10; i++)
        {
            project = SampleProject.Apply(project, Words(i % 2 == 0 ? "HOHO" : "og", 8));
        }
        var boxes = project.Elements.Select(element => Outline(project, element.Id).Bounds()).ToList();
        Assert.All(boxes, box => Assert.Single(boxes, other => other.Overlaps(box)));
        Assert.All(boxes, box => Assert.True(Box.Centred(130, 300).Contains(box)));
        var evaluated = SampleProject.Evaluate(project);
        var read = Core.Evaluation.ReadingOrder.Of(project, evaluated.Outlines);
        Assert.Equal(project.Elements.Select(element => element.Id).Take(5), read.Where(id => Number(id) <= 5));
    }

    [Fact]
    public void ShapesAdded_LieApart_EvenWhereTheFieldIsFull()
    {
        var project = SampleProject.Empty(100, 100);
        for (var i = 0; i < 9; i++)
        {
            project = SampleProject.Apply(
                project,
                new AddPiece
                {
                    Shape = new HeartShape(),
                    ClothId = "beet",
                    Aside = true,
                }
            );
        }
        var boxes = project.Elements.Select(element => Outline(project, element.Id).Bounds()).ToList();
        Assert.All(boxes, box => Assert.Single(boxes, other => other.Overlaps(box)));
    }

    [Fact]
    public void NewPieces_TakeTheClothUsedLast_AndWordsWhatWasMadeLast()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddPiece { Shape = new HeartShape() },
            new SetPieceCloth { ElementId = "e1", ClothId = "felt" },
            new AddPiece { Shape = new HeartShape() },
            Words("HO", 10) with
            {
                Use = WordsUse.Satin,
            },
            new AddWords
            {
                Text = "OH",
                FontId = BlockFonts.Id,
                FitWidth = 40,
            }
        );
        Assert.Equal("felt", project.Find("e2")!.MadeAs<ClothMaking>()!.ClothId);
        Assert.IsType<SatinMaking>(project.Find("e4")!.Making);
        var sewn = SampleProject.Evaluate(project).StitchedBounds("e4");
        Assert.InRange(sewn.Width, 38.5, 40.6);
    }

    private static int Number(string id) => int.Parse(id.AsSpan(1), System.Globalization.CultureInfo.InvariantCulture);

    private static AddPiece Rectangle(double x, double y, double width, double height) =>
        new()
        {
            Shape = new RectangleShape(),
            Box = new ElementBox(x, y, width, height, 0),
            ClothId = "beet",
        };

    private static AddWords Words(string text, double height, double? x = null, double? y = null) =>
        new()
        {
            Text = text,
            FontId = BlockFonts.Id,
            CapHeight = height,
            X = x,
            Y = y,
            ClothId = "beet",
        };

    private static AlignElements Align(AlignLine line, params ImmutableArray<string> ids) =>
        new() { ElementIds = ids, Line = line };

    private static Outline Outline(Project project, string id) =>
        SampleProject.Context.Evaluator.OutlineOf(project.Find(id)!);

    private static double Bottom(Project project, string id) => Outline(project, id).Bounds().MaxY;

    private static Point Baseline(Project project, string id) =>
        SampleProject.Context.Evaluator.BaselineOf(project.Find(id)!)!.Value;

    private static Box Whole(Project project) =>
        project.Elements.Aggregate(Box.Empty, (box, element) => box.Union(Outline(project, element.Id).Bounds()));

    /// <summary>The middle of the boxes' middles, which turning keeps.</summary>
    private static Point Middle(Project project)
    {
        var whole = Whole(Two).Centre;
        var sum = project.Elements.Aggregate(
            Point.Zero,
            (at, element) => at + (new Point(element.Box.X, element.Box.Y) - whole)
        );
        return new Point(sum.Length, 0);
    }
}
