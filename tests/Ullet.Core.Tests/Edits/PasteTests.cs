using Ullet.Core.Edits;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

public sealed class PasteTests
{
    private static readonly Project From = SampleProject.Apply(
        SampleProject.With(new LeafShape()),
        new AddCloth
        {
            Name = "pond dots",
            Colour = "#3f7287",
            Texture = ClothTexture.Dotted,
        },
        new AddWords
        {
            Text = "Bed",
            FontId = "block",
            ClothId = "c2",
        },
        new SetCover
        {
            ElementId = "e3",
            Cover = new CoverSettings { ThreadId = "cover", Width = 3 },
        },
        new GroupElements { ElementIds = ["e1", "e3"] }
    );

    [Fact]
    public void Paste_IntoAnotherProject_BringsWhatItLacks_AndUsesWhatItHas()
    {
        var into = SampleProject.Apply(SampleProject.Empty(), SampleProject.Add(new HeartShape()));
        var pasted = SampleProject.Apply(
            into,
            new PasteElements { Clip = Clip.Of(From, ["e1", "e3"], SampleProject.Context).Value }
        );
        Assert.Equal(3, pasted.Elements.Length);
        Assert.Equal(pasted.Elements.Length, pasted.Elements.Select(element => element.Id).Distinct().Count());
        Assert.Equal(into.Cloths.Length + 1, pasted.Cloths.Length);
        Assert.Equal(into.Threads.Length, pasted.Threads.Length);
        var (leaf, words) = (pasted.Elements[1].Cloth(), pasted.Elements[2].Cloth());
        Assert.IsType<TextForm>(words.Element.Form);
        Assert.Equal("beet", leaf.ClothId);
        Assert.Equal("pond dots", pasted.FindCloth(words.ClothId)!.Name);
        Assert.Equal("cover", words.Stages.Cover.ThreadId);
        Assert.Equal(leaf.Element.GroupId, words.Element.GroupId);
        Assert.Equal(From.Find("e3")!.Box.X + DuplicateElements.Aside, words.Box.X, 1e-9);
        // The same sewing comes out of it.
        Assert.Equal(
            SampleProject.Evaluate(From).Program.StitchCount,
            SampleProject
                .Evaluate(SampleProject.Apply(pasted, new RemoveElements { ElementIds = [into.Elements[0].Id] }))
                .Program.StitchCount,
            40.0
        );
    }

    [Fact]
    public void Paste_OfABrokenClip_Refuses()
    {
        var clip = Clip.Of(From, ["e3"], SampleProject.Context).Value;
        string Code(Clip broken) =>
            SampleProject.Refused(SampleProject.Empty(), new PasteElements { Clip = broken }).Code;
        Assert.Equal("clip-empty", Code(clip with { Elements = [] }));
        Assert.Equal("cloth-unknown", Code(clip with { Cloths = [] }));
        var words = clip.Elements[0];
        Assert.Equal(
            "font-unknown",
            Code(clip with { Elements = [words with { Form = words.Words() with { FontId = "gone" } }] })
        );
        Assert.Equal(
            "number-out-of-range",
            Code(clip with { Elements = [words with { Box = words.Box with { Width = double.NaN } }] })
        );
    }

    [Fact]
    public void Clip_OfWhatIsNotThere_SaysSo()
    {
        Assert.Equal("element-unknown", Clip.Of(From, ["e9"], SampleProject.Context).Refusal?.Code);
        Assert.Equal("nothing-selected", Clip.Of(From, [], SampleProject.Context).Refusal?.Code);
    }

    [Fact]
    public void Clip_OfWhatIsMadeWithOthers_KeepsItLiveWithThem_AndFreezesItWithout()
    {
        var carved = Carved();
        var together = SampleProject.Apply(
            SampleProject.Empty(),
            new PasteElements { Clip = Clip.Of(carved, ["e1", "e2"], SampleProject.Context).Value }
        );
        var (ring, bar) = (together.Elements[0], together.Elements[1]);
        Assert.Equal([bar.Id], Assert.Single(ring.Operations).Sources);
        var alone = Clip.Of(carved, ["e1"], SampleProject.Context).Value;
        var frozen = Assert.Single(alone.Elements);
        Assert.Empty(frozen.Operations);
        Assert.Equal(
            2,
            ShapeContours.Outline(frozen.Form.ShapeOf()!, frozen.Box.Width, frozen.Box.Height).Parts.Length
        );
    }

    [Fact]
    public void Duplicate_OfWhatIsMadeWithEachOther_UsesTheCopies_AndAloneTheOriginal()
    {
        var carved = Carved();
        var both = SampleProject.Apply(carved, new DuplicateElements { ElementIds = ["e1", "e2"] });
        Assert.Equal([both.Elements[3].Id], Assert.Single(both.Elements[2].Operations).Sources);
        var one = SampleProject.Apply(carved, new DuplicateElements { ElementIds = ["e1"] });
        Assert.Equal(["e2"], Assert.Single(one.Elements[2].Operations).Sources);
    }

    /// <summary>An ellipse cut in two by a bar across it.</summary>
    private static Project Carved() =>
        SampleProject.Apply(
            SampleProject.With(new EllipseShape()),
            SampleProject.Add(new RectangleShape(), 100, 8),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Carve { SourceIds = ["e2"] },
            }
        );
}
