using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>How a cut edge lies under a border that was only opened, mm.</summary>
/// <param name="Bite">How far the border reaches inside the edge at the worst place; below 0 where it does not reach it.</param>
/// <param name="Outside">How far it reaches outside the edge at the worst place.</param>
/// <param name="At">The worst place on the edge.</param>
/// <param name="Covered">The share of the edge that lies under the border.</param>
public sealed record BorderMatch(double Bite, double Outside, Point At, double Covered)
{
    /// <summary>How far apart places are asked, mm.</summary>
    private const double Apart = 1;

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
        var sides = new SegmentIndex(band.SelectMany(region => region.Rings));
        var (bite, outside, at, covered, all) = (double.PositiveInfinity, double.PositiveInfinity, Point.Zero, 0, 0);
        foreach (var ring in area.SelectMany(region => region.Rings))
        {
            var count = Math.Max(24, (int)(ring.Length / Apart));
            var along = new ArcLength([.. ring.Points, ring.Points[0]]);
            for (var i = 0; i < count; i++)
            {
                Budget.Spend();
                var place = along.At(along.Total * i / count);
                var way = (along.At(along.Total * ((i + 0.01) % count) / count) - place).Unit();
                var across = new Point(-way.Y, way.X);
                var inwards = inside.Holds(place + (across * 0.01)) ? across : Point.Zero - across;
                all++;
                if (!within.Holds(place))
                {
                    var off = sides.Nearest(place, 30)?.DistanceTo(place) ?? 30;
                    (bite, outside, at) = -off < Math.Min(bite, outside) ? (-off, -off, place) : (bite, outside, at);
                    continue;
                }
                covered++;
                var (deep, wide) = (
                    sides.FirstCrossing(place, inwards, 30) ?? 0,
                    sides.FirstCrossing(place, Point.Zero - inwards, 30) ?? 0
                );
                if (Math.Min(deep, wide) < Math.Min(bite, outside))
                {
                    at = place;
                }
                (bite, outside) = (Math.Min(bite, deep), Math.Min(outside, wide));
            }
        }
        return new BorderMatch(bite, outside, at, covered / (double)Math.Max(1, all));
    }
}
