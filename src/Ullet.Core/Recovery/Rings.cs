using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>Sorts closed lines into areas, and tells how lines lie to an area's edge.</summary>
internal static class Rings
{
    /// <summary>Places along a line at which its distance is asked.</summary>
    private const int Samples = 96;

    /// <summary>Areas with their holes: what an odd number of the lines goes round is inside.</summary>
    internal static ImmutableArray<OutlinePart> Parts(IEnumerable<RunLine> rings)
    {
        var known = rings
            .Select(line => (Contour: new Contour(line.Curves()), Ring: line.Ring()))
            .Where(each => Math.Abs(each.Ring.SignedArea) > 0.5)
            .OrderByDescending(each => Math.Abs(each.Ring.SignedArea))
            .ToList();
        var depth = new int[known.Count];
        var holder = new int[known.Count];
        for (var i = 0; i < known.Count; i++)
        {
            holder[i] = -1;
            for (var k = 0; k < i; k++)
            {
                Budget.Spend();
                if (Holds(known[k].Ring, known[i].Ring))
                {
                    (depth[i], holder[i]) = (depth[k] + 1, k);
                }
            }
        }
        return
        [
            .. Enumerable
                .Range(0, known.Count)
                .Where(i => depth[i] % 2 == 0)
                .Select(i => new OutlinePart(
                    known[i].Contour.Oriented(clockwise: true),
                    [
                        .. Enumerable
                            .Range(0, known.Count)
                            .Where(k => depth[k] == depth[i] + 1 && holder[k] == i)
                            .Select(k => known[k].Contour.Oriented(clockwise: false)),
                    ]
                )),
        ];
    }

    /// <summary>How lines lie to an area's edge: their usual distance, inside above 0, and how much most of it varies, mm.</summary>
    internal static (double Usual, double Spread) Offset(Region area, IEnumerable<Ring> rings)
    {
        var found = Distances(area, rings);
        if (found.Count == 0 || found.Exists(double.IsInfinity))
        {
            return (double.PositiveInfinity, double.PositiveInfinity);
        }
        return (found[found.Count / 2], found[found.Count * 17 / 20] - found[found.Count * 3 / 20]);
    }

    /// <summary>How far places along lines lie from an area's edge, sorted, inside above 0, mm; infinite beyond 12.</summary>
    internal static List<double> Distances(Region area, IEnumerable<Ring> rings)
    {
        var edges = new SegmentIndex(area.Rings);
        var inside = new AreaIndex([area]);
        var found = new List<double>();
        foreach (var at in rings.SelectMany(ring => Places(ring)))
        {
            Budget.Spend();
            if (edges.Nearest(at, 12) is not { } near)
            {
                return [double.PositiveInfinity];
            }
            found.Add(near.DistanceTo(at) * (inside.Holds(at) ? 1 : -1));
        }
        found.Sort();
        return found;
    }

    /// <summary>Places along a ring, as many for any ring.</summary>
    internal static IEnumerable<Point> Places(Ring ring, int count = Samples)
    {
        var along = new ArcLength([.. ring.Points, ring.Points[0]]);
        return Enumerable.Range(0, count).Select(i => along.At(along.Total * (i + 0.5) / count));
    }

    private static bool Holds(Ring outer, Ring inner)
    {
        var area = new AreaIndex([new Region(outer, [])]);
        return inner.Points.Take(12).Count(area.Holds) > Math.Min(12, inner.Points.Length) / 2;
    }
}
