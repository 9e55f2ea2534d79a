using Ullet.Core.Documents;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;
using Xunit;

namespace Ullet.Core.Tests.Edits;

/// <summary>Colours of cloths and threads are kept under names and taken again.</summary>
public sealed class ColourwayTests
{
    [Fact]
    public void Kept_Changed_AndTakenAgain_ColoursAndNamesAreBack_AndKindsStay()
    {
        var summer = SampleProject.Apply(SampleProject.Empty(), new KeepColourway { Name = " Summer " });
        var id = Assert.Single(summer.Colourways).Id;
        Assert.Equal("Summer", summer.Colourways[0].Name);
        Assert.True(summer.Colourways[0].IsWorn(summer));
        var beet = summer.FindCloth("beet")! with { Name = "pond cotton", Colour = "#224466", Kind = ClothKind.Denim };
        var winter = SampleProject.Apply(
            summer,
            new ChangeCloth { Cloth = beet },
            new ChangeThread { Thread = summer.FindThread("cover")! with { Colour = "#ffffff" } },
            new KeepColourway { Name = "Winter" }
        );
        Assert.Equal((false, true), (winter.Colourways[0].IsWorn(winter), winter.Colourways[1].IsWorn(winter)));
        var back = SampleProject.Apply(winter, new WearColourway { ColourwayId = id });
        Assert.Equal(
            (summer.FindCloth("beet")!.Name, summer.FindCloth("beet")!.Colour, ClothKind.Denim),
            (back.FindCloth("beet")!.Name, back.FindCloth("beet")!.Colour, back.FindCloth("beet")!.Kind)
        );
        Assert.Equal(summer.FindThread("cover"), back.FindThread("cover"));
        // What came later keeps its colour.
        var later = SampleProject.Apply(winter, new AddThread { Name = "moss", Colour = "#00ff00" });
        Assert.Equal("#00ff00", SampleProject.Apply(later, new WearColourway { ColourwayId = id }).Threads[^1].Colour);
        Assert.Single(SampleProject.Apply(winter, new RemoveColourway { ColourwayId = id }).Colourways);
    }

    [Fact]
    public void OneName_IsKeptOnce_AndNoMoreThanFit()
    {
        var project = SampleProject.Empty();
        for (var i = 0; i < Colourway.Most; i++)
        {
            project = SampleProject.Apply(project, new KeepColourway { Name = $"No. {i}" });
        }
        Assert.Equal(
            Colourway.Most,
            SampleProject.Apply(project, new KeepColourway { Name = "NO. 3" }).Colourways.Length
        );
        Assert.Equal(
            "colourways-too-many",
            SampleProject.Refused(project, new KeepColourway { Name = "one more" }).Code
        );
        Assert.Equal(
            "colourway-unknown",
            SampleProject.Refused(project, new WearColourway { ColourwayId = "c99" }).Code
        );
        SampleProject.Refused(SampleProject.Empty(), new KeepColourway { Name = "  " });
    }

    [Fact]
    public void AColourThatIsNone_IsGreyWhenTheDocumentIsRead()
    {
        var kept = SampleProject.Apply(SampleProject.Empty(), new KeepColourway { Name = "Summer" });
        var own = kept.Colourways[0];
        var broken = kept with { Colourways = [own with { Cloths = [own.Cloths[0] with { Colour = "red" }] }] };
        Assert.Equal(kept.Colourways[0].Name, ProjectJson.Read(ProjectJson.Write(kept)).Value.Colourways[0].Name);
        var read = DocumentMending.Mended(broken);
        Assert.NotEqual("red", read.Colourways[0].Cloths[0].Colour);
        Assert.Contains(read.Mended, words => words.Contains("grey", StringComparison.Ordinal));
    }
}
