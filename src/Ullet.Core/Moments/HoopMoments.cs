using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Moments;

/// <summary>The moments of a hooping: one for each step of its program, read off layers, seams and hands.</summary>
public static class HoopMoments
{
    /// <param name="output">The hooping.</param>
    /// <param name="turning">Whether and through what the work is turned; null where it is not.</param>
    public static ImmutableArray<Moment> Of(HoopingOutput output, TurningReport? turning = null)
    {
        var scene = new MomentScene(output, turning);
        return [.. Enumerable.Range(0, output.Program.Steps.Length).Select(scene.At)];
    }

    /// <summary>The moment of one step, with those after it that ask hands for the same; null where there is none of that key.</summary>
    /// <param name="output">The hooping.</param>
    /// <param name="turning">Whether and through what the work is turned.</param>
    /// <param name="key">The step.</param>
    public static Moment? At(HoopingOutput output, TurningReport? turning, StepKey key)
    {
        var at = output.Program.Steps.Select(step => step.Key).ToList().IndexOf(key);
        if (at < 0)
        {
            return null;
        }
        var scene = new MomentScene(output, turning);
        var count = EqualSteps.Of(output.Program).FirstOrDefault(group => group.First == at)?.Count ?? 1;
        return Together([.. Enumerable.Range(at, count).Select(scene.At)]);
    }

    /// <summary>Equal steps in one drawing: all that they lay is new.</summary>
    internal static Moment Together(IReadOnlyList<Moment> moments)
    {
        if (moments.Count == 1)
        {
            return moments[0];
        }
        var last = moments[^1];
        var changed = moments
            .SelectMany(moment => moment.Parts.OfType<LayerPart>())
            .Where(part => part.IsNew)
            .Select(part => part.Layer.Id)
            .ToHashSet(StringComparer.Ordinal);
        var parts = last
            .Parts.Select(part =>
                part is LayerPart layer && changed.Contains(layer.Layer.Id) ? layer with { IsNew = true } : part
            )
            .Concat(moments.SkipLast(1).SelectMany(moment => moment.Parts.Where(IsAbout)));
        return last with
        {
            Parts = [.. parts],
            Focus = moments.Aggregate(Box.Empty, (box, moment) => box.Union(moment.Focus)),
        };
    }

    private static bool IsAbout(MomentPart part) => part.IsNew && part is not (LayerPart or ThreadPart or ZipPart);
}
