using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The direction in which weighed spots spread most.</summary>
internal static class MainAxis
{
    /// <summary>Spread by less than this share more one way than across it, they have none, and stand upright.</summary>
    private const double Round = 0.15;

    internal static Point Of(IEnumerable<(Point At, double Weight)> spots, Point centre)
    {
        var (xx, xy, yy) = (0.0, 0.0, 0.0);
        foreach (var (at, weight) in spots)
        {
            var away = at - centre;
            xx += weight * away.X * away.X;
            xy += weight * away.X * away.Y;
            yy += weight * away.Y * away.Y;
        }
        var spread = Math.Sqrt((((xx - yy) / 2) * ((xx - yy) / 2)) + (xy * xy));
        if (spread < Round * (xx + yy))
        {
            return new Point(0, 1);
        }
        var angle = 0.5 * Math.Atan2(2 * xy, xx - yy);
        return new Point(Math.Cos(angle), Math.Sin(angle));
    }
}
