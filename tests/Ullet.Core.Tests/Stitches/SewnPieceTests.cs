using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

/// <summary>Pieces as the machine sews them, travel and underlay included, held against a plain raster.</summary>
public sealed class SewnPieceTests
{
    public static TheoryData<CoverKind> Kinds => [.. Enum.GetValues<CoverKind>()];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void NastyOutlines_ShowNoThreadThatIsNotMeant_AndNoOddStitch(CoverKind kind)
    {
        var numbers = CoverChoice.Of(new CoverSettings { Kind = kind }, ClothPreset.Of(null));
        foreach (var (name, region) in NastyOutlines.All())
        {
            var piece = new SewnPiece([region], numbers);
            Assert.True(
                piece.Raster.InSight <= 0.5,
                $"{name}: {piece.Raster.InSight:0.00} mm show at {piece.Raster.InSightAt}"
            );
            Assert.True(piece.OddStitches == 0, $"{name}: {piece.OddStitches} odd stitches");
            Assert.True(piece.CornerStarts == 0, $"{name}: begins at a corner");
            if (!numbers.LiesAcross)
            {
                var free = piece.Unheld(1.6 * numbers.Inset);
                Assert.True(free <= 3, $"{name}: {free:0.0} mm of its edge are free");
            }
        }
    }

    [Fact]
    public void Satin_LaysTheOverlapThin()
    {
        var numbers = CoverChoice.Of(new CoverSettings { Kind = CoverKind.Satin }, ClothPreset.Of(null));
        foreach (var name in new[] { "heart", "gear", "20 mm ring" })
        {
            var piece = new SewnPiece([SampleOutlines.All[name]()], numbers);
            Assert.InRange(piece.Raster.AreaOverFive(piece.Closings), 0, 0.02);
            Assert.InRange(piece.Raster.ShareOver(4, piece.Closings), 0, 0.0005);
        }
    }

    [Fact]
    public void Underlays_OfTouchingEdges_ComeBeforeTheirTops_AndOneSectionIsAddedForEach()
    {
        var numbers = CoverChoice.Of(new CoverSettings { Kind = CoverKind.Satin }, ClothPreset.Of(null));
        var narrow = new SewnPiece(
            [NastyOutlines.All().First(each => each.Name == "donut, hole 7.5 mm off").Outline],
            numbers
        );
        var kinds = narrow.Stitches.Runs.Select(run => run.Kind).ToList();
        Assert.True(kinds.LastIndexOf(RunKind.Underlay) < kinds.IndexOf(RunKind.Top));
        Assert.InRange(narrow.Sections, 1, 3);
        // Where bands stay clear of each other each edge is finished by itself.
        var wide = new SewnPiece(
            [NastyOutlines.All().First(each => each.Name == "donut, hole 0 mm off").Outline],
            numbers
        );
        kinds = [.. wide.Stitches.Runs.Select(run => run.Kind)];
        Assert.True(kinds.LastIndexOf(RunKind.Underlay) > kinds.IndexOf(RunKind.Top));
        Assert.Equal(2, wide.Sections);
    }

    [Fact]
    public void Travel_IsNearTheLeastThatIsLeftBetweenEdges()
    {
        // Six discs in two rows: from each to the next there is a gap of 10 mm.
        var numbers = CoverChoice.Of(new CoverSettings { Kind = CoverKind.Blanket }, ClothPreset.Of(null));
        ImmutableArray<Region> discs = [.. Enumerable.Range(0, 6).Select(i => Disc(30 * (i % 3), 30 * (i / 3), 10))];
        var piece = new SewnPiece(discs, numbers);
        Assert.Equal(6, piece.Sections);
        // Whoever enters at the nearest place goes 10 mm five times, and must end where the next begins.
        Assert.InRange(piece.Travel, 0, 5 * 24);
    }

    [Fact]
    public void Entries_OfASingleEdge_AreLow_AndOnAStraightSide()
    {
        var square = new Ring([new(0, 0), new(40, 0), new(40, 40), new(0, 40)]);
        var (ring, start) = Assert.Single(EntryChoice.Of([square]));
        Assert.Equal(40, ring.Points[start].Y, 6);
        Assert.InRange(ring.Points[start].X, EntryChoice.Clear, 40 - EntryChoice.Clear);
    }

    [Fact]
    public void Lines_BetweenLetters_LeaveNoThreadAcross()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new Core.Edits.AddWords
            {
                Text = "AHA",
                FontId = BlockFonts.Id,
                CapHeight = 20,
                Use = WordsUse.StitchedOutline,
            }
        );
        foreach (var step in SampleProject.Evaluate(project).Program.Steps.OfType<ProgramStitches>())
        {
            for (var i = 1; i < step.Commands.Length; i++)
            {
                var isTravel = step.Roles[i] == NeedleRole.Travel && step.Commands[i].Kind == NeedleKind.Stitch;
                Assert.False(isTravel && step.Commands[i].At.DistanceTo(step.Commands[i - 1].At) > 0.5);
            }
        }
    }

    private static Region Disc(double x, double y, double radius)
    {
        var ring = new Ring([
            .. Enumerable
                .Range(0, 120)
                .Select(i => 2 * Math.PI * i / 120)
                .Select(angle => new Point(x + (radius * Math.Cos(angle)), y + (radius * Math.Sin(angle)))),
        ]);
        return new Region(ring.SignedArea > 0 ? ring : ring.Reversed(), []);
    }
}
