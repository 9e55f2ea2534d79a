using System.Collections.Immutable;
using System.Text.Json;
using Ullet.Core.Documents;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;
using Ullet.Core.Tests.Samples;
using Xunit;

namespace Ullet.Core.Tests.Sketches;

/// <summary>A person's own group on the shelf of drawings.</summary>
public sealed class OwnSketchTests
{
    private static readonly EditContext Context = new(new Evaluator(new StationCache()));

    [Fact]
    public void AGroup_IsSetAnywhere_InEachWay_AndWhatWasMadeSoKeepsItsSettings()
    {
        var own = Kept(Tray());
        var read = JsonSerializer.Deserialize<OwnSketch>(
            JsonSerializer.SerializeToUtf8Bytes(own, ProjectJson.Options),
            ProjectJson.Options
        )!;
        foreach (var way in Enum.GetValues<SketchWay>())
        {
            var set = Set(read, way, own.LargerSide / 2);
            Assert.Equal(2, set.Elements.Length);
            Assert.Single(set.Elements.Select(element => element.GroupId).Distinct());
            Assert.Equal(way, SketchMaking.WayOf(set.Elements[0]));
            Assert.NotEmpty(SampleProject.Evaluate(set).Stitches);
            // Half as large, its parts stand as far from one another.
            Assert.Equal(20, set.Elements[0].Box.Width, 6);
            Assert.Equal(10, set.Elements[1].Box.X - set.Elements[0].Box.X, 6);
        }
        // The cloth's own settings were kept; the detail stays in strokes.
        var cloth = Set(read, SketchWay.Cloth, own.LargerSide);
        var (piece, kept) = (cloth.Elements[0].MadeAs<ClothMaking>()!, own.Clip.Elements[0].MadeAs<ClothMaking>()!);
        Assert.Equal((4.5, kept.Method), (piece.Stages.Cover.Width, piece.Method));
        Assert.Equal(own.Clip.Cloths[0].Colour, cloth.FindCloth(piece.ClothId)!.Colour);
        Assert.IsType<SatinMaking>(cloth.Elements[1].Making);
        // The whole is made another way with the settings that it had.
        ImmutableArray<string> all = [.. cloth.Elements.Select(element => element.Id)];
        var line = SampleProject.Apply(cloth, new MakeSketch { ElementIds = all, Way = SketchWay.Line });
        var back = SampleProject.Apply(line, new MakeSketch { ElementIds = all, Way = SketchWay.Cloth });
        Assert.Equal(cloth.Elements.Select(each => each.Making), back.Elements.Select(each => each.Making));
    }

    [Fact]
    public void HolesAndOperations_AreDrawnOut_AndTheyMeasureInTheSmallestSize()
    {
        var heart = SampleProject.Apply(
            SampleProject.Empty(),
            new AddPiece { Shape = new RectangleShape() },
            new PlaceElement
            {
                ElementId = "e1",
                Width = 60,
                Height = 60,
            }
        );
        var plain = Kept(heart).Drawn("own-plain");
        var holed = heart.With(
            heart.Elements[0] with
            {
                Form = new ShapeForm(new RectangleShape())
                {
                    Holes = [new PieceHole(new EllipseShape(), 0, 0, 50, 50)],
                },
            }
        );
        var ring = Kept(holed).Drawn("own-ring");
        Assert.True(SketchFit.Smallest(ring, SketchWay.Cloth) > 1.5 * SketchFit.Smallest(plain, SketchWay.Cloth));
        Assert.True(ring.Answers("tray green"));
        Assert.False(ring.Answers("robin"));
    }

    [Fact]
    public void WhatIsNoDrawing_IsRefusedWithASentence()
    {
        var heart = SampleProject.Apply(SampleProject.Empty(), new AddPiece { Shape = new HeartShape() });
        var construction = SampleProject.Apply(
            heart,
            new MakeConstruction { ElementIds = ["e1"], IsConstruction = true }
        );
        Assert.Equal("sketch-empty", OwnSketch.Of(construction, ["e1"], "Tray", "", Context).Refusal!.Code);
        Assert.Equal("name-empty", OwnSketch.Of(heart, ["e1"], " ", "", Context).Refusal!.Code);
        Assert.Equal("name-too-long", OwnSketch.Of(heart, ["e1"], new string('x', 200), "", Context).Refusal!.Code);
        Assert.Equal("words-too-long", OwnSketch.Of(heart, ["e1"], "x", new string('x', 201), Context).Refusal!.Code);
        Assert.Equal("nothing-selected", OwnSketch.Of(heart, [], "x", "", Context).Refusal!.Code);
        Assert.Equal("element-unknown", OwnSketch.Of(heart, ["e9"], "x", "", Context).Refusal!.Code);
    }

    [Theory]
    [InlineData("#zz0000", "leaf", 0)]
    [InlineData("", "leaf", 0)]
    [InlineData("#112233", "", 0)]
    [InlineData("#112233", "leaf", double.NaN)]
    [InlineData("#112233", "leaf", 4000)]
    public void WhatADrawingBringsAlong_IsCheckedAtEveryDoor(string colour, string name, double turn)
    {
        var own = Kept(Tray());
        var nature = new SketchNature(name, SketchRole.Body, new SketchColour("own1", "green", colour), turn);
        var element = own.Clip.Elements[0] with { Sketch = new SketchUse("own-1", 0) { Own = nature } };
        var paste = new PasteElements { Clip = own.Clip with { Elements = [element] } };
        Assert.NotEmpty(SampleProject.Refused(SampleProject.Empty(), paste).Words);
        var stored = Tray();
        stored = stored.With(stored.Elements[0] with { Sketch = element.Sketch });
        if (!double.IsNaN(turn))
        {
            Assert.False(DocumentReader.Stored(ProjectJson.Write(stored)).IsOk);
        }
    }

    [Fact]
    public void APhotoThatIsNoKeptPicture_IsRefused_AlsoInADocument()
    {
        var tray = Tray();
        var key = SampleProject.Evaluate(tray).RunSheet.Steps[0].Key;
        var photo = new PhotoStep { StepKey = key.ToString(), Picture = "../../etc" };
        Assert.Equal("picture-unknown", SampleProject.Refused(tray, photo).Code);
        var stored = tray with { RunSheet = tray.RunSheet.With(new StepOverride(key, null) { Photo = "../../etc" }) };
        Assert.False(DocumentReader.Stored(ProjectJson.Write(stored)).IsOk);
    }

    /// <summary>A square of cloth with a dot in satin.</summary>
    private static Project Tray()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddPiece { Shape = new RectangleShape() },
            new PlaceElement
            {
                ElementId = "e1",
                Width = 40,
                Height = 40,
            },
            new AddPiece { Shape = new EllipseShape() }
        );
        var dot = project.Elements[1].Id;
        return SampleProject.Apply(
            project,
            new SetMaking { ElementId = dot, Kind = "satin" },
            new PlaceElement
            {
                ElementId = dot,
                Width = 8,
                Height = 6,
                X = project.Elements[0].Box.X + 20,
            },
            new SetCover
            {
                ElementId = "e1",
                Cover = project.Elements[0].MadeAs<ClothMaking>()!.Stages.Cover with { Width = 4.5 },
            }
        );
    }

    private static OwnSketch Kept(Project project) =>
        OwnSketch
            .Of(project, [.. project.Elements.Select(element => element.Id)], "Seed tray", "spring, green", Context)
            .Value;

    private static Project Set(OwnSketch own, SketchWay way, double size) =>
        new AddSketch
        {
            SketchId = "own-1",
            Way = way,
            Size = size,
        }
            .Apply(SampleProject.Empty(), Context with { OwnSketches = new One(own) })
            .Value;

    private sealed class One(OwnSketch own) : IOwnSketches
    {
        public OwnSketch? Find(string id) => id == "own-1" ? own : null;
    }
}
