using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Satin along every edge of an outline, with its underlay; loosely set it is a zigzag.</summary>
/// <remarks>
/// Laws, tested in SatinCoverTests: (1) no needle point lies more than 0.1 mm outside the band; (2) at a spacing of 0.40
/// strokes 0.4 mm wide cover at least 99.5 % of the band; (3) no disc of 0.5 mm radius takes more than 12 top needle points
/// outside the closing overlap; (4) a closed cover runs on over its start by 1 to 2 mm; (5) every number is finite and no
/// stitch has length zero.
/// </remarks>
public static class SatinCover
{
    /// <summary>Holes keep this share of the spacing between them where strokes crowd.</summary>
    private const double Gap = StitchDefaults.CrowdedShare;

    /// <summary>The same on cloths that tear.</summary>
    private const double WideGap = 0.8;

    /// <summary>Covers the edges of regions, shells and holes alike.</summary>
    /// <returns>For each edge its underlay runs, then its top run; of edges whose bands touch all underlays first, then the tops, so that
    /// no underlay lies on a finished top. Where two edges face each other nearer than the band needs, strokes end halfway and the
    /// narrowest place is reported.</returns>
    /// <param name="regions">The outline, mm.</param>
    /// <param name="numbers">Width, spacing, shares.</param>
    /// <param name="visible">The stretches of edge that get a cover; null for all of it. A stretch of a ring ends square.</param>
    /// <param name="cancellation">Stops the work.</param>
    public static StepStitches Make(
        ImmutableArray<Region> regions,
        SatinNumbers numbers,
        CancellationToken cancellation,
        VisibleEdge? visible = null
    )
    {
        var edges = CoverEdges.Of(regions, numbers, visible).ToList();
        var gap = numbers.NeedleLimit < StitchDefaults.NeedleLimit ? WideGap : Gap;
        var shortStrokes = new ShortStrokes(numbers.Spacing, gap);
        var underlay = new List<List<StitchRun>>();
        var tops = new List<List<TopThread>>();
        var narrow = ImmutableArray.CreateBuilder<NarrowPlace>();
        foreach (var edge in edges)
        {
            cancellation.ThrowIfCancellationRequested();
            underlay.Add([.. SatinUnderlay.Make(edge.Legs, edge.IsClosed, numbers, edge.Ring)]);
            var top = Top(edge, numbers, shortStrokes, gap);
            if (!edge.IsClosed && underlay[^1].Count % 2 == 1)
            {
                // Along an open edge the underlay goes to and fro; the cover begins where it ended.
                top.Reverse();
                top.ForEach(thread => thread.Reverse());
            }
            tops.Add(top);
            narrow.AddRange(edge.Legs.Select(leg => leg.Narrowest).OfType<NarrowPlace>());
        }
        var sewn = new Queue<StitchRun>(ThreadRelief.Of([.. tops.SelectMany(top => top)], numbers, cancellation));
        var mended = tops.ConvertAll(top => top.ConvertAll(_ => sewn.Dequeue()));
        return new StepStitches(
            [
                .. TouchingEdges
                    .Of(regions, edges, numbers.Band)
                    .SelectMany((group, i) => InOrder(group, i, underlay, mended)),
            ],
            narrow.ToImmutable()
        );
    }

    /// <summary>Underlays first; then tops from the edge whose underlay was the last, where the needle stands.</summary>
    private static IEnumerable<StitchRun> InOrder(
        IReadOnlyList<int> group,
        int number,
        List<List<StitchRun>> underlay,
        List<List<StitchRun>> tops
    ) =>
        group
            .SelectMany(edge => underlay[edge])
            .Concat(group.Reverse().SelectMany(edge => tops[edge]))
            .Select(run => run with { Group = number });

    /// <summary>About so many strokes are sewn again at the closing overlap.</summary>
    private const int OverlapStrokes = 24;

    /// <summary>Lists of strokes that no cover uses now: of a large project they would be most of the memory that is asked for.</summary>
    private static readonly ConcurrentBag<List<Stroke>> Spare = [];

    private static List<TopThread> Top(CoverEdge edge, SatinNumbers numbers, ShortStrokes shortStrokes, double gap)
    {
        var strokes = Spare.TryTake(out var spare) ? spare : [];
        strokes.Clear();
        var starts = new List<(int At, string? Thread)>();
        foreach (var leg in edge.Legs)
        {
            Budget.Spend();
            var stretch = numbers.Stretches.IsEmpty ? null : edge.Stretch(leg, numbers.Stretches);
            if (starts.Count == 0 || starts[^1].Thread != stretch?.ThreadId)
            {
                starts.Add((strokes.Count, stretch?.ThreadId));
            }
            StrokeSpread.Add(leg.Places, stretch?.Spacing ?? numbers.Spacing, edge.IsSmooth, strokes);
        }
        if (edge.BeginsAmid && strokes.Count > 2)
        {
            strokes.RemoveAt(strokes.Count - 1);
        }
        var all = System.Runtime.InteropServices.CollectionsMarshal.AsSpan(strokes);
        var threads = new List<TopThread>(starts.Count);
        for (var i = 0; i < starts.Count; i++)
        {
            var end = i + 1 < starts.Count ? starts[i + 1].At : strokes.Count;
            var thread = new TopThread(edge.Ring, starts[i].Thread, end - starts[i].At + OverlapStrokes);
            shortStrokes.Sew(all[starts[i].At..end], thread);
            if (edge.IsClosed && i + 1 == starts.Count)
            {
                var again = ClosingOverlap.Of(all, edge.Start);
                new ShortStrokes(numbers.Spacing, gap, ShortStrokes.OverlapRoom).Sew(
                    again,
                    thread,
                    (end - starts[i].At) % 2 == 0
                );
            }
            if (thread.Count > 1)
            {
                threads.Add(thread);
            }
        }
        Spare.Add(strokes);
        return threads;
    }
}
