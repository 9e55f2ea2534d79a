namespace Ullet.Core.Geometry;

/// <summary>An edge of an outline as it is searched: its start, the way to its end, and what a foot on it needs.</summary>
internal readonly struct SearchedEdge
{
    internal readonly Point Start;
    internal readonly Point Along;
    private readonly double _perSquare;

    internal SearchedEdge(Point start, Point end)
    {
        (Start, Along) = (start, end - start);
        var square = Point.Dot(Along, Along);
        _perSquare = square < 1e-18 ? 0 : 1 / square;
    }

    /// <summary>How far along the edge the point lies that is nearest to a place, 0 to 1.</summary>
    internal double Share(Point place)
    {
        var t = (((place.X - Start.X) * Along.X) + ((place.Y - Start.Y) * Along.Y)) * _perSquare;
        return t < 0 ? 0
            : t > 1 ? 1
            : t;
    }

    /// <summary>True, with the point, when one of its points is nearer to a place than the best so far.</summary>
    /// <param name="place">The place, mm.</param>
    /// <param name="best">Square of the least distance so far, mm².</param>
    /// <param name="foot">The point at that distance.</param>
    internal bool IsNearer(Point place, ref double best, ref Point foot)
    {
        var t = Share(place);
        var (dx, dy) = (Start.X + (Along.X * t) - place.X, Start.Y + (Along.Y * t) - place.Y);
        var square = (dx * dx) + (dy * dy);
        if (square >= best)
        {
            return false;
        }
        (best, foot) = (square, new Point(place.X + dx, place.Y + dy));
        return true;
    }

    /// <summary>True, with the distance, when it crosses a line earlier than all so far. An edge through the line's start does
    /// not.</summary>
    /// <param name="from">The line's start, mm.</param>
    /// <param name="direction">Its direction, length 1.</param>
    /// <param name="first">The least distance so far, mm.</param>
    internal bool IsCrossedEarlier(Point from, Point direction, ref double first)
    {
        const double Away = 1e-6;
        var to = Start - from;
        var (a, b) = (Point.Cross(direction, to), Point.Cross(direction, to + Along));
        if ((a > 0) == (b > 0))
        {
            return false;
        }
        var distance = Point.Dot(direction, to + (Along * (a / (a - b))));
        if (distance <= Away || distance >= first)
        {
            return false;
        }
        first = distance;
        return true;
    }
}
