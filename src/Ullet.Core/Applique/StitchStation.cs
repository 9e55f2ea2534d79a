using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Stage to needle points, without travel, locks and trims.</summary>
public sealed class StitchStation : IStation<Stage, StepStitches>
{
    public int Version => 6;

    public long Bytes(StepStitches output) => Footprint.Thing + output.Runs.Sum(run => Footprint.Of(run.Points));

    /// <summary>The thread is not part of the key: another colour has the same needle points.</summary>
    public ContentHash Key(Stage input) =>
        input.Role == StageRole.Cover
            ? ContentHash.Of(input.Cover, $"cover-{Version}-{input.OutlineKey}")
            : ContentHash.Of(input.Run, $"run-{Version}-{input.OutlineKey}");

    public StepStitches Compute(Stage input, CancellationToken cancellation)
    {
        var regions = input.Outline.Flatten();
        return input.Role == StageRole.Cover ? Cover(regions, input.Cover, input.Visible, cancellation)
            : input.Run.Kind is { } kind ? Tack(regions, kind, input.Run, cancellation)
            : Lines(InsetLine.Of(regions, input.Run.Inset), input.Outline.Lines, input.Run);
    }

    private static StepStitches Cover(
        ImmutableArray<Region> regions,
        CoverNumbers cover,
        VisibleEdge? visible,
        CancellationToken cancellation
    ) =>
        cover.Kind switch
        {
            CoverKind.Blanket => BlanketCover.Make(
                regions,
                new BlanketNumbers(cover.Outside, cover.Inside, cover.UnitLength, cover.IsMirrored),
                cancellation,
                visible
            ),
            CoverKind.Motif => MotifCover.Make(regions, cover, cancellation, visible),
            CoverKind.Bean or CoverKind.RawEdge => BeanCover.Make(regions, cover, visible),
            _ => SatinCover.Make(regions, cover.Band, cancellation, visible),
        };

    /// <summary>A tack-down wider than a line: from its inset inwards.</summary>
    private static StepStitches Tack(
        ImmutableArray<Region> regions,
        TackKind kind,
        RunNumbers run,
        CancellationToken cancellation
    ) =>
        kind == TackKind.Blanket
            ? BlanketCover.Make(
                regions,
                new BlanketNumbers(-run.Inset, run.Inset + run.Width, StitchDefaults.TackWidth, IsMirrored: false),
                cancellation
            )
            : ZigzagTack.Make(regions, run.Inset, run.Width, cancellation);

    /// <summary>Along a line as often as asked: a closed one round and round, an open one to and fro.</summary>
    private static ImmutableArray<Point> Along(ImmutableArray<Point> line, RunNumbers numbers)
    {
        var once = RunStitch.Along(line, numbers.StitchLength);
        var isClosed = line.Length > 2 && line[0].DistanceTo(line[^1]) <= Tolerance.Same;
        var points = once;
        for (var pass = 1; pass < numbers.Passes; pass++)
        {
            points = points.AddRange(isClosed || pass % 2 == 0 ? once.Skip(1) : once.Reverse().Skip(1));
        }
        return points;
    }

    private static StepStitches Lines(ImmutableArray<Ring> rings, ImmutableArray<OpenPath> lines, RunNumbers numbers)
    {
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var edge = 0;
        foreach (var ring in rings.Select(StartPoint.Choose))
        {
            var points = RunStitch.Round(ring, numbers.StitchLength);
            for (var pass = 1; pass < numbers.Passes; pass++)
            {
                points = points.AddRange(RunStitch.Round(ring, numbers.StitchLength, 0.5).Skip(1));
            }
            Add(points);
        }
        foreach (var line in lines)
        {
            Add(Along(line.Flatten(), numbers));
        }
        return new StepStitches(runs.ToImmutable(), []);

        void Add(ImmutableArray<Point> points)
        {
            if (points.Length > 1)
            {
                runs.Add(new StitchRun(RunKind.Line, edge, numbers.IsBean ? BeanStitch.Of(points) : points));
            }
            edge++;
        }
    }
}
