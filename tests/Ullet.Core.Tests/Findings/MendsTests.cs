using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Findings;

/// <summary>Every mend that a finding offers ends it.</summary>
public sealed class MendsTests
{
    private static readonly ImmutableArray<(string Code, int Mends, Func<Project> Made)> Cases =
    [
        ("outside-field", 1, () => At(new RectangleShape(), 50, 0, 60, 40)),
        ("outside-field", 3, () => At(new RectangleShape(), 0, 0, 150, 90)),
        ("outside-field", 2, () => At(new RectangleShape(), 0, 0, 150, 150)),
        ("in-margin", 1, Margined),
        ("hole-too-small", 2, () => Holed(6, Method.TrimInTheHoop)),
        ("hole-closes", 1, () => Holed(2, Method.CutBeforehand)),
        ("cut-too-fine", 1, () => Holed(2.5, Method.CutBeforehand)),
        ("cut-too-fine", 1, () => Holed(1.2, Method.CutBeforehand, "film")),
        ("piece-too-small-to-trim", 2, () => At(new RectangleShape(), 0, 0, 8, 6)),
        ("piece-narrow", 2, () => At(new DropShape(), 0, 0, 14, 60)),
        ("piece-narrow", 2, () => At(new RectangleShape(), 0, 0, 3.4, 60)),
        ("edge-may-fray", 2, () => Covered(CoverKind.Zigzag)),
        ("element-doubled", 1, () => SampleProject.Apply(At(new HeartShape(), 0, 0, 50, 50), Copy())),
        ("hidden", 2, () => SampleProject.Apply(At(new HeartShape(), 0, 0, 50, 50), Hidden())),
        ("construction-unused", 1, Constructed),
        ("cloth-on-itself", 1, () => At(new HeartShape(), 0, 0, 50, 50, "ground")),
        ("text-small", 1, () => Words(3, WordsUse.Satin)),
        ("letters-touch", 2, Touching),
        ("film-unmirrored", 1, () => Holed(6, Method.CutBeforehand, "film")),
        ("mat-too-small", 1, () => At(new RectangleShape(), 0, 0, 320, 60)),
        ("edge-peeps-out", 1, () => Offset(1.5)),
        ("bite-too-small", 1, Thin),
        ("piece-buried", 1, Buried),
    ];

    public static TheoryData<int> All() => [.. Enumerable.Range(0, Cases.Length)];

    [Theory]
    [MemberData(nameof(All))]
    public void EveryMend_EndsItsFinding(int number)
    {
        var (code, least, made) = Cases[number];
        var project = made();
        var found = SampleProject.Evaluate(project).Findings.Where(finding => finding.Code == code).ToList();
        Assert.True(found.Count > 0, $"{code} was not found");
        Assert.True(found[0].Mends.Length >= least, $"{code} has only {found[0].Mends.Length} mends");
        for (var i = 0; i < found[0].Mends.Length; i++)
        {
            var edit = MendEdits.Chosen(found, code, found[0].ElementId, i, all: false, project);
            var mended = SampleProject.Apply(project, edit!);
            var left = SampleProject.Evaluate(mended).Findings;
            Assert.True(
                left.All(finding => finding.Code != code || finding.ElementId != found[0].ElementId),
                $"{code}: \"{found[0].Mends[i].Label}\" left: {left.FirstOrDefault(f => f.Code == code)?.Words}"
            );
        }
    }

    [Fact]
    public void Mends_OfTwelveKindsAndMore_AreHeldHere() =>
        Assert.True(Cases.Select(each => each.Code).Distinct().Count() >= 12);

    [Fact]
    public void OneMend_ForAllFindingsOfACheck_IsOneStep()
    {
        var project = SampleProject.Apply(
            At(new HeartShape(), -30, 0, 40, 40),
            Add(new HeartShape(), 30, 0, 40, 40),
            new HideElements { ElementIds = ["e1", "e2"], Hidden = true }
        );
        var found = SampleProject.Evaluate(project).Findings;
        var edit = MendEdits.Chosen(found, "hidden", null, 0, all: true, project)!;
        var mended = SampleProject.Apply(project, edit);
        Assert.DoesNotContain(mended.Elements, element => element.IsHidden);
        Assert.Equal("Show it again, 2 times", edit.Label(project));
        Assert.Null(MendEdits.Chosen(found, "hidden", "e1", 7, all: false, project));
    }

    [Fact]
    public void EightHoles_AreOneLine()
    {
        var shape = new RepeatRound { Count = 8, CentreY = 12 };
        var project = SampleProject.Apply(
            At(new EllipseShape(), 0, 0, 80, 80),
            Add(new EllipseShape(), 0, -25, 3, 3),
            new AddOperation { ElementId = "e2", Operation = shape with { CentreY = 25 } },
            new MakeConstruction { ElementIds = ["e2"], IsConstruction = true },
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Carve { SourceIds = ["e2"], Reveal = 0 },
            }
        );
        var found = Assert.Single(SampleProject.Evaluate(project).Findings, f => f.Code == "hole-too-small");
        Assert.Contains("8 holes", found.Words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0.96, 1.04, "0.96 mm", "1.04 mm")]
    [InlineData(0.98, 1.2, "1.0 mm", "1.2 mm")]
    [InlineData(0.9996, 1, "1.000 mm", "1.000 mm")]
    public void TwoLengths_AreToldWithDigitsThatTellThemApart(double one, double other, string first, string second) =>
        Assert.Equal((first, second), LengthsApart.Mm(one, other));

    [Fact]
    public void NothingFound_IsSaidOnlyOfWhatWasLookedAt()
    {
        var covered = At(new HeartShape(), 0, 0, 50, 50);
        Assert.Contains("every edge is covered", Clear(covered), StringComparison.Ordinal);
        var bare = SampleProject.Apply(
            covered,
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Off = true },
            }
        );
        Assert.DoesNotContain("every edge is covered", Clear(bare), StringComparison.Ordinal);
        Assert.Contains("One piece has no cover", Clear(bare), StringComparison.Ordinal);
        Assert.Contains("nothing to check", Clear(SampleProject.Empty()), StringComparison.Ordinal);
    }

    private static string Clear(Project project) => AllClear.Of(SampleProject.Evaluate(project).CheckedOn);

    private static AddPiece Add(
        ShapeSource shape,
        double x,
        double y,
        double width,
        double height,
        string cloth = "beet"
    ) =>
        new()
        {
            Shape = shape,
            Box = new ElementBox(x, y, width, height, 0),
            ClothId = cloth,
        };

    private static Project At(
        ShapeSource shape,
        double x,
        double y,
        double width,
        double height,
        string cloth = "beet"
    ) => SampleProject.Apply(SampleProject.Empty(), Add(shape, x, y, width, height, cloth));

    private static Project Margined() =>
        SampleProject.Apply(
            At(new RectangleShape(), 0, 0, 110, 60),
            SetHooping.To(new Hoop("Rowan's", 130, 180) { MarginAcross = 10 })
        );

    private static Project Holed(double size, Method method, string cloth = "beet")
    {
        var project = SampleProject.Empty();
        project = project with
        {
            Cloths = project.Cloths.Add(
                new Cloth
                {
                    Id = "film",
                    Name = "gold film",
                    Colour = "#d9b54a",
                    Kind = ClothKind.IronOnFilm,
                }
            ),
        };
        return SampleProject.Apply(
            project,
            Add(new EllipseShape(), 0, 0, 60, 60, cloth) with
            {
                Method = method,
            },
            new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 0, 0, size, size) }
        );
    }

    private static Project Covered(CoverKind kind) =>
        SampleProject.Apply(At(new HeartShape(), 0, 0, 60, 60), new SetCoverKind { ElementId = "e1", Kind = kind });

    private static AddPiece Copy() => Add(new HeartShape(), 0, 0, 50, 50);

    private static HideElements Hidden() => new() { ElementIds = ["e1"], Hidden = true };

    private static Project Constructed() =>
        SampleProject.Apply(
            At(new HeartShape(), 0, 0, 50, 50),
            new MakeConstruction { ElementIds = ["e1"], IsConstruction = true }
        );

    private static Project Words(double height, WordsUse use, double spacing = 0) =>
        SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = "HO",
                FontId = BlockFonts.Id,
                CapHeight = height,
                Use = use,
                ClothId = "beet",
                Method = Method.TrimInTheHoop,
            },
            new SetLettering { ElementId = "e1", Spacing = spacing }
        );

    private static Project Touching() => Words(30, WordsUse.OneByOne, -0.4);

    private static Project Offset(double allowance) =>
        SampleProject.Apply(
            At(new HeartShape(), 0, 0, 60, 60),
            new SetMethod { ElementId = "e1", Method = Method.CutBeforehand },
            new SetCutAllowance { ElementId = "e1", Allowance = allowance }
        );

    private static Project Thin() =>
        SampleProject.Apply(
            At(new HeartShape(), 0, 0, 60, 60),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 2, InsideShare = 0.5 },
            }
        );

    private static Project Buried() =>
        SampleProject.Apply(At(new HeartShape(), 0, 0, 30, 30), Add(new RectangleShape(), 0, 0, 80, 80, "felt"));
}
