using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;
using Ullet.Core.Tests.Samples;
using Xunit;

namespace Ullet.Core.Tests.Sketches;

/// <summary>Small drawings of our own: each in cloth, in thread and in line.</summary>
public sealed class SketchShelfTests
{
    public static TheoryData<string> Ids => [.. SketchShelf.All.Select(sketch => sketch.Id)];

    [Fact]
    public void TheShelf_HasVegetablesToolsWeatherAnimalsOrnamentsAndSnow()
    {
        Assert.True(SketchShelf.All.Length >= 24);
        Assert.Distinct(SketchShelf.All.Select(sketch => sketch.Id));
        foreach (var word in new[] { "vegetable", "tool", "weather", "animal", "ornament", "snow crystal", "robin" })
        {
            Assert.Contains(SketchShelf.All, sketch => sketch.Answers(word));
        }
        Assert.Equal(3, SketchShelf.All.Count(sketch => sketch.Answers("SNOW")));
        Assert.DoesNotContain(SketchShelf.All, sketch => sketch.Answers("robin tool"));
        // Bodies and details lie inside the square; what is on top comes last.
        foreach (var sketch in SketchShelf.All)
        {
            for (var i = 0; i < sketch.Parts.Length; i++)
            {
                var box = SketchMaking.OutlineOf(SketchMaking.Element(sketch, i, 100)).Bounds();
                Assert.True(new Box(-50, -54, 50, 50).Grown(0.6).Contains(box.Centre), $"{sketch.Id} {i}");
                Assert.True(Math.Max(box.Width, box.Height) <= 101, $"{sketch.Id} {i}");
            }
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void ADrawing_CanBeSewnEachWay_WithoutAFinding(string id)
    {
        var sketch = SketchShelf.Find(id)!;
        foreach (var way in Enum.GetValues<SketchWay>())
        {
            var size = Math.Max(70, SketchFit.Smallest(sketch, way));
            var set = SampleProject.Apply(SampleProject.Empty(), Set(id, way, size));
            Assert.Equal(sketch.Parts.Length, set.Elements.Length);
            Assert.True(set.Elements.Length == 1 || set.Elements.All(element => element.GroupId is "g1"), id);
            var evaluated = SampleProject.Evaluate(set);
            var wrong = evaluated.Findings.Where(finding => finding.Level != FindingLevel.Tip).ToList();
            Assert.True(
                wrong.Count == 0,
                $"{way}: " + string.Join("; ", wrong.Select(finding => $"{finding.At} {finding.Words}"))
            );
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void BelowItsSmallest_ItIsRefused_AndAtItsSmallestOnlyDetailsGo(string id)
    {
        var sketch = SketchShelf.Find(id)!;
        foreach (var way in Enum.GetValues<SketchWay>())
        {
            var least = SketchFit.Smallest(sketch, way);
            var project = SampleProject.Empty();
            var set = SampleProject.Apply(project, Set(id, way, least));
            var bodies = sketch.Parts.Count(part => part.Role == SketchRole.Body);
            Assert.True(set.Elements.Length >= bodies);
            foreach (var left in SketchFit.LeftOut(sketch, way, least))
            {
                Assert.NotEqual(SketchRole.Body, sketch.Parts[left].Role);
                Assert.Contains(sketch.Parts[left].Name, SketchFit.Said(sketch, way, least), StringComparison.Ordinal);
                Assert.DoesNotContain(set.Elements, element => element.Sketch?.Part == left);
            }
            var refusal = SampleProject.Refused(project, Set(id, way, least - 1));
            Assert.Contains(sketch.Name, refusal.Words, StringComparison.Ordinal);
        }
    }

    [Fact]
    public void ThereAndBack_NothingIsLost()
    {
        var thread = SampleProject.Apply(SampleProject.Empty(), Set("robin", SketchWay.Thread, 60));
        var loose = thread.Elements[0].MadeAs<FilledMaking>()! with { Spacing = 0.6, Angle = 12 };
        thread = SampleProject.Apply(thread, new SetFilled { ElementId = thread.Elements[0].Id, Filled = loose });
        var (wing, legs) = (thread.Elements[2].Id, thread.Elements[5].Id);
        thread = SampleProject.Apply(
            thread,
            new SetMaking { ElementId = wing, Kind = thread.Find(wing)!.Making is SatinMaking ? "filled" : "satin" },
            new SetMaking { ElementId = legs, Kind = "satin" }
        );
        ImmutableArray<string> all = [.. thread.Elements.Select(element => element.Id)];
        var cloth = SampleProject.Apply(thread, new MakeSketch { ElementIds = all, Way = SketchWay.Cloth });
        Assert.Equal(2, cloth.Appliques().Count());
        Assert.All(
            cloth.Elements.Where(element => SketchMaking.WayOf(element) is not null),
            element => Assert.Equal(SketchWay.Cloth, SketchMaking.WayOf(element))
        );
        var line = SampleProject.Apply(cloth, new MakeSketch { ElementIds = all, Way = SketchWay.Line });
        Assert.All(line.Elements[..^1], element => Assert.IsType<LineMaking>(element.Making));
        Assert.IsType<SatinMaking>(line.Find(legs)!.Making);
        var back = SampleProject.Apply(line, new MakeSketch { ElementIds = all, Way = SketchWay.Thread });
        Assert.Equal(
            thread.Elements.Select(element =>
                ProjectJson.Write(thread with { Elements = [element with { Kept = [] }] })
            ),
            back.Elements.Select(element => ProjectJson.Write(thread with { Elements = [element with { Kept = [] }] }))
        );
    }

    [Fact]
    public void SomethingElse_IsNotMadeAsADrawing()
    {
        var heart = SampleProject.Apply(SampleProject.Empty(), new AddPiece { Shape = new HeartShape() });
        var refusal = SampleProject.Refused(heart, new MakeSketch { ElementIds = ["e1"], Way = SketchWay.Line });
        Assert.Equal("not-a-sketch", refusal.Code);
        Assert.Equal("sketch-unknown", SampleProject.Refused(heart, Set("dragon", SketchWay.Line, 50)).Code);
    }

    private static AddSketch Set(string id, SketchWay way, double size) =>
        new()
        {
            SketchId = id,
            Way = way,
            Size = size,
        };
}
