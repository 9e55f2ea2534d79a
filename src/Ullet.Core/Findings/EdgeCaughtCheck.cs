using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Does a cloth end just short of the seam that is to catch its edge?</summary>
internal sealed class EdgeCaughtCheck : ICheck
{
    /// <summary>Nearer to the seam than this an edge is meant to be caught, mm; hands are not more exact than the least.</summary>
    private static readonly (double Least, double Most) Short = (0.5, 6);

    /// <summary>So long a stretch of it is no corner that comes near by the way, mm.</summary>
    private const double Stretch = 15;

    /// <summary>From one place that is looked at to the next, at most, mm.</summary>
    private const double Step = 2;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        var end = steps.ToList().FindIndex(step => step is HandStep { Work.Kind: HandKind.CutOut or HandKind.Turn });
        if (end < 0 || Closing(end, input) is not { } closing || SeamOf(steps[closing].OwnerId, input) is not { } seam)
        {
            yield break;
        }
        var pieces = input.Pieces.Select(piece => piece.Part.LayerId).ToHashSet(StringComparer.Ordinal);
        var hooped = steps
            .OfType<HandStep>()
            .Where(hand => hand.Work.Kind == HandKind.HoopUp)
            .SelectMany(hand => hand.Work.Changes)
            .Select(change => change.LayerId)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var layer in input.Layers[closing])
        {
            if (
                layer.Role != LayerRole.TakenOut
                && !pieces.Contains(layer.Id)
                && !hooped.Contains(layer.Id)
                && Missed(layer.Area, seam) is var (at, by)
            )
            {
                yield return new Finding(
                    "edge-not-caught",
                    FindingLevel.Warn,
                    null,
                    at,
                    $"An edge of {layer.Name.ToLowerInvariant()} ends {by:0.#} mm short of \"{StepNames.Of(steps[closing])}\", so nothing catches it "
                        + "there: lay it larger, or move it."
                );
            }
        }
    }

    /// <summary>The pattern's closing seam, else the last line before the work is cut out or turned that goes round most of it; null for
    /// none.</summary>
    private static int? Closing(int end, FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        if (input.Plan?.ClosingSeamId is { } id)
        {
            var closing = steps.ToList().FindIndex(step => step is StitchStep && step.OwnerId == id);
            return closing >= 0 && closing < end ? closing : null;
        }
        double Extent(int i) =>
            steps[i] is StitchStep { Stage.Id: StageId.Line } step
            && input.Layers[i].Length > 1
            && Box.Of(input.PointsOf(step.Key)) is { IsEmpty: false } box
                ? box.Width * box.Height
                : 0;
        var most = Enumerable.Range(0, end).Select(Extent).DefaultIfEmpty(0).Max();
        return most > 0 ? Enumerable.Range(0, end).Last(i => Extent(i) > most * RoundMost) : null;
    }

    /// <summary>A line goes round most of the work when its box takes this share of the largest one's.</summary>
    private const double RoundMost = 0.7;

    private static Ring? SeamOf(string elementId, FindingInput input) =>
        input.Outlines.GetValueOrDefault(elementId) is { } outline ? ClosingRings.Of(outline) : null;

    /// <summary>The middle of the first long stretch of an edge that lies a little inside the seam, and how far; null for none.</summary>
    internal static (Point At, double By)? Missed(ImmutableArray<Region> area, Ring seam)
    {
        foreach (var ring in area.SelectMany(region => region.Rings))
        {
            var (near, length) = (new List<(Point At, double By)>(), 0.0);
            // Twice round: a stretch may begin before the ring does.
            foreach (var at in Samples(ring).Concat(Samples(ring)))
            {
                var by = Inside(at, seam);
                if (by < Short.Least || by > Short.Most)
                {
                    (near, length) = ([], 0);
                    continue;
                }
                length += near.Count > 0 ? near[^1].At.DistanceTo(at) : 0;
                near.Add((at, by));
                if (length > Stretch)
                {
                    return near[near.Count / 2];
                }
            }
        }
        return null;
    }

    private static IEnumerable<Point> Samples(Ring ring)
    {
        for (var i = 0; i < ring.Points.Length; i++)
        {
            var (a, b) = (ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]);
            var count = Math.Max(1, (int)Math.Ceiling(a.DistanceTo(b) / Step));
            for (var k = 0; k < count; k++)
            {
                Budget.Spend();
                yield return Point.Lerp(a, b, (double)k / count);
            }
        }
    }

    /// <summary>How far inside a ring a place lies, mm; below 0 outside.</summary>
    private static double Inside(Point at, Ring seam)
    {
        Budget.Spend(1 + (seam.Points.Length / 8));
        var nearest = double.MaxValue;
        for (var i = 1; i < seam.Points.Length; i++)
        {
            nearest = Math.Min(nearest, SegmentIndex.Foot(at, seam.Points[i - 1], seam.Points[i]).DistanceTo(at));
        }
        return seam.Winding(at) != 0 ? nearest : -nearest;
    }
}
