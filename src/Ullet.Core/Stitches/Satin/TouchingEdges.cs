using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Finds the covered edges whose bands touch.</summary>
internal static class TouchingEdges
{
    /// <summary>The edges' numbers in groups; bands of different groups stay clear of each other.</summary>
    /// <param name="regions">The outline, mm: edges of one region face each other inwards, those of two outwards.</param>
    /// <param name="edges">The edges that are covered.</param>
    /// <param name="band">How far their bands reach.</param>
    internal static IReadOnlyList<IReadOnlyList<int>> Of(
        ImmutableArray<Region> regions,
        IReadOnlyList<CoverEdge> edges,
        CoverBand band
    )
    {
        if (edges.Count <= 1)
        {
            return [.. edges.Select((_, i) => (IReadOnlyList<int>)[i])];
        }
        // Rings are numbered part by part, as in the outline.
        var parts = regions
            .SelectMany((region, part) => region.Rings.Where(ring => ring.Points.Length >= 3).Select(_ => part))
            .ToArray();
        var feet = edges.Select(edge => edge.Legs.SelectMany(leg => leg.Feet).ToImmutableArray()).ToList();
        var boxes = feet.ConvertAll(line => Box.Of(line));
        var threads = new RunThread?[edges.Count];
        var groupOf = Enumerable.Range(0, edges.Count).ToArray();
        for (var i = 0; i < edges.Count; i++)
        {
            for (var k = i + 1; k < edges.Count; k++)
            {
                Budget.Spend();
                var isOnePart = parts[edges[i].Ring] == parts[edges[k].Ring];
                var reach = 2 * Math.Max(0, isOnePart ? band.Inside : band.Outside);
                if (groupOf[i] == groupOf[k] || !boxes[i].Grown(reach).Overlaps(boxes[k]))
                {
                    continue;
                }
                var thread = threads[i] ??= new RunThread(feet[i]);
                if (feet[k].Any(foot => boxes[i].Grown(reach).Contains(foot) && thread.LiesAt(foot, reach)))
                {
                    var (kept, gone) = (groupOf[i], groupOf[k]);
                    groupOf = [.. groupOf.Select(group => group == gone ? kept : group)];
                }
            }
        }
        return
        [
            .. Enumerable
                .Range(0, edges.Count)
                .GroupBy(i => groupOf[i])
                .Select(group => (IReadOnlyList<int>)[.. group]),
        ];
    }
}
