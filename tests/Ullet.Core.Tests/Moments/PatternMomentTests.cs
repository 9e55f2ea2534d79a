using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Moments;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Moments;

/// <summary>Drawings of every pattern, held against run sheet and layers.</summary>
public sealed class PatternMomentTests
{
    private static readonly MomentLaws.Rough Measure = new();

    public static TheoryData<string> Ids => [.. PatternShelf.All.Select(pattern => pattern.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void EveryVariant_ShowsWhatIsNew_WhatItIsHeldAgainst_AndFromWhichSide(string id)
    {
        foreach (var project in Variants(id))
        {
            Assert.Empty(MomentLaws.Breaches(SampleProject.Evaluate(project)));
        }
    }

    [Fact]
    public void OnPagesOfAnySize_NoTextLiesOverAnother_NoneIsOffThePage()
    {
        var moments = PatternSamples
            .Sizes()
            .Select(each => SampleProject.Evaluate(each.Project))
            .SelectMany(evaluated => HoopMoments.Of(evaluated.Hoopings[0], evaluated.Turning))
            .ToList();
        var random = new Random(2211);
        for (var i = 0; i < 300; i++)
        {
            var moment = moments[random.Next(moments.Count)];
            var (width, height, type) = (
                200 + (random.NextDouble() * 800),
                200 + (random.NextDouble() * 800),
                8 + (random.NextDouble() * 10)
            );
            var sheet = MomentSheet.Of(moment, width, height, type, Measure);
            Assert.True(
                MomentLaws.LabelBreaches(sheet, Measure) is { Count: 0 } wrong,
                $"{moment.Key} at {width:0} × {height:0}, {type:0.0}: {string.Join("; ", MomentLaws.LabelBreaches(sheet, Measure))}"
            );
        }
    }

    [Fact]
    public void APouch_IsTurnedThroughItsGap_ThenThroughItsZip()
    {
        var evaluated = SampleProject.Evaluate(PatternSamples.Make("zip-pouch"));
        var moments = HoopMoments.Of(evaluated.Hoopings[0], evaluated.Turning);
        var first = moments.First(moment => moment.Parts.OfType<WayPart>().Any());
        var gap = Assert.Single(first.Parts.OfType<GapPart>());
        Assert.InRange(gap.Length, 65, 76);
        Assert.NotNull(first.Section);
        Assert.Equal(MomentView.Out, first.View);
        var second = moments.Last(moment => moment.Parts.OfType<WayPart>().Any());
        Assert.Equal(MomentView.OutInside, second.View);
        var pull = Assert.Single(moments.SelectMany(moment => moment.Parts.OfType<PullPart>()));
        Assert.True(pull.To.X < pull.From.X);
        // Linings have their edge pressed under, panels are raw there.
        var edges = moments.SelectMany(moment => moment.Parts.OfType<EdgePart>()).ToLookup(edge => edge.LayerId);
        Assert.All(edges["p-lining"], edge => Assert.True(edge.IsPressed));
        Assert.All(edges["p-front"], edge => Assert.False(edge.IsPressed));
        Assert.NotEmpty(edges["p-lining"]);
        Assert.NotEmpty(edges["p-front"]);
    }

    [Fact]
    public void APieceSetBehind_IsLaidOnTheBack()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddPiece { Shape = new HeartShape() },
            new SetMethod { ElementId = "e1", Method = Method.SetBehind }
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Empty(MomentLaws.Breaches(evaluated));
        var laid = HoopMoments.Of(evaluated.Hoopings[0]).First(moment => moment.Key.Stage == "lay");
        Assert.Equal(MomentView.Back, laid.View);
        Assert.NotEmpty(laid.Parts.OfType<TapePart>());
    }

    /// <summary>The pattern in each of its choices.</summary>
    private static IEnumerable<Project> Variants(string id)
    {
        var pattern = PatternShelf.Find(id)!;
        yield return PatternSamples.Make(id);
        foreach (var choice in pattern.Choices)
        {
            foreach (var option in choice.Options.Where(option => option.Id != "own"))
            {
                var use = PatternSamples.Use(id) with { Choices = [new PatternPick(choice.Id, option.Id)] };
                if (use.Apply(SampleProject.Empty(), SampleProject.Context) is { IsOk: true } made)
                {
                    yield return made.Value;
                }
            }
        }
    }
}
