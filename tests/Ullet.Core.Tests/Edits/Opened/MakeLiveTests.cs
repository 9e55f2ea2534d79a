using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits.Opened;

public sealed class MakeLiveTests
{
    public static readonly TheoryData<Method, CoverKind> Kinds = new()
    {
        { Method.TrimInTheHoop, CoverKind.Satin },
        { Method.CutBeforehand, CoverKind.Zigzag },
        { Method.LaidFirst, CoverKind.Satin },
        { Method.SetBehind, CoverKind.Satin },
        { Method.CutBeforehand, CoverKind.Blanket },
        { Method.TrimInTheHoop, CoverKind.Bean },
        { Method.RawEdge, CoverKind.RawEdge },
    };

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Live_HasOutlineMethodAndCoverOfWhatWasSewn(Method method, CoverKind kind)
    {
        foreach (var hands in new[] { true, false })
        {
            var source = Source(method, kind);
            var live = Live(OpenedSample.Opened(source, hands));
            var made = Assert.Single(live.Elements, element => element.Making is ClothMaking);
            var cloth = AppliqueElement.Of(made)!;
            Assert.Equal(method, cloth.Method);
            var (before, after) = (Cover(source), Cover(live));
            Assert.Equal(before.Kind, after.Kind);
            Assert.InRange(after.Band.Width, before.Band.Width - 0.1, before.Band.Width + 0.1);
            Assert.InRange(Distance(source, live), 0, 0.1);
            if (kind is CoverKind.Satin or CoverKind.Zigzag)
            {
                Assert.InRange(after.Band.Spacing, before.Band.Spacing - 0.02, before.Band.Spacing + 0.02);
                Assert.InRange(after.Band.InsideShare, before.Band.InsideShare - 0.03, before.Band.InsideShare + 0.03);
            }
        }
    }

    [Fact]
    public void Live_EdgeMatch_AgreesWithTheOriginal()
    {
        var source = Source(Method.CutBeforehand, CoverKind.Satin);
        var live = Live(OpenedSample.Opened(source));
        var (meant, found) = (Worst(source), Worst(live));
        Assert.InRange(found.Bite, meant.Bite - 0.15, meant.Bite + 0.15);
        Assert.InRange(found.Beyond!.Value, meant.Beyond!.Value - 0.15, meant.Beyond.Value + 0.15);
    }

    [Fact]
    public void Live_KeepsTheStitchesBesideIt_Unsewn_UntilTheyGo()
    {
        var opened = OpenedSample.Opened(Source(Method.TrimInTheHoop, CoverKind.Satin));
        var live = Live(opened);
        var kept = live.Elements.Where(element => element.Making is OpenedMaking).ToList();
        Assert.Equal(3, kept.Count);
        Assert.All(kept, element => Assert.True(element.MadeAs<OpenedMaking>()!.IsResting));
        var owners = SampleProject
            .Evaluate(live)
            .RunSheet.Steps.OfType<Core.RunSheets.StitchStep>()
            .Select(step => step.OwnerId)
            .Distinct();
        Assert.Equal([live.Elements.First(element => element.Making is ClothMaking).Id], owners);
        var gone = SampleProject.Apply(
            live,
            new RemoveElements { ElementIds = [.. kept.Select(element => element.Id)] }
        );
        Assert.Single(gone.Elements);
    }

    [Fact]
    public void Live_HandsThatAreNotThePieces_AreKept()
    {
        var two = OpenedSample.OpenedIn(
            OpenedSample.Opened(Source(Method.TrimInTheHoop, CoverKind.Satin)),
            Source(Method.RawEdge, CoverKind.RawEdge)
        );
        var cover = two.Elements[2];
        var bobbin = new OpenedHands(HandKind.ChangeBobbin, "Put the plum bobbin in.");
        var opened = cover.MadeAs<OpenedMaking>()!;
        var with = two.With(cover with { Making = opened with { Before = opened.Before.Add(bobbin) } });
        var live = SampleProject.Apply(with, new MakeLive { ElementIds = [cover.Id] });
        var texts = SampleProject
            .Evaluate(live)
            .RunSheet.Steps.OfType<Core.RunSheets.HandStep>()
            .Select(step => step.Work.Text)
            .ToList();
        Assert.Contains(texts, text => text.Contains("plum bobbin", StringComparison.Ordinal));
        Assert.Single(texts, text => text.Contains("trim beet cotton close", StringComparison.Ordinal));
    }

    [Fact]
    public void Live_CanBeMadeTwiceAsLarge_AndIsStitchedAnew()
    {
        var live = Live(OpenedSample.Opened(Source(Method.CutBeforehand, CoverKind.Satin)));
        var piece = live.Elements.First(element => element.Making is ClothMaking);
        var larger = live.With(piece with { Box = piece.Box with { Width = 90, Height = 90 } });
        Assert.Equal(Cover(live).Band.Spacing, Cover(larger).Band.Spacing);
        Assert.DoesNotContain(SampleProject.Evaluate(larger).Findings, finding => finding.Code == "opened-scaled");
    }

    [Fact]
    public void NothingClosed_IsRefusedWithWhatIsNeeded()
    {
        var line = SampleProject.Apply(
            SampleProject.Empty(),
            new DrawLine { Line = new DrawnLine(0, 0, [new DrawnCurve(0, 0, 30, 5, 30, 5)]) }
        );
        var opened = OpenedSample.Opened(line, withHands: false);
        var refused = SampleProject.Refused(opened, new MakeLive { ElementIds = [opened.Elements[0].Id] });
        Assert.Equal("live-nothing", refused.Code);
        Assert.Equal(
            "cut-nothing",
            SampleProject.Refused(opened, new CutFromStitches { ElementId = opened.Elements[0].Id }).Code
        );
    }

    [Theory]
    [InlineData(0)]
    [InlineData(2)]
    public void CutShape_HasTheSizeOfTheOriginal_AndItsEdgeIsCoveredByTheBorder(int block)
    {
        var source = Source(Method.CutBeforehand, CoverKind.Satin);
        var opened = OpenedSample.Opened(source, withHands: false);
        var cut = SampleProject.Apply(opened, new CutFromStitches { ElementId = opened.Elements[block].Id });
        var evaluated = SampleProject.Evaluate(cut);
        var shape = Assert.Single(evaluated.Cuts);
        var (meant, found) = (SampleProject.Evaluate(source).Cuts.Single().Outline.Bounds(), shape.Outline.Bounds());
        Assert.InRange(found.Width, meant.Width - 0.2, meant.Width + 0.2);
        Assert.InRange(found.Height, meant.Height - 0.2, meant.Height + 0.2);
        var element = cut.Elements.First(each => each.Making is CutOnlyMaking);
        var match = evaluated.CheckedOn.BorderOf(element)!;
        Assert.InRange(match.Covered, 0.999, 1);
        Assert.InRange(match.Bite, 1.2, 2.6);
        Assert.DoesNotContain(
            evaluated.Findings,
            finding => finding.Code == "cut-uncovered" && finding.Level == Core.Findings.FindingLevel.Stop
        );
    }

    [Theory]
    [InlineData(6, "it peeps out by up to ")]
    [InlineData(-4, " mm short of it. ")]
    public void CutShape_TooLargeOrTooSmall_IsFoundNotToBeCovered(double allowance, string words)
    {
        var opened = OpenedSample.Opened(Source(Method.CutBeforehand, CoverKind.Satin), withHands: false);
        var cut = SampleProject.Apply(
            opened,
            new CutFromStitches { ElementId = opened.Elements[0].Id, Allowance = allowance }
        );
        var finding = Assert.Single(SampleProject.Evaluate(cut).Findings, found => found.Code == "cut-uncovered");
        Assert.Equal(Core.Findings.FindingLevel.Stop, finding.Level);
        Assert.Contains(words, finding.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void EdgeRound_GoesRoundEveryNeedlePoint_AtItsDistance()
    {
        var opened = OpenedSample.Opened(Source(Method.RawEdge, CoverKind.RawEdge), withHands: false);
        var edged = SampleProject.Apply(
            opened,
            new EdgeRound { ElementIds = [.. opened.Elements.Select(element => element.Id)], Distance = 5 }
        );
        var edge = edged.Elements[0];
        Assert.IsType<ClothMaking>(edge.Making);
        var area = SampleProject.Evaluate(edged).Outlines[edge.Id].Flatten();
        var rings = new SegmentIndex(area.SelectMany(region => region.Rings));
        var inside = new AreaIndex(area);
        foreach (var at in OpenedSample.Sewn(opened).SelectMany(commands => commands).Select(command => command.At))
        {
            Assert.True(inside.Holds(at));
            Assert.True(rings.Nearest(at, 100)!.Value.DistanceTo(at) > 4.7);
        }
    }

    [Fact]
    public void HiddenDecoration_IsListed_AndPlacementIsNeverOffered()
    {
        var source = SampleProject.Apply(Source(Method.TrimInTheHoop, CoverKind.Satin));
        var twice = OpenedSample.OpenedIn(OpenedSample.Opened(source), source);
        var found = SampleProject.Evaluate(twice).Findings.Where(finding => finding.Code == "opened-hidden").ToList();
        Assert.Equal(3, found.Count);
        Assert.All(found, finding => Assert.Null(finding.Mend));
        var decoration = SampleProject.Apply(
            twice,
            new SetOpened { ElementIds = [twice.Elements[2].Id], Role = OpenedRole.Decoration }
        );
        var offered = SampleProject
            .Evaluate(decoration)
            .Findings.Where(finding => finding.Code == "opened-hidden" && finding.Mend is not null)
            .ToList();
        Assert.Equal(twice.Elements[2].Id, Assert.Single(offered).ElementId);
    }

    private static Project Source(Method method, CoverKind kind) =>
        SampleProject.Apply(
            SampleProject.With(new HeartShape(), 60, 56, method),
            kind is CoverKind.Satin or CoverKind.RawEdge
                ? new RenameProject { Title = "Heart" }
                : new SetCoverKind { ElementId = "e1", Kind = kind }
        );

    private static Project Live(Project opened) =>
        SampleProject.Apply(opened, new MakeLive { ElementIds = [opened.Elements[^1].Id] });

    private static Core.Stitches.CoverNumbers Cover(Project project) =>
        CoverChoice.Of(AppliqueElement.Of(project.Elements.First(element => element.Making is ClothMaking))!, project);

    private static EdgeMargin Worst(Project project) =>
        EdgeMatch.Of(SampleProject.Evaluate(project).Pieces.Single())!.Worst!;

    /// <summary>How far the live outline lies from the sewn one where that is farthest, mm.</summary>
    private static double Distance(Project source, Project live)
    {
        var meant = SampleProject
            .Evaluate(source)
            .Pieces.Single()
            .Line.Flatten()
            .SelectMany(region => region.Rings)
            .ToList();
        var found = new SegmentIndex(
            SampleProject.Evaluate(live).Pieces.Single().Outline.Flatten().SelectMany(region => region.Rings)
        );
        return meant.SelectMany(ring => ring.Points).Max(at => found.Nearest(at, 50)!.Value.DistanceTo(at));
    }
}
