using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>How a cut edge lies under a border that was only opened, mm.</summary>
/// <param name="Bite">How far the border reaches inside the edge at the worst place; below 0 where it does not reach it.</param>
/// <param name="Outside">How far it reaches outside the edge at the worst place; below 0 where the edge peeps out.</param>
/// <param name="At">The worst place on the edge.</param>
/// <param name="Covered">The share of the edge that lies under the border.</param>
public sealed record BorderMatch(double Bite, double Outside, Point At, double Covered)
{
    /// <summary>Cutter and hands lay an edge this far off, mm: 0.2 and 0.5.</summary>
    public const double LaidOff = 0.7;

    /// <summary>True where the border hides the edge however it is laid.</summary>
    public bool Holds => Math.Min(Bite, Outside) >= LaidOff;

    /// <summary>How far apart places are asked, mm.</summary>
    private const double Apart = 1;

    /// <summary>Farther off nothing is asked, mm.</summary>
    private const double Most = 30;

    /// <summary>The worst of an edge; null where there is no band or no edge.</summary>
    /// <param name="edge">What is cut, mm.</param>
    /// <param name="band">What the border covers, mm.</param>
    public static BorderMatch? Of(IEnumerable<Region> edge, ImmutableArray<Region> band)
    {
        ImmutableArray<Region> area = [.. edge];
        if (band.IsEmpty || area.IsEmpty)
        {
            return null;
        }
        var (within, inside) = (new AreaIndex(band), new AreaIndex(area));
        var rings = band.SelectMany(region => region.Rings).ToLookup(ring => IsInside(ring, inside));
        var (inner, outer) = (new SegmentIndex(rings[true]), new SegmentIndex(rings[false]));
        var sides = new SegmentIndex(band.SelectMany(region => region.Rings));
        var (bite, outside, worst, at, covered, all) = (Most, Most, Most, Point.Zero, 0, 0);
        foreach (var ring in area.SelectMany(region => region.Rings))
        {
            var count = Math.Max(24, (int)(ring.Length / Apart));
            foreach (var place in Rings.Places(ring, count))
            {
                Budget.Spend();
                all++;
                double deep,
                    wide;
                if (within.Holds(place))
                {
                    covered++;
                    // A side that is not there can't be missed: where a piece is narrow, the border covers all of it.
                    deep = inner.Nearest(place, Most)?.DistanceTo(place) ?? Most;
                    wide = outer.Nearest(place, Most)?.DistanceTo(place) ?? Most;
                }
                else
                {
                    var near = sides.Nearest(place, Most);
                    var off = near?.DistanceTo(place) ?? Most;
                    var isBeyond = near is { } side && inside.Holds(Point.Lerp(place, side, 0.5));
                    (deep, wide) = isBeyond ? (off, -off) : (-off, off);
                }
                (bite, outside) = (Math.Min(bite, deep), Math.Min(outside, wide));
                if (Math.Min(deep, wide) < worst)
                {
                    (worst, at) = (Math.Min(deep, wide), place);
                }
            }
        }
        return new BorderMatch(bite, outside, at, covered / (double)Math.Max(1, all));
    }

    /// <summary>True for a side of the border that lies inside the edge.</summary>
    private static bool IsInside(Ring ring, AreaIndex inside)
    {
        var places = Rings.Places(ring, 48).ToList();
        return places.Count(inside.Holds) * 2 > places.Count;
    }
}
