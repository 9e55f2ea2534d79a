using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Applique;

public sealed class LinePassesTests
{
    [Fact]
    public void AnOpenSeam_SewnTwice_GoesToAndFro_AClosedOneRoundAndRound()
    {
        var rug = SampleProject.Evaluate(PatternSamples.Make("mug-rug"));
        var open = rug.Stitches[new StepKey("p-closing-seam", "line", 0)].Runs[0].Points;
        Assert.Equal(open[0], open[^1]);
        Assert.Equal(open, open.Reverse());
        // The pouch of 0.6 was closed by one seam, sewn twice.
        var pouch = SampleProject.Apply(
            SampleProject.Empty(260, 180) with
            {
                Pattern = new PatternUse("zip-pouch"),
            },
            PatternSamples.Use("zip-pouch")
        );
        var closed = SampleProject.Evaluate(pouch).Stitches[new StepKey("p-closing-seam", "line", 0)].Runs[0].Points;
        var round = closed.Length / 2;
        Assert.Equal(closed.Take(round), closed.Skip(round).Take(round));
    }

    [Fact]
    public void TheMugRugsSeam_LeavesItsGapOpen()
    {
        var rug = SampleProject.Evaluate(PatternSamples.Make("mug-rug", ("gap", 70)));
        var points = rug.Stitches[new StepKey("p-closing-seam", "line", 0)].Runs[0].Points;
        Assert.DoesNotContain(points, point => Math.Abs(point.X) < 34.9 && point.Y > 60);
        Assert.Equal(35, points.Where(point => point.Y > 64.9).Min(point => Math.Abs(point.X)), 0.01);
    }

    [Fact]
    public void PurposeLines_TakeTheThreadOfLines_OthersThatOfCovers()
    {
        var rug = PatternSamples.Make("mug-rug");
        var evaluated = SampleProject.Evaluate(rug);
        var steps = evaluated.RunSheet.Steps.OfType<Core.RunSheets.StitchStep>().ToDictionary(step => step.Key);
        Assert.Equal(rug.Hooping.LineThreadId, steps[new StepKey("p-quilting", "line", 0)].Stage.ThreadId);
        Assert.Equal("quilting", steps[new StepKey("p-quilting", "line", 0)].Stage.Words);
        Assert.Equal(rug.Hooping.CoverThreadId, steps[new StepKey("p-words", "line", 0)].Stage.ThreadId);
    }

    [Fact]
    public void MorePassesThanClothBears_AreRefused() =>
        Assert.Equal(
            "number-out-of-range",
            SampleProject
                .Refused(
                    PatternSamples.Make("mug-rug"),
                    new SetLine
                    {
                        ElementId = "p-quilting",
                        Line = new LineSettings { Passes = 9 },
                    }
                )
                .Code
        );

    [Fact]
    public void Quilting_EndsInTheSeamAllowance_AndKeepsClearOfWordsAndMotif()
    {
        var rug = SampleProject.Evaluate(PatternSamples.Make("mug-rug", ("quilting", 9)));
        var points = rug.Stitches[new StepKey("p-quilting", "line", 0)].Runs.SelectMany(run => run.Points).ToList();
        var box = Box.Of(points);
        Assert.True(Box.Centred(185.2, 135.2).Contains(box));
        Assert.False(Box.Centred(180, 130).Contains(box));
        foreach (var id in new[] { "p-words", "p-motif" })
        {
            var shown = rug.Outlines[id];
            var near = shown.Bounds().Grown(10);
            Assert.All(points.Where(near.Contains), at => Assert.True(shown.DistanceToEdge(at) > 3.9, $"{id} at {at}"));
        }
    }
}
