using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Recovery;

/// <summary>Pieces of every cover and method, sewn, and read off their bare needle points; "./ullet bench recovery" does it in full.</summary>
public sealed class PieceFinderTests
{
    private static readonly CoverKind[] Covers = [CoverKind.Satin, CoverKind.Zigzag, CoverKind.Blanket, CoverKind.Bean];

    [Fact]
    public void RandomOutlines_OfEveryCoverAndMethod_AreFoundAgain()
    {
        var (all, outlines, methods, alone, falseOnes) = (0, 0, 0, 0, 0);
        for (var seed = 0; seed < 48; seed++)
        {
            var outline = RandomOutlines.One(new Random(4_000 + seed));
            var part = outline.Parts.MaxBy(each => each.Flatten().Area);
            if (part is null || part.Flatten().Area < 300)
            {
                continue;
            }
            var method = AppliqueMethods.All[seed % AppliqueMethods.All.Length].Id;
            var project = Piece(part, method, Covers[seed / 6 % Covers.Length]);
            var evaluated = SampleProject.Evaluate(project);
            var (readings, hands) = Read(evaluated.Hoopings[0].Program);
            var found = new PieceFinder(readings).Find();
            var withHands = new PieceFinder(readings, i => hands[i]).Find();
            all++;
            var line = evaluated.Pieces.Single().Line;
            outlines += found.Any(piece => Near(line, piece.Outline) >= 0.95) ? 1 : 0;
            methods += found.Any(piece => IsAlike(piece.Method, method)) ? 1 : 0;
            alone += withHands.Any(piece => IsAlike(piece.Method, method)) ? 1 : 0;
            falseOnes += Math.Max(0, found.Length - 1);
        }
        Assert.True(all > 40);
        Assert.True(outlines >= 0.93 * all, $"{outlines} of {all} outlines");
        Assert.True(methods >= 0.9 * all, $"{methods} of {all} methods");
        Assert.True(alone >= 0.95 * all, $"{alone} of {all} methods with hands");
        Assert.InRange(falseOnes, 0, 1);
    }

    [Theory]
    [InlineData(2.5, 0.45)]
    [InlineData(3.5, 0.40)]
    [InlineData(5.5, 0.60)]
    public void SatinCover_ItsWidthAndSpacing_AreReadOff(double width, double spacing)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 70, 50),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = width, Spacing = spacing },
            }
        );
        var (readings, _) = Read(SampleProject.Evaluate(project).Hoopings[0].Program);
        var cover = Assert.Single(new PieceFinder(readings).Find()).Cover!;
        var compensation = CoverChoice.Of(AppliqueElement.Of(project.Elements[0])!, project).Band.Compensation;
        Assert.InRange(cover.Width, width + (2 * compensation) - 0.1, width + (2 * compensation) + 0.1);
        Assert.InRange(cover.Spacing, spacing - 0.02, spacing + 0.02);
    }

    [Theory]
    [InlineData(2)]
    [InlineData(2.6)]
    [InlineData(3.4)]
    public void AWindowWithANarrowGap_IsFoundUnderABlanketThatFillsIt(double gap)
    {
        // Two legs beside each other: the spine of the blanket has no room between them for its own distance.
        var half = gap / 2;
        Point[] arch =
        [
            new(-22, -24),
            new(22, -24),
            new(22, 24),
            new(half, 24),
            new(half, -8),
            new(-half, -8),
            new(-half, 24),
            new(-22, 24),
        ];
        var project = Piece(new OutlinePart(Contour.Polygon([.. arch]), []), Method.SetBehind, CoverKind.Blanket);
        var (readings, hands) = Read(SampleProject.Evaluate(project).Hoopings[0].Program);
        var piece = Assert.Single(new PieceFinder(readings, i => hands[i]).Find());
        Assert.Equal(Method.SetBehind, piece.Method);
        Assert.Equal(CoverKind.Blanket, piece.Cover!.Kind);
    }

    [Fact]
    public void ARingThatGoesRoundSomethingElse_IsNoCoverOfAPiece()
    {
        var outline = new RunLine([.. Circle(12)], true, 2, 2.5);
        foreach (var radius in new double[] { 4, 20, 40 })
        {
            var blanket = new BlockReading(OpenedLook.Blanket, [new RunLine([.. Circle(radius)], true, 1, 2.5)], null)
            {
                Teeth = 4,
            };
            Assert.Empty(new PieceFinder([new BlockReading(OpenedLook.Run, [outline], null), blanket]).Find());
        }
    }

    [Fact]
    public void LinesThatTouchNothing_GiveNoPiece()
    {
        var line = new RunLine([new Point(0, 0), new Point(20, 3), new Point(44, 1)], false, 1, 2.5);
        Assert.Empty(new PieceFinder([new BlockReading(OpenedLook.Run, [line], null)]).Find());
    }

    [Fact]
    public void ACircleOfNeedlePoints_IsACircleAgain()
    {
        var ring = new RunLine([.. Circle(12)], true, 1, 2.5).Ring();
        Assert.All(ring.Points, at => Assert.InRange(Math.Sqrt((at.X * at.X) + (at.Y * at.Y)), 11.99, 12.01));
    }

    private static IEnumerable<Point> Circle(double radius) =>
        Enumerable
            .Range(0, 30)
            .Select(i => new Point(radius * Math.Cos(i * Math.PI / 15), radius * Math.Sin(i * Math.PI / 15)));

    private static bool IsAlike(Method found, Method meant) =>
        found == meant || (found == Method.CutBeforehand && meant == Method.MarkedOnCloth);

    private static Project Piece(OutlinePart part, Method method, CoverKind cover)
    {
        var element = Core.Outlines.DrawnElements.Piece(part, part.Shell.Bounds().Centre) with
        {
            Id = "e1",
            Name = "Piece",
            Making = new ClothMaking
            {
                ClothId = "beet",
                Method = method,
                Stages = new StageSettings { Cover = new CoverSettings { Kind = cover } },
            },
        };
        return SampleProject.Empty(360, 360) with { Elements = [element] };
    }

    private static (ImmutableArray<BlockReading> Readings, List<HandsBetween?> Hands) Read(StitchProgram program)
    {
        var (readings, hands, waiting) = (
            ImmutableArray.CreateBuilder<BlockReading>(),
            new List<HandsBetween?>(),
            new List<ProgramHands>()
        );
        foreach (var step in program.Steps)
        {
            if (step is ProgramHands hand)
            {
                waiting.Add(hand);
            }
            else if (step is ProgramStitches { Commands.Length: > 0 } sewn)
            {
                readings.Add(BlockReader.Read(DesignOfProgram.Points(sewn.Commands)));
                var laid = waiting.SelectMany(each => each.Changes).OfType<Core.Layers.LayerLaid>().ToList();
                hands.Add(
                    new HandsBetween(
                        laid.Exists(each => !each.IsBeneath && each.LayerId == "e1"),
                        laid.Exists(each => each.IsBeneath),
                        waiting.Exists(each => each.Kind == HandKind.Trim)
                    )
                );
                waiting.Clear();
            }
        }
        return (readings.ToImmutable(), hands);
    }

    private static double Near(Outline meant, OutlinePart found)
    {
        var edges = new SegmentIndex(found.Flatten().Rings);
        var places = meant.Flatten().SelectMany(region => region.Rings).SelectMany(Along).ToList();
        return places.Count(at => edges.Nearest(at, 1) is { } near && near.DistanceTo(at) <= 0.1)
            / (double)places.Count;
    }

    private static IEnumerable<Point> Along(Ring ring)
    {
        var along = new ArcLength([.. ring.Points, ring.Points[0]]);
        return Enumerable.Range(0, 200).Select(i => along.At(along.Total * i / 200));
    }
}
