namespace Ullet.Core.Stitches;

/// <summary>Stretches that are sewn one after the other, to and fro, without a jump.</summary>
/// <param name="Links">The numbers of the stretches, in order, and whether each is sewn from its low end.</param>
internal sealed record FillChain(List<(int Span, bool FromLow)> Links)
{
    /// <summary>The needle comes to the next stretch over at most so much of the last, mm.</summary>
    private const double MostBack = 24;

    /// <summary>The fewest chains over all stretches that a walk from the first row to the last finds.</summary>
    /// <remarks>At a place where a row divides, the chain goes on where its needle stands; where rows meet, the first chain to come
    /// takes the row. Each row pair so joins as many stretches as can be joined.</remarks>
    internal static List<FillChain> Of(FillGraph graph)
    {
        var taken = new bool[graph.Spans.Count];
        var chains = new List<FillChain>();
        for (var first = 0; first < taken.Length; first++)
        {
            if (taken[first])
            {
                continue;
            }
            var links = new List<(int, bool)>();
            var (at, fromLow) = (first, true);
            while (at >= 0)
            {
                taken[at] = true;
                links.Add((at, fromLow));
                var needle = fromLow ? graph.Spans[at].High : graph.Spans[at].Low;
                at = Next(graph, at, needle, taken);
                fromLow = at >= 0 && Math.Abs(graph.Spans[at].Low - needle) < Math.Abs(graph.Spans[at].High - needle);
            }
            chains.Add(new FillChain(links));
        }
        return chains;
    }

    /// <summary>The chain as a part that may be sewn from either end.</summary>
    internal FillPiece Piece(FillGraph graph)
    {
        var ((first, firstLow), (last, lastLow)) = (Links[0], Links[^1]);
        var (from, to) = (graph.Spans[first], graph.Spans[last]);
        return new FillPiece(
            first,
            firstLow ? from.Low : from.High,
            last,
            lastLow ? to.High : to.Low,
            Links.ConvertAll(link => link.Span)
        );
    }

    private static int Next(FillGraph graph, int at, double needle, bool[] taken)
    {
        var (best, nearest) = (-1, MostBack);
        foreach (var next in graph.Below(at))
        {
            var gap = graph.Spans[next].Gap(needle);
            if (!taken[next] && gap < nearest)
            {
                (best, nearest) = (next, gap);
            }
        }
        return best;
    }
}
