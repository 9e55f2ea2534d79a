using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Stage to needle points, without travel, locks and trims.</summary>
public sealed class StitchStation : IStation<Stage, StepStitches>
{
    public int Version => 3;

    /// <summary>The thread is not part of the key: another colour has the same needle points.</summary>
    public ContentHash Key(Stage input) =>
        input.Role == StageRole.Cover
            ? ContentHash.Of(input.Satin, $"cover-{Version}-{input.OutlineKey}")
            : ContentHash.Of(input.Run, $"run-{Version}-{input.OutlineKey}");

    public StepStitches Compute(Stage input, CancellationToken cancellation)
    {
        var regions = input.Outline.Flatten();
        return input.Role == StageRole.Cover
            ? SatinCover.Make(regions, input.Satin, cancellation, input.Visible)
            : Lines(RegionOffset.By(regions, -input.Run.Inset), input.Outline.Lines, input.Run);
    }

    private static StepStitches Lines(
        ImmutableArray<Region> regions,
        ImmutableArray<OpenPath> lines,
        RunNumbers numbers
    )
    {
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var edge = 0;
        foreach (var ring in regions.SelectMany(region => region.Rings).Select(StartPoint.Choose))
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
            Add(RunStitch.Along(line.Flatten(), numbers.StitchLength));
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
