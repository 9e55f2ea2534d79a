using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;

namespace Ullet.Core.Moments;

/// <summary>The layers as a cut through the middle of the work meets them.</summary>
internal static class MomentStack
{
    /// <summary>From the layer farthest from the eye to the nearest; those that the cut does not meet are left out.</summary>
    /// <param name="layers">From the back of the hoop to its front.</param>
    /// <param name="changed">The layers that the step lays or changes.</param>
    /// <param name="isBack">True where the eye looks at the back.</param>
    /// <param name="work">What is looked at, mm: the cut goes down its middle.</param>
    internal static ImmutableArray<StackedLayer> Of(
        ImmutableArray<PresentLayer> layers,
        HashSet<string> changed,
        bool isBack,
        Box work
    )
    {
        var stack = layers
            .Select(layer => new StackedLayer(
                layer.Id,
                layer.Name,
                layer.Cloth.Colour,
                MomentScene.FaceOf(layer, isBack),
                changed.Contains(layer.Id),
                Runs(layer, work)
            ))
            .Where(layer => !layer.Runs.IsEmpty);
        return [.. isBack ? stack.Reverse() : stack];
    }

    /// <summary>Where an upright line through the middle meets a layer, mm from its upper end.</summary>
    private static ImmutableArray<(double From, double To)> Runs(PresentLayer layer, Box work)
    {
        var x = work.Centre.X;
        var crossings = new List<double>();
        foreach (var ring in layer.Area.SelectMany(region => region.Rings))
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                var (a, b) = (ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]);
                if (a.X <= x != b.X <= x)
                {
                    crossings.Add(a.Y + ((x - a.X) / (b.X - a.X) * (b.Y - a.Y)));
                }
            }
        }
        crossings.Sort();
        return
        [
            .. Enumerable
                .Range(0, crossings.Count / 2)
                .Select(i =>
                    (
                        Math.Max(crossings[2 * i], work.MinY) - work.MinY,
                        Math.Min(crossings[(2 * i) + 1], work.MaxY) - work.MinY
                    )
                )
                .Where(run => run.Item2 > run.Item1),
        ];
    }
}
