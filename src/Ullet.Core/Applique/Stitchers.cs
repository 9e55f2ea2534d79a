using System.Collections.Frozen;
using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Makes needle points of one kind of plan.</summary>
public interface IStitcher
{
    /// <summary>The kind of plan that it sews.</summary>
    Type Plan { get; }

    /// <summary>Stands for the plan in a stage's key.</summary>
    ContentHash Key(StitchPlan plan, string outlineKey);

    /// <summary>The needle points, without travel, locks and trims.</summary>
    StepStitches Sew(StitchPlan plan, Outline outline, CancellationToken cancellation);
}

/// <summary>The stitchers, one for each kind of plan.</summary>
public static class Stitchers
{
    public static readonly ImmutableArray<IStitcher> All =
    [
        new RunStitcher(),
        new TackStitcher(),
        new CoverStitcher(),
        new BastingStitcher(),
    ];

    private static readonly FrozenDictionary<Type, IStitcher> ByPlan = All.ToFrozenDictionary(stitcher =>
        stitcher.Plan
    );

    public static IStitcher Of(StitchPlan plan) => ByPlan[plan.GetType()];
}

/// <summary>A stitcher that knows its plan's type.</summary>
internal abstract class Stitcher<TPlan> : IStitcher
    where TPlan : StitchPlan
{
    public Type Plan => typeof(TPlan);

    public ContentHash Key(StitchPlan plan, string outlineKey) => Key((TPlan)plan, outlineKey);

    public StepStitches Sew(StitchPlan plan, Outline outline, CancellationToken cancellation) =>
        Sew((TPlan)plan, outline, cancellation);

    private protected virtual ContentHash Key(TPlan plan, string outlineKey) =>
        ContentHash.Of(plan, $"{typeof(TPlan).Name}-{outlineKey}");

    private protected abstract StepStitches Sew(TPlan plan, Outline outline, CancellationToken cancellation);
}

/// <summary>Running stitches: round and round a ring, to and fro along an open line.</summary>
internal sealed class RunStitcher : Stitcher<RunPlan>
{
    private protected override StepStitches Sew(RunPlan plan, Outline outline, CancellationToken cancellation)
    {
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var edge = 0;
        foreach (var ring in InsetLine.Of(outline.Flatten(), plan.Inset).Select(StartPoint.Choose))
        {
            var points = RunStitch.Round(ring, plan.StitchLength);
            for (var pass = 1; pass < plan.Passes; pass++)
            {
                points = points.AddRange(RunStitch.Round(ring, plan.StitchLength, 0.5).Skip(1));
            }
            Add(points);
        }
        foreach (var line in outline.Lines)
        {
            Add(Along(line.Flatten(), plan));
        }
        return new StepStitches(runs.ToImmutable(), []);

        void Add(ImmutableArray<Point> points)
        {
            if (points.Length > 1)
            {
                runs.Add(new StitchRun(RunKind.Line, edge, plan.IsBean ? BeanStitch.Of(points) : points));
            }
            edge++;
        }
    }

    private static ImmutableArray<Point> Along(ImmutableArray<Point> line, RunPlan plan)
    {
        var once = RunStitch.Along(line, plan.StitchLength);
        var isClosed = line.Length > 2 && line[0].DistanceTo(line[^1]) <= Tolerance.Same;
        var points = once;
        for (var pass = 1; pass < plan.Passes; pass++)
        {
            points = points.AddRange(isClosed || pass % 2 == 0 ? once.Skip(1) : once.Reverse().Skip(1));
        }
        return points;
    }
}

/// <summary>Zigzag and blanket tack-downs.</summary>
internal sealed class TackStitcher : Stitcher<TackPlan>
{
    private protected override StepStitches Sew(TackPlan plan, Outline outline, CancellationToken cancellation)
    {
        var regions = outline.Flatten();
        return plan.Kind == TackKind.Blanket
            ? BlanketCover.Make(
                regions,
                new BlanketNumbers(-plan.Inset, plan.Inset + plan.Width, StitchDefaults.TackWidth, IsMirrored: false),
                cancellation
            )
            : ZigzagTack.Make(regions, plan.Inset, plan.Width, cancellation);
    }
}

/// <summary>Basting: once along, in long stitches.</summary>
internal sealed class BastingStitcher : Stitcher<BastingPlan>
{
    private protected override StepStitches Sew(BastingPlan plan, Outline outline, CancellationToken cancellation) =>
        new RunStitcher().Sew((StitchPlan)new RunPlan(plan.StitchLength, 0, 1), outline, cancellation);
}

/// <summary>Covers of all kinds.</summary>
internal sealed class CoverStitcher : Stitcher<CoverPlan>
{
    /// <summary>The visible stretches are part of the outline's key.</summary>
    private protected override ContentHash Key(CoverPlan plan, string outlineKey) =>
        ContentHash.Of(plan.Numbers, $"cover-{outlineKey}");

    private protected override StepStitches Sew(CoverPlan plan, Outline outline, CancellationToken cancellation)
    {
        var (regions, cover, visible) = (outline.Flatten(), plan.Numbers, plan.Visible);
        return cover.Kind switch
        {
            CoverKind.Satin or CoverKind.Zigzag => SatinCover.Make(regions, cover.Band, cancellation, visible),
            CoverKind.Blanket => BlanketCover.Make(
                regions,
                new BlanketNumbers(cover.Outside, cover.Inside, cover.UnitLength, cover.IsMirrored),
                cancellation,
                visible
            ),
            CoverKind.Motif => MotifCover.Make(regions, cover, cancellation, visible),
            CoverKind.Bean or CoverKind.RawEdge => BeanCover.Make(regions, cover, visible),
        };
    }
}
