using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Is something sewn across the teeth where a slider has yet to pass?</summary>
internal sealed class SliderCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        for (var i = 1; i < steps.Length; i++)
        {
            foreach (var parted in ((steps[i] as HandStep)?.Work.Changes ?? []).OfType<LayerParted>())
            {
                if (
                    input.Layers[i - 1].FirstOrDefault(layer => layer.Id == parted.LayerId)
                        is not { Cloth.Kind: ClothKind.Zip } zip
                    || parted.From == parted.To
                )
                {
                    continue;
                }
                // Shut, the slider stands beyond the open end, on the tape that is left there.
                var way = parted.To - parted.From;
                var far = Box.Of(zip.Area);
                var end = parted.To + (way.Unit() * Math.Max(far.Width, far.Height));
                if (Across(parted.From, end, zip, i, input) is var (by, at))
                {
                    yield return new Finding(
                        "slider-blocked",
                        FindingLevel.Stop,
                        null,
                        at,
                        $"The zip can't be opened at \"{StepNames.Of(steps[i])}\": \"{StepNames.Of(by)}\" is sewn across its teeth where the slider "
                            + "has yet to pass."
                    );
                }
            }
        }
    }

    /// <summary>The first step that crosses the slider's way before a step, and where; null for none.</summary>
    private static (StitchStep By, Point At)? Across(
        Point from,
        Point to,
        PresentLayer zip,
        int until,
        FindingInput input
    )
    {
        var area = new AreaIndex(zip.Area);
        for (var i = 0; i < until; i++)
        {
            if (
                input.RunSheet.Steps[i] is not StitchStep step
                || !input.Layers[i].Any(layer => layer.Id == zip.Id)
                || !input.Stitches.TryGetValue(step.Key, out var sewn)
            )
            {
                continue;
            }
            foreach (var run in sewn.Runs)
            {
                for (var p = 1; p < run.Points.Length; p++)
                {
                    Budget.Spend();
                    if (Cross(run.Points[p - 1], run.Points[p], from, to) is { } at && area.Holds(at))
                    {
                        return (step, at);
                    }
                }
            }
        }
        return null;
    }

    private static Point? Cross(Point a, Point b, Point c, Point d)
    {
        var (one, other) = (b - a, d - c);
        var turn = Point.Cross(one, other);
        if (Math.Abs(turn) < 1e-9)
        {
            return null;
        }
        var (t, u) = (Point.Cross(c - a, other) / turn, Point.Cross(c - a, one) / turn);
        return t is >= 0 and <= 1 && u is >= 0 and <= 1 ? a + (one * t) : null;
    }
}
