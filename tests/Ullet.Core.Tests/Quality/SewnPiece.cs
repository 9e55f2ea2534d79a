using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Quality;

/// <summary>A piece's cover as the machine sews it, with what is measured on it.</summary>
internal sealed class SewnPiece
{
    private readonly IReadOnlyList<Ring> _rings;
    private readonly double _reach;

    /// <param name="regions">The outline, mm.</param>
    /// <param name="numbers">The cover.</param>
    internal SewnPiece(ImmutableArray<Region> regions, CoverNumbers numbers)
    {
        _rings = [.. regions.SelectMany(region => region.Rings)];
        _reach = Math.Max(numbers.Outside, numbers.Inside) + numbers.Band.Compensation + 0.3;
        var stage = StageOf(regions, numbers);
        Stitches = new StitchStation().Compute(stage, CancellationToken.None);
        var hides = numbers.HidesEdge;
        var sight = new TravelSight(
            [new StitchStep(Key, "piece", "Piece", stage)],
            new Dictionary<StepKey, StepStitches> { [Key] = Stitches }
        );
        var block = new NeedleWriter()
            .Write(Stitches, (from, to, later, sewn) => sight.MayTravel(from, to, 0, later, sewn), sectionEnds: true)
            .Single();
        Commands = block.Commands;
        Roles = block.Roles;
        Raster = new SewnRaster(Steps(hides), hides);
    }

    private static readonly StepKey Key = new("piece", "cover", 0);

    internal StepStitches Stitches { get; }

    internal ImmutableArray<NeedleCommand> Commands { get; }

    internal ImmutableArray<NeedleRole> Roles { get; }

    internal SewnRaster Raster { get; }

    /// <summary>How often the thread begins anew.</summary>
    internal int Sections => Commands.Count(command => command.Kind == NeedleKind.Jump);

    /// <summary>Where closed tops end.</summary>
    internal IReadOnlyList<Point> Closings =>
        [
            .. Stitches
                .Runs.Where(run => run.Kind == RunKind.Top)
                .SelectMany(run => new[] { run.Points[0], run.Points[^1] }),
        ];

    /// <summary>Way between sections, mm.</summary>
    internal double Travel
    {
        get
        {
            var (sum, at) = (0.0, (Point?)null);
            for (var i = 0; i < Commands.Length; i++)
            {
                sum += Commands[i].Kind == NeedleKind.Jump && at is { } from ? from.DistanceTo(Commands[i].At) : 0;
                at = Commands[i].At;
            }
            return sum;
        }
    }

    /// <summary>Stitches of no length, under 0.05 mm, and first stitches over 1.2 mm.</summary>
    internal int OddStitches
    {
        get
        {
            var odd = 0;
            for (var i = 1; i < Commands.Length; i++)
            {
                if (Commands[i].Kind != NeedleKind.Stitch)
                {
                    continue;
                }
                var length = Commands[i].At.DistanceTo(Commands[i - 1].At);
                var isFirst = i > 1 && Commands[i - 2].Kind == NeedleKind.Jump;
                odd +=
                    Commands[i - 1].Kind == NeedleKind.Stitch && (length < 0.05 || (isFirst && length > 1.2)) ? 1 : 0;
            }
            return odd;
        }
    }

    /// <summary>Starts within 3 mm of a corner on an edge that has a place clear of corners.</summary>
    internal int CornerStarts =>
        Stitches
            .Runs.GroupBy(run => run.Edge)
            .Count(edge =>
                edge.Key < _rings.Count
                && Apart(_rings[edge.Key], Foot(_rings[edge.Key], edge.First().Points[0])) is { } apart
                && apart.Here < 2.9
                && apart.Most > 3.2
            );

    /// <summary>The longest piece of a stitch that is meant to be seen which lies farther from every edge than the cover reaches, mm.
    /// </summary>
    internal double Stray
    {
        get
        {
            var longest = 0.0;
            foreach (var run in Stitches.Runs.Where(run => run.Kind == RunKind.Top))
            {
                for (var i = 1; i < run.Points.Length; i++)
                {
                    var (from, to) = (run.Points[i - 1], run.Points[i]);
                    var length = from.DistanceTo(to);
                    var looks = (int)(length / 0.2);
                    var outside = 0;
                    for (var k = 1; k < looks; k++)
                    {
                        var place = Point.Lerp(from, to, k / (double)looks);
                        var isOut = _rings.All(ring => Foot(ring, place).DistanceTo(place) > _reach);
                        outside = isOut ? outside + 1 : 0;
                        longest = Math.Max(longest, outside * length / looks);
                    }
                }
            }
            return longest;
        }
    }

    /// <summary>The longest stretch of edge that no needle line holds, mm.</summary>
    internal double Unheld(double within) =>
        _rings.Max(ring => HeldEdges.LongestFree(ring, [.. Stitches.Runs.Select(run => run.Points)], within));

    private static Point Foot(Ring ring, Point place) =>
        Enumerable
            .Range(0, ring.Points.Length)
            .Select(i => SegmentIndex.Foot(place, ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]))
            .MinBy(foot => foot.DistanceTo(place));

    /// <summary>How far a place lies from the nearest corner along the ring, and how far the farthest place does; null without corners.</summary>
    private static (double Here, double Most)? Apart(Ring ring, Point place)
    {
        var corners = ring.Corners();
        if (corners.IsEmpty)
        {
            return null;
        }
        var along = new ArcLength([.. ring.Points, ring.Points[0]]);
        var at = corners.Select(corner => along.OfVertex(corner)).Order().ToList();
        double To(double here) =>
            at.Min(corner => Math.Min(Math.Abs(corner - here), along.Total - Math.Abs(corner - here)));
        var most = at.Zip(at.Skip(1).Append(at[0] + along.Total)).Max(pair => (pair.Second - pair.First) / 2);
        return (To(along.Of(place)), most);
    }

    private List<SewnStitch> Steps(bool hides)
    {
        var stitches = new List<SewnStitch>();
        for (var i = 1; i < Commands.Length; i++)
        {
            if (Commands[i].Kind == NeedleKind.Stitch)
            {
                var isAside = Roles[i] is NeedleRole.Travel or NeedleRole.Underlay;
                var isTop = Roles[i] == NeedleRole.Top || (!hides && Roles[i] == NeedleRole.Line);
                stitches.Add(new SewnStitch(Commands[i - 1].At, Commands[i].At, isTop, isAside));
            }
        }
        return stitches;
    }

    private static Stage StageOf(ImmutableArray<Region> regions, CoverNumbers numbers) =>
        new(
            Key,
            StageId.Cover,
            "thread",
            new CoverPlan(numbers, null),
            new Outline([
                .. regions.Select(region => new OutlinePart(
                    Contour.Polygon(region.Shell.Points),
                    [.. region.Holes.Select(hole => Contour.Polygon(hole.Points))]
                )),
            ]),
            ContentHash.Of("piece", "outline")
        );
}
