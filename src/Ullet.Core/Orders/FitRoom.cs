using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Where words of an order must lie with all their needle points.</summary>
/// <param name="Box">A box, that may be turned; mm.</param>
/// <param name="Inside">The outline that they must lie in besides; null for the box alone.</param>
public sealed record FitRoom(ElementBox Box, ImmutableArray<Region>? Inside = null)
{
    /// <summary>The outline, made ready once.</summary>
    private readonly AreaIndex? _area = Inside is { } regions ? new AreaIndex(regions) : null;

    private readonly NetTopologySuite.Geometries.Geometry? _edge = Inside is { } rings
        ? PlaneGeometry.From(rings).Boundary
        : null;

    /// <summary>How far a point lies outside, mm; 0 within.</summary>
    public double Outside(Point at)
    {
        var own = Local(at);
        var (across, down) = (Math.Abs(own.X) - (Box.Width / 2), Math.Abs(own.Y) - (Box.Height / 2));
        var beyond = Math.Max(0, Math.Max(across, down));
        return _area is { } area && !area.Holds(at) ? Math.Max(beyond, ToEdge(at)) : beyond;
    }

    /// <summary>True for a point within that keeps a distance from the outline.</summary>
    internal bool Holds(Point at, double inset) =>
        _area is not { } area || (area.Holds(at) && (inset <= 0 || ToEdge(at) >= inset));

    private double ToEdge(Point at) => _edge!.Distance(PlaneGeometry.Place(at));

    /// <summary>A point in the room's own frame: from its middle, before it is turned.</summary>
    internal Point Local(Point at)
    {
        var (sin, cos) = Math.SinCos(-Box.Rotation * Math.PI / 180);
        var (x, y) = (at.X - Box.X, at.Y - Box.Y);
        return new Point((x * cos) - (y * sin), (x * sin) + (y * cos));
    }

    /// <summary>A point of the room's own frame on the wall.</summary>
    internal Point OnWall(Point own)
    {
        var (sin, cos) = Math.SinCos(Box.Rotation * Math.PI / 180);
        return new Point(Box.X + (own.X * cos) - (own.Y * sin), Box.Y + (own.X * sin) + (own.Y * cos));
    }
}
