using Ullet.Core.Geometry;

namespace Ullet.Bench;

/// <summary>The least way from edge to edge when each is begun and ended at one place clear of corners: every order up to six edges,
/// beyond that the nearest next, improved by turning stretches of the order round.</summary>
internal static class EntryOrders
{
    private const int MostExact = 6;

    private const int MostPlaces = 24;

    private const double Clear = 3;

    /// <summary>mm; 0 for a single edge.</summary>
    internal static double Best(IReadOnlyList<Ring> rings)
    {
        if (rings.Count < 2)
        {
            return 0;
        }
        var places = rings.Select(Places).ToArray();
        var all = Enumerable.Range(0, rings.Count).ToArray();
        return rings.Count <= MostExact
            ? Orders(all).Where(order => order[0] < order[^1]).Min(order => Way(order, places))
            : Improved(Nearest(places), places);
    }

    private static Point[] Places(Ring ring)
    {
        var along = new ArcLength([.. ring.Points, ring.Points[0]]);
        var corners = ring.Corners().Select(corner => ring.Points[corner]).ToList();
        var even = Enumerable
            .Range(0, 4 * MostPlaces)
            .Select(i => along.At(along.Total * i / (4 * MostPlaces)))
            .ToList();
        double Off(Point place) => corners.Count == 0 ? Clear : corners.Min(corner => corner.DistanceTo(place));
        var least = Math.Min(Clear, 0.8 * even.Max(Off));
        var clear = even.FindAll(place => Off(place) >= least);
        return [.. clear.Where((_, i) => i * MostPlaces / clear.Count != (i - 1) * MostPlaces / clear.Count || i == 0)];
    }

    private static double Way(IReadOnlyList<int> order, Point[][] places)
    {
        var costs = new double[places[order[0]].Length];
        for (var k = 1; k < order.Count; k++)
        {
            var (from, to, before) = (places[order[k - 1]], places[order[k]], costs);
            costs = [.. to.Select(place => before.Zip(from, (cost, at) => cost + at.DistanceTo(place)).Min())];
        }
        return costs.Min();
    }

    private static IEnumerable<int[]> Orders(int[] left) =>
        left.Length == 1
            ? [left]
            : left.SelectMany(first =>
                Orders([.. left.Where(other => other != first)]).Select(rest => (int[])[first, .. rest])
            );

    private static List<int> Nearest(Point[][] places)
    {
        var (order, left) = (new List<int> { 0 }, Enumerable.Range(1, places.Length - 1).ToList());
        while (left.Count > 0)
        {
            var next = left.MinBy(other => Way([order[^1], other], places));
            order.Add(next);
            left.Remove(next);
        }
        return order;
    }

    private static double Improved(List<int> order, Point[][] places)
    {
        var least = Way(order, places);
        for (var again = true; again; )
        {
            again = false;
            for (var i = 0; i + 1 < order.Count; i++)
            {
                for (var count = 2; i + count <= order.Count; count++)
                {
                    order.Reverse(i, count);
                    if (Way(order, places) is var way && way < least - 0.01)
                    {
                        (least, again) = (way, true);
                    }
                    else
                    {
                        order.Reverse(i, count);
                    }
                }
            }
        }
        return least;
    }
}
