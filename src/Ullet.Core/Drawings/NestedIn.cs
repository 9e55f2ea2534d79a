using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Drawings;

/// <summary>Where an outline lies among others.</summary>
/// <param name="Depth">How many of them lie around it.</param>
/// <param name="Parent">The smallest of those; -1 for none.</param>
internal readonly record struct NestedIn(int Depth, int Parent)
{
    /// <summary>For each region, how many others it lies within.</summary>
    /// <param name="regions">The regions, mm.</param>
    /// <param name="isWithin">True when the first region lies wholly inside the second; asked only where its box does.</param>
    /// <remarks>What lies around the smallest region around another one lies around that one too, and is not asked. So a nest of
    /// a thousand costs a thousand questions, not half a million.</remarks>
    internal static ImmutableArray<NestedIn> Of(IReadOnlyList<Region> regions, Func<int, int, bool> isWithin)
    {
        var boxes = regions.Select(region => region.Bounds()).ToArray();
        var areas = regions.Select(region => Math.Abs(region.Shell.SignedArea)).ToArray();
        var bySize = Enumerable.Range(0, regions.Count).OrderBy(i => areas[i]).ThenByDescending(i => i).ToArray();
        var found = new NestedIn[regions.Count];
        var around = new List<int>?[regions.Count];
        var seen = new int[regions.Count];
        Array.Fill(seen, -1);
        // From the largest: everything around a region is settled before it.
        for (var at = bySize.Length - 1; at >= 0; at--)
        {
            var own = bySize[at];
            var (depth, parent) = (0, -1);
            List<int>? others = null;
            for (var next = at + 1; next < bySize.Length; next++)
            {
                var other = bySize[next];
                Budget.Spend();
                if (seen[other] == own || !boxes[other].Contains(boxes[own]) || !isWithin(own, other))
                {
                    continue;
                }
                if (parent < 0)
                {
                    parent = other;
                    depth = 1 + Mark(other, own, found, around, seen);
                }
                else
                {
                    // Around this one, but not around its parent: the two cross.
                    (others ??= []).Add(other);
                    seen[other] = own;
                    depth++;
                }
            }
            found[own] = new NestedIn(depth, parent);
            around[own] = others;
        }
        return [.. found];
    }

    /// <summary>Marks everything around a region as seen, and counts it.</summary>
    private static int Mark(int region, int by, NestedIn[] found, List<int>?[] around, int[] seen)
    {
        var count = 0;
        for (var at = region; at >= 0; at = found[at].Parent)
        {
            Budget.Spend();
            seen[at] = by;
            if (at != region)
            {
                count++;
            }
            foreach (var other in around[at] ?? [])
            {
                if (seen[other] != by)
                {
                    seen[other] = by;
                    count++;
                }
            }
        }
        return count;
    }
}
