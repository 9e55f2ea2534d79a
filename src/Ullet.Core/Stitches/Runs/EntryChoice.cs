using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Chooses where the covers of closed edges begin and end: on a straight or gentle stretch clear of corners and tips, where
/// the join is least seen; low on a single edge, and of several where the needle has little way from one to the next.</summary>
internal static class EntryChoice
{
    /// <summary>A start keeps this far from corners and tips where there is room, mm.</summary>
    internal const double Clear = 3;

    /// <summary>As gentle as the gentlest place of the edge is what turns by this much more, degrees within <see cref="Clear"/>
    /// either way.</summary>
    private const double AsGentle = 8;

    /// <summary>Places to begin at lie no farther apart than this on straight edges, mm.</summary>
    private const double Apart = 2;

    /// <summary>Of a long edge about so many places are looked at.</summary>
    private const int MostPlaces = 400;

    /// <summary>Of an edge shorter than this every vertex is looked at, mm.</summary>
    private const double Long = 400;

    /// <summary>Of several edges' places so many are weighed each.</summary>
    private const int MostWeighed = 48;

    /// <summary>How much way a start may cost that lies a millimetre lower, mm.</summary>
    private const double Low = 0.05;

    /// <summary>The edges with a vertex at each start.</summary>
    /// <returns>For each ring the ring itself, with another vertex where its start lies amid an edge, and the start's number.</returns>
    internal static IReadOnlyList<(Ring Ring, int Start)> Of(IReadOnlyList<Ring> rings)
    {
        var places = rings.Select(Gentle).ToList();
        var chosen = new EntryPlace[rings.Count];
        if (rings.Count == 1)
        {
            chosen[0] = Lowest(places[0]);
        }
        else if (rings.Count > 1)
        {
            Choose(places, chosen);
        }
        return [.. rings.Select((ring, i) => With(ring, chosen[i]))];
    }

    /// <summary>The places of an edge at which a cover may begin.</summary>
    private static List<EntryPlace> Gentle(Ring ring)
    {
        var bends = new EdgeBends(ring);
        var all = Places(ring)
            .Select(place => (Place: place, Clear: bends.ToCorner(place.Along), Bend: bends.Around(place.Along)))
            .ToList();
        // Where no place is clear of corners, the farthest from them are.
        var clear = Math.Min(Clear, 0.8 * all.Max(each => each.Clear));
        all.RemoveAll(each => each.Clear < clear);
        var gentlest = all.Min(each => each.Bend);
        return [.. all.Where(each => each.Bend <= gentlest + AsGentle).Select(each => each.Place)];
    }

    private static IEnumerable<EntryPlace> Places(Ring ring)
    {
        var points = ring.Points;
        var every = Math.Max(Apart, ring.Length / MostPlaces);
        var (along, since) = (0.0, every);
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            var (here, next) = (points[i], points[(i + 1) % points.Length]);
            var length = here.DistanceTo(next);
            if (since >= every || ring.Length < Long)
            {
                yield return new EntryPlace(here, i, along, IsVertex: true);
                since = 0;
            }
            var parts = (int)(length / every);
            for (var k = 1; k <= parts; k++)
            {
                var share = k / (parts + 1.0);
                yield return new EntryPlace(
                    Point.Lerp(here, next, share),
                    i,
                    along + (share * length),
                    IsVertex: false
                );
                since = 0;
            }
            (along, since) = (along + length, since + length);
        }
    }

    private static EntryPlace Lowest(List<EntryPlace> places)
    {
        var best = places[0];
        foreach (var place in places)
        {
            var (y, lowest) = (Math.Round(place.At.Y, 3), Math.Round(best.At.Y, 3));
            best = y > lowest || (y == lowest && place.At.X < best.At.X) ? place : best;
        }
        return best;
    }

    /// <summary>Chooses with the order of the edges: along it, of each edge's places those that together cost least way.</summary>
    private static void Choose(List<List<EntryPlace>> places, EntryPlace[] chosen)
    {
        var weighed = places.ConvertAll(Weighed);
        var ways = new double?[places.Count, places.Count];
        double Between(int a, int b) => a < 0 ? 0 : ways[a, b] ??= ways[b, a] ??= Nearest(weighed[a], weighed[b]);
        var order = TravelOrder.Of(places.Count, Between);
        var bottom = weighed.Max(ring => ring.Max(place => place.At.Y));
        var costs = new double[order.Length][];
        var before = new int[order.Length][];
        for (var k = 0; k < order.Length; k++)
        {
            var ring = weighed[order[k]];
            (costs[k], before[k]) = (new double[ring.Count], new int[ring.Count]);
            for (var i = 0; i < ring.Count; i++)
            {
                var (least, from) = (0.0, -1);
                for (var j = 0; k > 0 && j < costs[k - 1].Length; j++)
                {
                    Budget.Spend();
                    var cost = costs[k - 1][j] + weighed[order[k - 1]][j].At.DistanceTo(ring[i].At);
                    (least, from) = from < 0 || cost < least ? (cost, j) : (least, from);
                }
                costs[k][i] = least + (Low * (bottom - ring[i].At.Y));
                before[k][i] = from;
            }
        }
        var at = Array.IndexOf(costs[^1], costs[^1].Min());
        for (var k = order.Length - 1; k >= 0; k--)
        {
            chosen[order[k]] = weighed[order[k]][at];
            at = before[k][at];
        }
    }

    private static double Nearest(List<EntryPlace> from, List<EntryPlace> to)
    {
        Budget.Spend((from.Count * to.Count / 8) + 1);
        return from.Min(a => to.Min(b => a.At.DistanceTo(b.At)));
    }

    private static List<EntryPlace> Weighed(List<EntryPlace> places)
    {
        if (places.Count <= MostWeighed)
        {
            return places;
        }
        return [.. Enumerable.Range(0, MostWeighed).Select(i => places[i * places.Count / MostWeighed])];
    }

    private static (Ring Ring, int Start) With(Ring ring, EntryPlace place) =>
        place.IsVertex ? (ring, place.Edge) : (new Ring(ring.Points.Insert(place.Edge + 1, place.At)), place.Edge + 1);
}

/// <summary>A place on a ring.</summary>
/// <param name="At">Where it lies, mm.</param>
/// <param name="Edge">The vertex at it or before it.</param>
/// <param name="Along">How far along the ring, mm.</param>
/// <param name="IsVertex">True when it is a vertex of the ring.</param>
internal readonly record struct EntryPlace(Point At, int Edge, double Along, bool IsVertex);
