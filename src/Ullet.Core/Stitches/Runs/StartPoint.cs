using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Chooses where a closed line begins: where its join is least seen.</summary>
internal static class StartPoint
{
    /// <summary>The ring's lowest corner, or its lowest vertex when it has none.</summary>
    internal static int Of(Ring ring)
    {
        var corners = ring.Corners();
        var (best, lowest, left) = (-1, double.MinValue, 0.0);
        for (var k = 0; k < (corners.IsEmpty ? ring.Points.Length : corners.Length); k++)
        {
            var i = corners.IsEmpty ? k : corners[k];
            var (x, y) = (ring.Points[i].X, Math.Round(ring.Points[i].Y, 3));
            if (best < 0 || y > lowest || (y == lowest && x < left))
            {
                (best, lowest, left) = (i, y, x);
            }
        }
        return best;
    }

    /// <summary>The ring beginning there.</summary>
    internal static Ring Choose(Ring ring) => ring.StartingAt(Of(ring));
}
