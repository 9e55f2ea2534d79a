using System.Collections.Immutable;
using NetTopologySuite.Geometries.Prepared;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>An outline's area that is asked many times what lies in it.</summary>
internal sealed class AreaIndex(ImmutableArray<Region> regions)
{
    private readonly IPreparedGeometry _area = PreparedGeometryFactory.Prepare(PlaneGeometry.From(regions));

    internal AreaIndex(Outline outline)
        : this(outline.Flatten()) { }

    internal bool IsEmpty => _area.Geometry.IsEmpty;

    internal bool Holds(Point place)
    {
        Budget.Spend(20);
        return _area.Intersects(PlaneGeometry.Place(place));
    }

    /// <summary>True when a whole box lies in the area.</summary>
    internal bool Covers(Box box) => _area.Covers(PlaneGeometry.From(box.Area()));

    internal bool Meets(Outline other) => Meets(other.Flatten());

    internal bool Meets(ImmutableArray<Region> other) => _area.Intersects(PlaneGeometry.From(other));

    /// <summary>Where a polyline passes in or out of the area, as distances along it, mm.</summary>
    internal IEnumerable<double> Crossings(ImmutableArray<Point> points, ArcLength along)
    {
        var line = PlaneGeometry.Line(points);
        if (!_area.Intersects(line))
        {
            yield break;
        }
        LibraryWork.Overlay(line, _area.Geometry);
        var within = line.Intersection(_area.Geometry);
        for (var i = 0; i < within.NumGeometries; i++)
        {
            if (within.GetGeometryN(i) is NetTopologySuite.Geometries.LineString { IsEmpty: false } piece)
            {
                yield return along.Of(new Point(piece[0].X, piece[0].Y));
                yield return along.Of(new Point(piece[^1].X, piece[^1].Y));
            }
        }
    }
}
