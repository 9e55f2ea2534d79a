using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits.Opened;

/// <summary>Opened stitches: hands put between them, copies with an opening of their own, sizes that can't be exchanged.</summary>
public sealed class OpenedEditsTests
{
    private static readonly Project Source = SampleProject.With(new HeartShape());

    private static readonly Project Bare = OpenedSample.Opened(Source, withHands: false);

    private static Element Tack => Bare.Elements[1];

    [Fact]
    public void ACloth_IsLaidBeforeATackDown_AndTheMachineStopsForIt()
    {
        var laid = OpenedSample.Apply(Bare, new LayBetween { ElementId = Tack.Id, ClothId = "felt" });
        var hands = Assert.Single(laid.Find(Tack.Id)!.MadeAs<OpenedMaking>()!.Before);
        Assert.Equal(HandKind.Lay, hands.Kind);
        var evaluated = SampleProject.Evaluate(laid);
        Assert.DoesNotContain(
            evaluated.Findings,
            finding => finding.Code == "opened-hands-missing" && finding.ElementId == Tack.Id
        );
        Assert.Contains(
            evaluated.Program.Steps.OfType<ProgramHands>(),
            step => step.Kind == HandKind.Lay && step.Text.Contains("moss felt", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Cloth_IsTrimmedBeforeACover_WithTheHoopOff()
    {
        var cover = Bare.Elements[2];
        var trimmed = OpenedSample.Apply(
            Bare,
            new LayBetween { ElementId = Tack.Id },
            new LayBetween { ElementId = cover.Id, Kind = HandKind.Trim }
        );
        var hands = Assert.Single(trimmed.Find(cover.Id)!.MadeAs<OpenedMaking>()!.Before);
        Assert.Equal(HandKind.Trim, hands.Kind);
        Assert.True(hands.HoopOff);
    }

    [Theory]
    [InlineData(HandKind.Fold, null, "hand-unfit")]
    [InlineData(HandKind.Lay, "nobody", "cloth-unknown")]
    public void Hands_ThatOpenedStitchesDontTake_AreRefused(HandKind kind, string? clothId, string code) =>
        Assert.Equal(
            code,
            SampleProject
                .Refused(
                    Bare,
                    new LayBetween
                    {
                        ElementId = Tack.Id,
                        Kind = kind,
                        ClothId = clothId,
                    }
                )
                .Code
        );

    [Fact]
    public void MoreHands_ThanABlockTakes_AreRefused()
    {
        var project = Bare;
        for (var i = 0; i < OpenedMaking.MostHands; i++)
        {
            project = OpenedSample.Apply(project, new LayBetween { ElementId = Tack.Id });
        }
        Assert.Equal("too-many", SampleProject.Refused(project, new LayBetween { ElementId = Tack.Id }).Code);
    }

    [Fact]
    public void Copies_HaveAnOpeningOfTheirOwn_AndBothAreSewn()
    {
        var ids = Bare.Elements.Select(element => element.Id).ToImmutableArray();
        var doubled = OpenedSample.Apply(Bare, new DuplicateElements { ElementIds = ids });
        Assert.Equal(2, doubled.OpenedFiles.Length);
        var openings = doubled
            .Elements.GroupBy(element => element.MadeAs<OpenedMaking>()!.FileId, StringComparer.Ordinal)
            .Select(group => group.Count());
        Assert.Equal([3, 3], openings);
        Assert.Equal(doubled.OpenedFiles[0].Asset, doubled.OpenedFiles[1].Asset);
        Assert.Equal(2 * OpenedSample.Sewn(Bare).Length, OpenedSample.Sewn(doubled).Length);
    }

    [Fact]
    public void ASize_ThatCantTakeTheOthersPlace_SaysWhy()
    {
        var file = Bare.OpenedFiles[0];
        var sized = Bare with { OpenedFiles = [file with { Sizes = [new OpenedSize("small", file.Asset, 40, 40)] }] };
        var design = OpenedSample.Design(Source, withHands: false);
        var context = OpenedSample.Knowing(design);
        Assert.Equal("file-unknown", Refused(sized, new ExchangeSize { FileId = "nobody", Asset = file.Asset }));
        Assert.Equal("size-unknown", Refused(sized, new ExchangeSize { FileId = file.Id, Asset = "other" }));
        var locked = SampleProject.Apply(sized, new LockElements { ElementIds = [Tack.Id], Locked = true });
        Assert.Equal("element-locked", Refused(locked, new ExchangeSize { FileId = file.Id, Asset = file.Asset }));
        var fewer = SampleProject.Apply(
            sized,
            new RemoveElements { ElementIds = [Bare.Elements[2].Id], Dependents = DependentsFate.Refuse }
        );
        Assert.Equal("size-unlike", Refused(fewer, new ExchangeSize { FileId = file.Id, Asset = file.Asset }));
        Assert.True(
            new ExchangeSize { FileId = file.Id, Asset = file.Asset }
                .Apply(sized, context)
                .IsOk
        );

        string Refused(Project project, Edit edit) => edit.Apply(project, context).Refusal!.Code;
    }
}
