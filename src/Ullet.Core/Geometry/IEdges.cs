namespace Ullet.Core.Geometry;

/// <summary>Edges that can be searched from a place.</summary>
public interface IEdges
{
    /// <summary>The nearest edge point within a distance of a place, mm, or null when there is none.</summary>
    Point? Nearest(Point place, double within);

    /// <summary>How far from a place the first edge lies that crosses a straight line from it, mm; null when none does. Edges
    /// through the place itself do not count.</summary>
    /// <param name="from">The place, mm.</param>
    /// <param name="direction">Length 1.</param>
    /// <param name="length">The line's length, mm.</param>
    double? FirstCrossing(Point from, Point direction, double length);
}
