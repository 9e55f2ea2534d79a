using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Can what hands align to be seen when they do?</summary>
internal sealed class AlignCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        for (var i = 0; i < steps.Length; i++)
        {
            foreach (var to in (steps[i] as HandStep)?.Work.AlignsTo ?? [])
            {
                Budget.Spend();
                var hand = (HandStep)steps[i];
                if (Off(to, hand, input) is { } off)
                {
                    yield return off;
                }
                if (Why(to, hand, i, input) is { } why)
                {
                    yield return new Finding(
                        "align-unseen",
                        FindingLevel.Stop,
                        input.Project.Find(hand.OwnerId)?.Id,
                        null,
                        $"\"{StepNames.Of(hand)}\" is aligned to {why}."
                    );
                }
            }
        }
    }

    /// <summary>What is laid does not lie so far from its line as hands are told; null where it does.</summary>
    private static Finding? Off(Alignment to, HandStep hand, FindingInput input)
    {
        if (
            !to.IsEdge
            || to.Line is not { } line
            || hand.Work.Changes.OfType<LayerLaid>().FirstOrDefault() is not { } laid
            || input.PointsOf(line).ToList() is not { Count: > 0 } points
        )
        {
            return null;
        }
        var (at, nearest) = points
            .Select(point => (At: point, By: RegionOverlay.DistanceToRings(laid.Area, point)))
            .MinBy(place => place.By);
        return Math.Abs(nearest - to.Distance) <= Exact
            ? null
            : new Finding(
                "align-distance",
                FindingLevel.Warn,
                null,
                at,
                $"\"{StepNames.Of(hand)}\" says that an edge lies {to.Distance:0.#} mm from the line, but as its size and place stand the "
                    + $"nearest edge lies {nearest:0.#} mm from it: change the distance, the size or the place."
            );
    }

    /// <summary>Hands are not more exact, mm.</summary>
    private const double Exact = 1;

    /// <summary>What is wrong with an alignment, to end a sentence; null for nothing.</summary>
    private static string? Why(Alignment to, HandStep hand, int at, FindingInput input)
    {
        var before = at == 0 ? [] : input.Layers[at - 1];
        if (to.LayerId is { } layer)
        {
            return before.Any(known => known.Id == layer) ? null : "a layer that does not lie there then";
        }
        var steps = input.RunSheet.Steps;
        var line = steps.ToList().FindIndex(step => step.Key == to.Line);
        if (line < 0)
        {
            return "a line that no step sews any more";
        }
        var name = $"\"{StepNames.Of(steps[line])}\"";
        if (line > at)
        {
            return $"{name}, which is sewn only later";
        }
        var isBehind = hand.Work.Kind == HandKind.LayBehind;
        return Seen([.. input.PointsOf(steps[line].Key)], line, before, isBehind, input) < to.LeastSeen
            ? $"{name}, which can't be seen any more: {Covering(line, before, isBehind, input)}"
            : null;
    }

    /// <summary>The share of a line's needle points that nothing covers that was laid after it.</summary>
    private static double Seen(
        ImmutableArray<Point> points,
        int line,
        ImmutableArray<PresentLayer> now,
        bool isBehind,
        FindingInput input
    )
    {
        var over = LaidOver(line, now, isBehind, input)
            .Select(pair => (Now: new AreaIndex(pair.Now.Area), Then: new AreaIndex(pair.Then?.Area ?? [])))
            .ToList();
        return points.IsEmpty || over.Count == 0
            ? 1
            : points.Count(at => !over.Exists(pair => pair.Now.Holds(at) && !pair.Then.Holds(at)))
                / (double)points.Length;
    }

    private static string Covering(int line, ImmutableArray<PresentLayer> now, bool isBehind, FindingInput input) =>
        $"{string.Join(" and ", LaidOver(line, now, isBehind, input).Select(pair => pair.Now.Name).Take(2))} lies over it";

    /// <summary>What lies on the side that hands see and did not lie there in this place when the line was sewn.</summary>
    private static IEnumerable<(PresentLayer Now, PresentLayer? Then)> LaidOver(
        int line,
        ImmutableArray<PresentLayer> now,
        bool isBehind,
        FindingInput input
    )
    {
        var then = input.Layers[line];
        return now.Where(layer => layer.IsBehind == isBehind)
            .Select(layer => (Now: layer, Then: then.FirstOrDefault(known => known.Id == layer.Id)))
            .Where(pair => pair.Then is null || !RegionOverlay.Difference(pair.Now.Area, pair.Then.Area).IsEmpty);
    }
}
