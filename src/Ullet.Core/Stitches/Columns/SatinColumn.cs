using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>A column as it will be sewn.</summary>
/// <param name="Source">Its triangles, with the nodes that it ends at and goes through.</param>
/// <param name="Places">The places where strokes may lie, in order.</param>
/// <param name="IsClosed">True when its last place is its first.</param>
internal sealed record SatinColumn(MeshColumn Source, StrokePlace[] Places, bool IsClosed)
{
    internal Point Middle(int place) => Point.Lerp(Places[place].Outer, Places[place].Inner, 0.5);

    /// <summary>True when strokes were left out before a place, round a tight bend: none are laid between.</summary>
    internal bool IsApart(int place) => IsApart(Places[place - 1], Places[place]);

    /// <summary>The same of two places.</summary>
    internal static bool IsApart(in StrokePlace before, in StrokePlace here) =>
        Point.Lerp(before.Outer, before.Inner, 0.5).DistanceTo(Point.Lerp(here.Outer, here.Inner, 0.5))
        > 4 * ColumnSpine.Step;

    /// <summary>How long it is along its middle between two places, mm.</summary>
    internal double Way(int from, int to)
    {
        var way = 0.0;
        for (var i = from + 1; i <= to; i++)
        {
            way += Middle(i).DistanceTo(Middle(i - 1));
        }
        return way;
    }

    /// <summary>The place nearest to a spot.</summary>
    internal int Nearest(Point spot)
    {
        var (best, nearest) = (0, double.MaxValue);
        for (var i = 0; i < Places.Length; i++)
        {
            var away = Middle(i).DistanceTo(spot);
            if (away < nearest)
            {
                (best, nearest) = (i, away);
            }
        }
        return best;
    }

    /// <summary>The place whose stroke passes nearest to a spot, and how far away, mm.</summary>
    internal (int Place, double Away) NearestStroke(Point spot)
    {
        var (best, nearest) = (0, double.MaxValue);
        for (var i = 0; i < Places.Length; i++)
        {
            var away = SegmentIndex.Foot(spot, Places[i].Outer, Places[i].Inner).DistanceTo(spot);
            if (away < nearest)
            {
                (best, nearest) = (i, away);
            }
        }
        return (best, nearest);
    }
}
