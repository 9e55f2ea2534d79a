using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>How much of an edge is held.</summary>
/// <param name="Key">The step that is to hold it.</param>
/// <param name="Free">The longest stretch of edge that it leaves free, mm, where that is over 3.</param>
/// <param name="IsMissing">True when nothing is sewn at all.</param>
public sealed record HoldReport(StepKey Key, MeasuredPlace? Free, bool IsMissing);

/// <summary>Looks whether a tack-down, or a line that is a cover, comes near every stretch of its edge.</summary>
public sealed class HoldJudge : IStation<SewnStage, HoldReport>
{
    public int Version => 1;

    public long Bytes(HoldReport output) => 2 * Footprint.Thing;

    public ContentHash Key(SewnStage input) =>
        ContentHash.Of(input.Stage.Key.ToString(), $"hold-judge-{Version}-{input.StitchesKey.Hex}");

    /// <summary>True for a stage that is there to hold an edge.</summary>
    public static bool Judges(Stage stage) =>
        stage.Id == StageId.TackDown || stage.Cover is { Numbers.LiesAcross: false };

    public HoldReport Compute(SewnStage input, CancellationToken cancellation)
    {
        var visible = input.Stage.Cover?.Visible;
        var rings = input.Stage.Outline.Flatten().SelectMany(region => region.Rings).ToList();
        var edges = CoverJudge.Edges(rings, visible).ToList();
        if (edges.Count == 0)
        {
            return new HoldReport(input.Stage.Key, null, false);
        }
        if (input.Stitches.Runs.IsEmpty)
        {
            return new HoldReport(input.Stage.Key, new MeasuredPlace(edges[0][0], edges[0].Length), true);
        }
        // There and back, so that no line counts that is not sewn.
        var lines = input
            .Stitches.Runs.Where(run => run.Points.Length > 1)
            .Select(run => new Ring([.. run.Points, .. run.Points.Reverse().Skip(1)]))
            .ToList();
        var (length, at) = HeldEdge.LongestFree(
            edges.Select(edge => (IReadOnlyList<Point>)edge),
            lines,
            HeldEdge.Within(DistanceOf(input.Stage.Plan))
        );
        return new HoldReport(input.Stage.Key, length > HeldEdge.Free ? new MeasuredPlace(at, length) : null, false);
    }

    /// <summary>How far inside the edge a plan's stitches begin, mm.</summary>
    private static double DistanceOf(StitchPlan plan) =>
        plan switch
        {
            RunPlan run => Math.Abs(run.Inset),
            TackPlan tack => Math.Abs(tack.Inset) + tack.Width,
            CoverPlan cover => Math.Abs(cover.Numbers.Inset),
            _ => throw new ArgumentException($"{plan.GetType().Name} holds no edge.", nameof(plan)),
        };
}
