using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits.Parts;

public sealed class DropPartTests
{
    private static readonly Project Opened = OpenedSample.Opened(SampleProject.With(new HeartShape(), 40, 36));

    [Fact]
    public void ADroppedPart_BringsItsSteps_ItsHands_ItsCloths()
    {
        var dropped = Dropped(SampleProject.With(new StarShape(), 100, 100), All(Opened));
        var steps = SampleProject.Evaluate(dropped).RunSheet.Steps;
        var own = dropped
            .Elements.Where(element => element.Making is OpenedMaking)
            .Select(element => element.Id)
            .ToHashSet();
        Assert.Equal(3, own.Count);
        Assert.Equal(2, steps.OfType<HandStep>().Count(step => own.Contains(step.OwnerId)));
        Assert.Single(dropped.Cloths, cloth => cloth.Name == "beet cotton");
        Assert.Empty(SampleProject.Evaluate(dropped).RunSheet.Order.Broken);
    }

    [Fact]
    public void ADroppedPart_StandsWhereItIsAsked_AboveWhatItLiesOn()
    {
        var into = SampleProject.Apply(
            SampleProject.With(new StarShape(), 100, 100),
            SampleProject.Add(new LeafShape(), 10, 10)
        );
        var dropped = Drop(
            into,
            new DropPart
            {
                PartId = "part",
                X = 12,
                Y = -7,
                LiesOn = into.Elements[0].Id,
            },
            All(Opened)
        );
        Assert.IsType<OpenedMaking>(dropped.Elements[1].Making);
        Assert.IsType<ClothMaking>(dropped.Elements[^1].Making);
        Assert.InRange(dropped.Elements[1].Box.X, 11.9, 12.1);
        Assert.InRange(dropped.Elements[1].Box.Y, -7.1, -6.9);
    }

    [Fact]
    public void InThePlaceOfAnother_ItTakesItsSpotItsSizeAndItsStep()
    {
        var into = SampleProject.Apply(
            SampleProject.With(new StarShape(), 90, 90),
            SampleProject.Add(new LeafShape(), 20, 18),
            SampleProject.Add(new EllipseShape(), 8, 8)
        );
        var old = into.Elements[1];
        var dropped = Drop(into, new DropPart { PartId = "part", Replaces = [old.Id] }, All(Opened));
        Assert.Null(dropped.Find(old.Id));
        Assert.IsType<OpenedMaking>(dropped.Elements[1].Making);
        var placement = dropped.Elements[1];
        // The whole of it, cover included, takes the leaf's room.
        Assert.InRange(placement.Box.Width, 17.5, 20.1);
        Assert.InRange(placement.Box.X, old.Box.X - 0.5, old.Box.X + 0.5);
    }

    [Fact]
    public void NearThreads_AreTheProjectsOwn_OthersComeAlong()
    {
        var near = SampleProject.With(new StarShape()) with
        {
            Threads =
            [
                .. SampleProject
                    .Empty()
                    .Threads.Select(thread =>
                        thread with
                        {
                            Name = thread.Name + " here",
                            Colour = Shifted(thread.Colour),
                        }
                    ),
            ],
        };
        var taken = Drop(near, new DropPart { PartId = "part" }, All(Opened));
        Assert.Equal(near.Threads.Length, taken.Threads.Length);
        var brought = Drop(near, new DropPart { PartId = "part", TakesNearThreads = false }, All(Opened));
        Assert.Equal(near.Threads.Length + 2, brought.Threads.Length);
    }

    [Fact]
    public void PartsOfAPattern_ComeAsStitchesWithTheHandsBeforeThem()
    {
        var pouch = SampleProject.Apply(SampleProject.Empty(200, 300), new UsePattern { PatternId = "zip-pouch" });
        var zip = pouch
            .Elements.Where(element => element.Name == "Zip")
            .Select(element => element.Id)
            .ToImmutableArray();
        Assert.NotEmpty(zip);
        var part = Part.Of(pouch, zip, "Zip", ["zip"], SampleProject.Context).Value;
        var laid = part
            .Clip.Elements.SelectMany(element => element.MadeAs<OpenedMaking>()?.Before ?? [])
            .SelectMany(hands => hands.Changes)
            .OfType<OpenedLaid>();
        Assert.Contains(laid, layer => layer.Slider is not null);
        var dropped = Dropped(SampleProject.Empty(200, 300), part);
        Assert.Contains(dropped.Cloths, cloth => cloth.Kind == ClothKind.Zip);
        Assert.NotEmpty(SampleProject.Evaluate(dropped).Hoopings[0].Program.Steps.OfType<ProgramHands>());
    }

    [Fact]
    public void ALivePieceAsAPart_KeepsItsMethod()
    {
        var project = SampleProject.With(new HeartShape(), 30, 30, Method.CutBeforehand, "felt");
        var part = Part.Of(project, ["e1"], "Heart", [], SampleProject.Context).Value;
        var dropped = Dropped(SampleProject.Empty(), part);
        Assert.Equal(Method.CutBeforehand, dropped.Elements.Single().MadeAs<ClothMaking>()!.Method);
    }

    [Fact]
    public void BadParts_AreRefused()
    {
        Assert.Equal("part-unknown", SampleProject.Refused(Opened, new DropPart { PartId = "gone" }).Code);
        var ids = Opened.Elements.Select(element => element.Id).ToList();
        Assert.Equal("name-empty", Part.Of(Opened, ids, "  ", [], SampleProject.Context).Refusal!.Code);
        Assert.Equal(
            "tag-too-long",
            Part.Of(Opened, ids, "x", [new string('a', 300)], SampleProject.Context).Refusal!.Code
        );
        Assert.Equal("nothing-selected", Part.Of(Opened, [], "x", [], SampleProject.Context).Refusal!.Code);
    }

    [Fact]
    public void APart_IsFoundByItsNameAndItsTags()
    {
        var part = All(Opened);
        Assert.True(part.Answers("heart"));
        Assert.True(part.Answers("rose Hea"));
        Assert.False(part.Answers("zip"));
    }

    [Fact]
    public void CopyAndPaste_BetweenProjects_BringsHandsAndFiles()
    {
        var clip = Clip.Of(Opened, [.. Opened.Elements.Select(element => element.Id)], SampleProject.Context).Value;
        var json = System.Text.Json.JsonSerializer.Serialize(clip, ProjectJson.Options);
        var back = System.Text.Json.JsonSerializer.Deserialize<Clip>(json, ProjectJson.Options)!;
        var pasted = SampleProject.Apply(SampleProject.Empty(), new PasteElements { Clip = back });
        Assert.Single(pasted.OpenedFiles);
        Assert.Equal(
            SampleProject.Evaluate(Opened).RunSheet.Steps.Length,
            SampleProject.Evaluate(pasted).RunSheet.Steps.Length
        );
    }

    private static string Shifted(string colour) => $"{colour[..6]}{(colour[6] == 'f' ? 'e' : 'f')}";

    private static Part All(Project project) =>
        Part.Of(
            project,
            [.. project.Elements.Select(element => element.Id)],
            "Heart",
            ["rose"],
            SampleProject.Context
        ).Value;

    private static Project Dropped(Project into, Part part) => Drop(into, new DropPart { PartId = "part" }, part);

    private static Project Drop(Project into, DropPart drop, Part part)
    {
        var dropped = drop.Apply(into, SampleProject.Context with { Parts = new One(part) });
        Assert.True(dropped.IsOk, dropped.Refusal?.Words);
        return dropped.Value;
    }

    private sealed class One(Part part) : IKeptParts
    {
        public Part? Find(string id) => id == "part" ? part : null;
    }
}
