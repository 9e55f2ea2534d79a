namespace Ullet.Core.Geometry;

/// <summary>So few edges that looking at each costs less than a grid.</summary>
internal sealed class FewEdges(SearchedEdge[] edges) : IEdges
{
    /// <inheritdoc/>
    public Point? Nearest(Point place, double within)
    {
        var (best, foot, found) = (within * within, default(Point), false);
        foreach (ref readonly var edge in edges.AsSpan())
        {
            found |= edge.IsNearer(place, ref best, ref foot);
        }
        return found ? foot : null;
    }

    /// <inheritdoc/>
    public double? FirstCrossing(Point from, Point direction, double length)
    {
        var (first, found) = (length, false);
        foreach (ref readonly var edge in edges.AsSpan())
        {
            found |= edge.IsCrossedEarlier(from, direction, ref first);
        }
        return found ? first : null;
    }
}
