using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Layers;

public sealed class LayerStatesTests
{
    private static readonly Cloth Cotton = new()
    {
        Id = "c",
        Name = "cotton",
        Colour = "#ffffff",
    };

    [Fact]
    public void Layers_LieWhereHandsLaidThem_FrontOnTopBackBelow()
    {
        var states = LayerStates.After([
            [Laid("ground", 100)],
            [Laid("front", 40)],
            [],
            [Laid("lining", 60, beneath: true), Laid("back-lining", 60, beneath: true)],
            [new LayerFolded("front", false, Square(20))],
            [new LayerRemoved("lining")],
        ]);
        Assert.Equal(["back-lining", "lining", "ground", "front"], states[3].Select(layer => layer.Id));
        Assert.Equal(states[1].Select(layer => layer.Id), states[2].Select(layer => layer.Id));
        var front = states[4].First(layer => layer.Id == "front");
        Assert.Equal((false, 20), (front.FaceUp, front.Area[0].Bounds().Width));
        Assert.DoesNotContain(states[5], layer => layer.Id == "lining");
    }

    [Fact]
    public void Pierced_AreTheLayersUnderTheNeedle_AndAWindowIsNot()
    {
        var states = LayerStates.After([
            [Laid("ground", 100)],
            [Laid("front", 20)],
            [new LayerOpened("ground", Square(10))],
        ]);
        Assert.Equal([0, 1], LayerStates.Pierced(states[1], [new Point(0, 0)]));
        Assert.Equal([0], LayerStates.Pierced(states[1], [new Point(30, 30)]));
        Assert.Equal([1], LayerStates.Pierced(states[2], [new Point(0, 0)]));
        Assert.Empty(LayerStates.Pierced(states[2], [new Point(90, 0)]));
    }

    [Fact]
    public void Lanes_OfThePouch_ShowThatTheNameGoesThroughThePanelAndNotTheLining()
    {
        var evaluated = SampleProject.Evaluate(PatternSamples.Make("zip-pouch"));
        var chart = LaneChart.Of(evaluated.RunSheet, evaluated.Layers, evaluated.Stitches);
        string[] Through(string key)
        {
            var at = evaluated.RunSheet.Steps.Select(step => step.Key.ToString()).ToList().IndexOf(key);
            return [.. chart.Pierced[at].Select(lane => chart.Lanes[lane].LayerId)];
        }
        Assert.Equal(["p-front", "p-stabiliser"], Through("p-name.line.0"));
        Assert.Equal(["p-front", "p-zip", "p-stabiliser"], Through("p-front-seam.line.0"));
        // The first closing seam leaves the back lining out; the second, which goes through everything, has a gap.
        Assert.DoesNotContain("p-back-lining", Through("p-closing-seam.line.0"));
        Assert.Equal(Through("p-closing-seam.line.0").Append("p-back-lining"), Through("p-lining-seam.line.0"));
        Assert.Equal("p-back", chart.Lanes[0].LayerId);
        Assert.Equal("p-back-lining", chart.Lanes[^1].LayerId);
        Assert.True(chart.Lanes[^1].IsBehind);
        var front = chart.Lanes.First(lane => lane.LayerId == "p-front");
        Assert.Equal(front.From + 2, Assert.Single(front.Changes));
    }

    private static LayerLaid Laid(string id, double side, bool beneath = false) =>
        new(id, id, Cotton, true, Square(side)) { IsBeneath = beneath };

    private static ImmutableArray<Region> Square(double side) =>
        [SampleOutlines.Shape(new RectangleShape(), side, side)];
}
