using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches.Fills;

public sealed class FillOrderTests
{
    /// <summary>So many parts all orders can be tried of here.</summary>
    private const int MostParts = 6;

    /// <summary>The ways between parts are hardly longer than those of the best of all orders.</summary>
    [Fact]
    public void Ways_AreHardlyLongerThanThoseOfTheBestOrder()
    {
        var (taken, least, several) = (0.0, 0.0, 0);
        foreach (var (graph, pieces) in Areas())
        {
            var entry = (pieces[0].First, pieces[0].FirstX);
            var own = Cost(graph, pieces, entry, FillOrder.Of(graph, pieces, entry, null));
            var best = Best(graph, pieces, entry, [.. Enumerable.Range(0, pieces.Count)], [], 0, own + 1e-6);
            Assert.True(own >= best - 1e-6);
            (taken, least, several) = (taken + own, least + best, several + 1);
        }
        Assert.True(several >= 8, $"{several} areas");
        Assert.True(taken <= 1.15 * least, $"{taken:0.0} mm where {least:0.0} would do");
    }

    /// <summary>A polygon with round holes in it, no two of which meet.</summary>
    private static Region Holed(Random random)
    {
        var places = Enumerable.Range(0, 9).ToArray();
        random.Shuffle(places);
        var holes = places
            .Take(random.Next(3, 7))
            .Select(place =>
                Round(
                        new Point((20 * (place % 3)) - 20 + Wander(), (20 * (place / 3)) - 20 + Wander()),
                        3 + (4 * random.NextDouble()),
                        24
                    )
                    .Reversed()
            );
        return new Region(Round(Point.Zero, 45, random.Next(3, 9)), [.. holes]);

        double Wander() => 4 * (random.NextDouble() - 0.5);
    }

    private static Ring Round(Point middle, double radius, int corners) =>
        Ring.Of([
            .. Enumerable
                .Range(0, corners)
                .Select(i => 2 * Math.PI * i / corners)
                .Select(turn => middle + new Point(radius * Math.Cos(turn), radius * Math.Sin(turn))),
        ]);

    /// <summary>Areas of three to six parts by seeds.</summary>
    private static IEnumerable<(FillGraph Graph, List<FillPiece> Pieces)> Areas()
    {
        for (var seed = 0; seed < 60; seed++)
        {
            var random = new Random(seed);
            var region = Holed(random);
            var frame = RowFrame.At(random.Next(180));
            var rows = FillRows.Even([region], frame, 4);
            var graph = new FillGraph(FillRows.Of([region], frame, rows, 0), rows);
            var pieces = FillChain.Of(graph).ConvertAll(chain => chain.Piece(graph));
            if (pieces.Count is >= 3 and <= MostParts)
            {
                yield return (graph, pieces);
            }
        }
    }

    private static double Cost(
        FillGraph graph,
        List<FillPiece> pieces,
        (int Span, double X) at,
        List<(int Piece, bool IsReversed)> order
    )
    {
        var sewn = new HashSet<int>();
        var cost = 0.0;
        foreach (var (piece, isReversed) in order)
        {
            var (start, end) = Ends(pieces[piece], isReversed);
            cost += graph.Ways(at.Span, at.X, sewn.Contains).To(start.Span, start.X);
            sewn.UnionWith(pieces[piece].Spans);
            at = end;
        }
        return cost;
    }

    private static double Best(
        FillGraph graph,
        List<FillPiece> pieces,
        (int Span, double X) at,
        HashSet<int> left,
        HashSet<int> sewn,
        double cost,
        double least
    )
    {
        if (cost >= least || left.Count == 0)
        {
            return Math.Min(cost, least);
        }
        var ways = graph.Ways(at.Span, at.X, sewn.Contains);
        foreach (var piece in left.ToList())
        {
            foreach (var isReversed in (bool[])[false, true])
            {
                var (start, end) = Ends(pieces[piece], isReversed);
                var way = ways.To(start.Span, start.X);
                var rest = left.Where(other => other != piece).ToHashSet();
                least = Best(graph, pieces, end, rest, [.. sewn, .. pieces[piece].Spans], cost + way, least);
            }
        }
        return least;
    }

    private static ((int Span, double X) Start, (int Span, double X) End) Ends(FillPiece piece, bool isReversed) =>
        isReversed
            ? ((piece.Last, piece.LastX), (piece.First, piece.FirstX))
            : ((piece.First, piece.FirstX), (piece.Last, piece.LastX));
}
