using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>Parts a blanket stitch into its spine and its teeth.</summary>
internal static class BlanketTeeth
{
    /// <summary>The spine's needle points, and the length of each tooth, mm.</summary>
    internal static (ImmutableArray<Point> Spine, List<double> Teeth) Of(ImmutableArray<Point> core)
    {
        var strides = Strides.Of(core);
        var spine = ImmutableArray.CreateBuilder<Point>();
        var teeth = new List<double>();
        for (var i = 0; i < core.Length; i++)
        {
            Budget.Spend();
            if (strides[i] == Stride.Return)
            {
                teeth.Add(core[i - 1].DistanceTo(core[i]));
                continue;
            }
            if (spine.Count == 0 || spine[^1].DistanceTo(core[i]) > Strides.SameHole)
            {
                spine.Add(core[i]);
            }
        }
        return (spine.ToImmutable(), teeth);
    }

    /// <summary>What lies between the spine and the tips of neighbouring teeth; null for no teeth.</summary>
    internal static StrokeBand? Band(ImmutableArray<ImmutableArray<Point>> cores)
    {
        var stretches = new List<ImmutableArray<Point>>();
        foreach (var core in cores)
        {
            var strides = Strides.Of(core);
            var strokes = ImmutableArray.CreateBuilder<Point>();
            for (var i = 1; i < core.Length; i++)
            {
                Budget.Spend();
                if (strides[i] == Stride.Return)
                {
                    strokes.Add(core[i - 1]);
                    strokes.Add(core[i]);
                }
            }
            if (strokes.Count > 2)
            {
                // A line that closes ends beside the tooth that it began with.
                if (strokes[^2].DistanceTo(strokes[0]) < 2 * strokes[0].DistanceTo(strokes[2]))
                {
                    strokes.Add(strokes[0]);
                    strokes.Add(strokes[1]);
                }
                stretches.Add(strokes.ToImmutable());
            }
        }
        return StrokeBands.Of(stretches);
    }

    /// <summary>The share of teeth that are as long as most.</summary>
    internal static double Share(ImmutableArray<ImmutableArray<Point>> cores)
    {
        var lengths = cores.SelectMany(core => Of(core).Teeth).ToList();
        if (lengths.Count == 0)
        {
            return 0;
        }
        var usual = StrokeBands.Median([.. lengths]);
        return lengths.Count(length => Math.Abs(length - usual) < 0.15 * usual) / (double)lengths.Count;
    }
}
