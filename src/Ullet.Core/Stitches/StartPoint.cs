using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Chooses where a closed line begins: where its join is least seen.</summary>
internal static class StartPoint
{
    /// <summary>The ring beginning at its lowest corner, or at its lowest point when it has none.</summary>
    internal static Ring Choose(Ring ring)
    {
        var corners = ring.Corners();
        var candidates = corners.IsEmpty ? Enumerable.Range(0, ring.Points.Length) : corners;
        var best = candidates.MaxBy(i => (Math.Round(ring.Points[i].Y, 3), -ring.Points[i].X));
        return ring.StartingAt(best);
    }
}
