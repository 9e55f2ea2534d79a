using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>Tells whether units of a motif go along an outline, and how far they reach to its sides.</summary>
internal static class MotifAlong
{
    /// <summary>No unit reaches farther from an outline, mm.</summary>
    private const double Farthest = 7;

    /// <summary>Shares of the needle points that say how far units reach: single ones may stand out at corners.</summary>
    private const double Edge = 0.04;

    /// <summary>No unit is longer, mm.</summary>
    private const double LongestUnit = 22;

    /// <summary>A unit goes this far to each side of its middle at least, mm.</summary>
    private const double Swing = 0.25;

    /// <summary>Width across the outline and reach outside it, mm.</summary>
    internal static (double Width, double Outside)? Of(ImmutableArray<Point> places, Region area)
    {
        if (places.Length < 8)
        {
            return null;
        }
        var edges = new SegmentIndex(area.Rings);
        var inside = new AreaIndex([area]);
        var found = new List<double>();
        foreach (var at in places)
        {
            Budget.Spend();
            if (edges.Nearest(at, Farthest) is { } near)
            {
                found.Add(near.DistanceTo(at) * (inside.Holds(at) ? 1 : -1));
            }
        }
        var swings = Swings(found);
        if (
            found.Count < 0.9 * places.Length
            || swings < area.Rings.Sum(ring => ring.Length) / LongestUnit
            || !GoesRound(places, area)
        )
        {
            return null;
        }
        found.Sort();
        var (outside, deep) = (-found[(int)(found.Count * Edge)], found[^(1 + (int)(found.Count * Edge))]);
        return (outside + deep, outside);
    }

    /// <summary>How often the needle goes out and in again: once a unit.</summary>
    private static int Swings(List<double> distances)
    {
        var middle = StrokeBands.Median([.. distances]);
        var (swings, isOut) = (0, false);
        foreach (var distance in distances)
        {
            Budget.Spend();
            if (isOut ? distance > middle + Swing : distance < middle - Swing)
            {
                isOut = !isOut;
                swings += isOut ? 1 : 0;
            }
        }
        return swings;
    }

    /// <summary>True where a good part of the outline has a needle point near.</summary>
    private static bool GoesRound(ImmutableArray<Point> places, Region area)
    {
        var along = area.Rings.SelectMany(ring => Rings.Places(ring, 60)).ToList();
        var near = along.Count(at =>
        {
            Budget.Spend(1 + (places.Length / 16));
            return places.Any(place => place.DistanceTo(at) < Farthest);
        });
        return near > 0.5 * along.Count;
    }
}
