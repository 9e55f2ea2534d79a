using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Cutting;

/// <summary>Roles, profiles, tolerances, mats and the smallest ones that take a shape.</summary>
public sealed class SettingsTests
{
    [Fact]
    public void Role_OfAnOutline_IsKeptWithItsShapeAlone_AndCutIsTheUsual()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new LeafShape(), 30, 40, Method.CutBeforehand),
            SampleProject.Add(new HeartShape(), 20, 20, Method.CutBeforehand),
            new SetCutRole
            {
                ClothId = "beet",
                Key = "e1.0",
                Role = CutRole.Draw,
            }
        );
        var roles = SampleProject
            .Evaluate(project)
            .Sheets[0]
            .Shapes.ToDictionary(each => each.Shape.Key, each => each.Role);
        Assert.Equal((CutRole.Draw, CutRole.Cut), (roles["e1.0"], roles["e2.0"]));
        var back = SampleProject.Apply(
            project,
            new SetCutRole
            {
                ClothId = "beet",
                Key = "e1.0",
                Role = CutRole.Cut,
            }
        );
        Assert.Empty(back.Cut.Of("beet").Roles);
    }

    [Theory]
    [InlineData(ClothKind.Felt, "Felt")]
    [InlineData(ClothKind.Vinyl, "Vinyl")]
    [InlineData(ClothKind.Denim, "Twill")]
    [InlineData(ClothKind.WovenCotton, "Cotton with fusible")]
    [InlineData(ClothKind.Organza, "Cotton with fusible")]
    public void Profile_OfAClothThatHasNone_IsTheGenericOneOfItsKind(ClothKind kind, string name) =>
        Assert.Equal(name, CutProfiles.For(kind).Name);

    [Fact]
    public void Profiles_ThatShip_KeepTheirOwnLimits()
    {
        Assert.All(CutProfiles.All, profile => Assert.Null(CutLimits.Check(profile)));
        Assert.All(
            CutProfiles.All,
            profile => Assert.Equal(profile.Blade == BladeKind.Rotary, profile.LeastRadius > 0)
        );
        Assert.Equal(CutProfiles.All.Length, CutProfiles.All.Select(profile => profile.Name).Distinct().Count());
    }

    [Fact]
    public void Profile_ChangedForACloth_StaysWithIt_AndLeavesOthersTheirs()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new LeafShape(), 30, 40, Method.CutBeforehand),
            SampleProject.Add(new LeafShape(), 30, 40, Method.CutBeforehand, "felt"),
            new SetCutProfile { ClothId = "beet", Profile = CutProfiles.Cotton with { Depth = 0.9 } }
        );
        var sheets = SampleProject.Evaluate(project).Sheets;
        Assert.Equal((0.9, CutProfiles.Felt), (sheets[0].Setup.Profile.Depth, sheets[1].Setup.Profile));
        var usual = SampleProject.Apply(project, new SetCutProfile { ClothId = "beet" });
        Assert.Equal(CutProfiles.Cotton, SampleProject.Evaluate(usual).Sheets[0].Setup.Profile);
    }

    [Theory]
    [InlineData(100, 280, 152, 305)]
    [InlineData(285, 285, 305, 305)]
    [InlineData(286, 285, 610, 610)]
    [InlineData(200, 500, 305, 610)]
    public void Mat_ThatIsSmallestForABox_CountsTheMargin(
        double width,
        double height,
        double matWidth,
        double matHeight
    )
    {
        var mat = Mats.Smallest(new Box(0, 0, width, height), 10)!;
        Assert.Equal((matWidth, matHeight, 10), (mat.Width, mat.Height, mat.Margin));
    }

    [Fact]
    public void Mat_ForWhatNoneTakes_IsNone() => Assert.Null(Mats.Smallest(new Box(0, 0, 700, 700), 10));

    [Theory]
    [InlineData(Lying.FaceUp, null)]
    [InlineData(Lying.FaceDown, "cloth face down")]
    [InlineData(Lying.PaperUp, "fusible, paper up")]
    [InlineData(Lying.FilmDown, "iron-on film, carrier down")]
    public void Mirror_HasAReason_AndOnlyThen(Lying lies, string? reason)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new DropShape(), 30, 40, Method.CutBeforehand),
            new MirrorCloth { ClothId = "beet", Lies = lies }
        );
        var setup = SampleProject.Evaluate(project).Sheets[0].Setup;
        Assert.Equal((reason, reason is not null), (setup.MirrorReason, setup.IsMirrored));
    }

    /// <summary>What counts is what is measured: each tolerance moves the margin by itself, one to one.</summary>
    [Theory]
    [InlineData(Method.CutBeforehand)]
    [InlineData(Method.TrimInTheHoop)]
    public void Tolerances_MoveTheMarginByWhatTheyAreMore(Method method)
    {
        var project = SampleProject.With(new RectangleShape(), 60, 50, method);
        var usual = UsualTolerances.Of(project.FindCloth("beet")!);
        var before = Margin(project);
        // Typing the usual numbers changes nothing.
        Assert.Equal(before.Bite, Margin(Set(project, usual)).Bite, 1e-9);
        if (method == Method.CutBeforehand)
        {
            Assert.Equal(
                before.Bite - 0.3,
                Margin(Set(project, usual with { Cutting = usual.Cutting + 0.3 })).Bite,
                1e-9
            );
            Assert.Equal(
                before.Bite - 0.2,
                Margin(Set(project, usual with { Laying = usual.Laying + 0.2 })).Bite,
                1e-9
            );
            Assert.Equal(before.Bite, Margin(Set(project, usual with { TrimMost = 3 })).Bite, 1e-9);
        }
        else
        {
            var longer = Margin(Set(project, usual with { TrimMost = usual.TrimMost + 0.4 }));
            Assert.Equal(before.Beyond!.Value - 0.4, longer.Beyond!.Value, 1e-9);
            var closer = Margin(Set(project, usual with { TrimLeast = usual.TrimLeast - 0.2 }));
            Assert.Equal(before.Bite - 0.2, closer.Bite, 1e-9);
            Assert.Equal(before.Bite, Margin(Set(project, usual with { Cutting = 2 })).Bite, 1e-9);
        }
    }

    [Fact]
    public void Copies_OfEverything_AreNumberedOnAndAllOfThemAreCut()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new LeafShape(), 30, 40, Method.CutBeforehand),
            new SetSheet
            {
                ClothId = "beet",
                Layout = SheetLayout.InPlace,
                Copies = 4,
            }
        );
        var sheet = Assert.Single(SampleProject.Evaluate(project).Sheets);
        Assert.Equal([0, 1, 2, 3], sheet.Shapes.Select(placed => placed.Copy).Order());
        Assert.Empty(sheet.Meetings);
        Assert.True(sheet.Fits);
    }

    [Fact]
    public void Labels_OfEdits_SayWhatAPersonWould()
    {
        var project = SampleProject.With(new LeafShape());
        Assert.Equal(
            "Mirror the cut of beet cotton",
            new MirrorCloth { ClothId = "beet", Lies = Lying.PaperUp }.Label(project)
        );
        Assert.Equal(
            "Cut beet cotton unmirrored",
            new MirrorCloth { ClothId = "beet", Lies = Lying.FaceUp }.Label(project)
        );
        Assert.Equal("Change the mat", new SetMat { Width = 300, Height = 300 }.Label(project));
        Assert.Equal(
            "Change the mat of moss felt",
            new SetMat
            {
                Width = 300,
                Height = 300,
                ClothId = "felt",
            }.Label(project)
        );
        Assert.Equal("Take the photo off the mat", new SetMatPhoto { ClothId = "beet" }.Label(project));
        Assert.Equal("Lay beet cotton out again", new LayOutAgain { ClothId = "beet" }.Label(project));
    }

    private static Project Set(Project project, EdgeTolerances tolerances) =>
        SampleProject.Apply(project, new SetTolerances { ClothId = "beet", Tolerances = tolerances });

    private static EdgeMargin Margin(Project project) =>
        EdgeMatch.Of(SampleProject.Evaluate(project).Pieces.Single())!.Margins[0];
}
