using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Maps;

/// <summary>Looks for needle points that pile up.</summary>
internal static class NeedleCrowd
{
    /// <summary>Radius of the disc in which they are counted, mm.</summary>
    private const double Disc = 0.5;

    /// <summary>Where most needle points lie in a disc, when they are more than a limit.</summary>
    internal static MeasuredPlace? Most(ReadOnlySpan<Point> points, int limit)
    {
        MeasuredPlace? worst = null;
        var cells = new Dictionary<(int, int), List<Point>>();
        foreach (var point in points)
        {
            Budget.Spend();
            var cell = ((int)Math.Floor(point.X / Disc), (int)Math.Floor(point.Y / Disc));
            if (!cells.TryGetValue(cell, out var list))
            {
                cells[cell] = list = [];
            }
            list.Add(point);
        }
        foreach (var ((x, y), list) in cells)
        {
            foreach (var point in list)
            {
                Budget.Spend();
                var count = 0;
                for (var near = 0; near < 9; near++)
                {
                    if (cells.TryGetValue((x - 1 + (near % 3), y - 1 + (near / 3)), out var others))
                    {
                        foreach (var other in others)
                        {
                            count += other.DistanceTo(point) <= Disc ? 1 : 0;
                        }
                    }
                }
                if (count > limit && count > (worst?.Value ?? 0))
                {
                    worst = new MeasuredPlace(point, count);
                }
            }
        }
        return worst;
    }
}
