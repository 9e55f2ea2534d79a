using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Keeps needle points apart where strokes crowd: an end that would land on others stops short of them.</summary>
internal sealed class ShortStrokes(double spacing)
{
    /// <summary>How much of its length a stroke may give up, tried in this order.</summary>
    private static readonly double[] Shortenings = [0, 0.12, 0.24, 0.36, 0.48];

    private readonly double _apart = spacing * StitchDefaults.CrowdedShare;
    private readonly Dictionary<(int, int), List<Point>> _cells = [];

    /// <summary>The end of a stroke, drawn back towards its other end as far as needed, and remembered.</summary>
    internal Point End(Point end, Point other)
    {
        var best = end;
        var bestGap = -1.0;
        foreach (var share in Shortenings)
        {
            var candidate = Point.Lerp(end, other, share);
            var gap = Gap(candidate);
            if (gap > bestGap)
            {
                (best, bestGap) = (candidate, gap);
            }
            if (gap >= _apart)
            {
                break;
            }
        }
        Remember(best);
        return best;
    }

    private double Gap(Point place)
    {
        var nearest = _apart;
        var (x, y) = Cell(place);
        for (var dx = -1; dx <= 1; dx++)
        {
            for (var dy = -1; dy <= 1; dy++)
            {
                if (_cells.TryGetValue((x + dx, y + dy), out var points))
                {
                    foreach (var point in points)
                    {
                        nearest = Math.Min(nearest, point.DistanceTo(place));
                    }
                }
            }
        }
        return nearest;
    }

    private void Remember(Point point)
    {
        var cell = Cell(point);
        if (!_cells.TryGetValue(cell, out var points))
        {
            _cells[cell] = points = [];
        }
        points.Add(point);
    }

    private (int, int) Cell(Point place) => ((int)Math.Floor(place.X / _apart), (int)Math.Floor(place.Y / _apart));
}
