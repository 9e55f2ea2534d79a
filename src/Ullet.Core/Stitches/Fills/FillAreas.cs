using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Areas filled with rows of stitches.</summary>
/// <remarks>
/// Laws, tested in FillAreasTests: (1) no needle point lies more than 0.1 mm outside the area, longer along its rows by the
/// compensation; (2) no stitch is longer than <see cref="StitchDefaults.LongestStitch"/>, none shorter than
/// <see cref="StitchDefaults.ShortestStitch"/>; (3) the runs of one connected area follow one another without a gap, over ways that
/// later rows hide; (4) the same area gives the same points.
/// </remarks>
public static class FillAreas
{
    /// <summary>Sews areas in rows.</summary>
    /// <param name="regions">The outline, mm.</param>
    /// <param name="numbers">Spacing, angle, pattern, compensation, underlay.</param>
    /// <param name="cancellation">Stops the work.</param>
    /// <returns>Nothing for an outline without area.</returns>
    public static StepStitches Make(
        ImmutableArray<Region> regions,
        FillNumbers numbers,
        CancellationToken cancellation
    ) => Make(regions, numbers, RowFrame.At(numbers.Angle), cancellation);

    /// <summary>Sews areas in rows that follow a guide.</summary>
    internal static StepStitches Make(
        ImmutableArray<Region> regions,
        FillNumbers numbers,
        RowFrame frame,
        CancellationToken cancellation
    )
    {
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var fallen = ImmutableArray.CreateBuilder<FallenPart>();
        var left = regions.OrderBy(region => region.Bounds().MinX).ThenBy(region => region.Bounds().MinY).ToList();
        Point? needle = null;
        for (var i = 0; left.Count > 0; i++)
        {
            Budget.Spend(left.Count);
            cancellation.ThrowIfCancellationRequested();
            var next = needle is { } stands ? left.MinBy(region => Away(region, stands))! : left[0];
            left.Remove(next);
            var box = next.Bounds();
            // It is left where the nearest of the others lies.
            Point? exit = left.Count > 0 ? left.MinBy(region => Away(region, box.Centre))!.Bounds().Centre : null;
            var sewn = FillRun.Of(next, numbers, frame, needle ?? new Point(box.MinX, box.MinY), exit, cancellation);
            if (sewn.Runs.IsEmpty)
            {
                continue;
            }
            runs.AddRange(sewn.Runs.Select(run => new StitchRun(run.Kind, i, run.Points) { Group = 0 }));
            fallen.AddRange(sewn.Fallen);
            needle = runs[^1].Points[^1];
        }
        return new StepStitches(runs.ToImmutable(), []) { Fallen = fallen.ToImmutable() };
    }

    private static double Away(Region region, Point from)
    {
        var box = region.Bounds();
        return Math.Max(0, Math.Max(box.MinX - from.X, from.X - box.MaxX))
            + Math.Max(0, Math.Max(box.MinY - from.Y, from.Y - box.MaxY));
    }
}
