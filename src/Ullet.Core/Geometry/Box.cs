using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>An upright rectangle, mm. Empty when its minimum lies beyond its maximum.</summary>
public readonly record struct Box(double MinX, double MinY, double MaxX, double MaxY)
{
    public static readonly Box Empty = new(
        double.PositiveInfinity,
        double.PositiveInfinity,
        double.NegativeInfinity,
        double.NegativeInfinity
    );

    public bool IsEmpty => MinX > MaxX || MinY > MaxY;

    public double Width => IsEmpty ? 0 : MaxX - MinX;

    public double Height => IsEmpty ? 0 : MaxY - MinY;

    public Point Centre => IsEmpty ? Point.Zero : new Point((MinX + MaxX) / 2, (MinY + MaxY) / 2);

    public static Box Centred(double width, double height) => new(-width / 2, -height / 2, width / 2, height / 2);

    public static Box Of(IEnumerable<Point> points)
    {
        var box = Empty;
        foreach (var point in points)
        {
            box = box.Including(point);
        }
        return box;
    }

    public Box Including(Point point) =>
        new(Math.Min(MinX, point.X), Math.Min(MinY, point.Y), Math.Max(MaxX, point.X), Math.Max(MaxY, point.Y));

    /// <summary>The box of areas, mm.</summary>
    public static Box Of(IEnumerable<Region> regions) => Of(regions.SelectMany(region => region.Shell.Points));

    /// <summary>What lies in both; empty where they do not meet.</summary>
    public Box Overlap(Box other) =>
        new(
            Math.Max(MinX, other.MinX),
            Math.Max(MinY, other.MinY),
            Math.Min(MaxX, other.MaxX),
            Math.Min(MaxY, other.MaxY)
        );

    public Box Union(Box other) =>
        new(
            Math.Min(MinX, other.MinX),
            Math.Min(MinY, other.MinY),
            Math.Max(MaxX, other.MaxX),
            Math.Max(MaxY, other.MaxY)
        );

    /// <summary>It as an area.</summary>
    public ImmutableArray<Region> Area() => [new Region(Ring.Of(Corners()), [])];

    /// <summary>Its corners, clockwise on screen from the top left.</summary>
    public Point[] Corners() => [new(MinX, MinY), new(MaxX, MinY), new(MaxX, MaxY), new(MinX, MaxY)];

    public Box Moved(double x, double y) => IsEmpty ? this : new Box(MinX + x, MinY + y, MaxX + x, MaxY + y);

    /// <summary>Grown by a distance on all sides, mm; shrunk when negative.</summary>
    public Box Grown(double by) => IsEmpty ? this : new Box(MinX - by, MinY - by, MaxX + by, MaxY + by);

    public bool Contains(Box other, double slack = 0) =>
        other.IsEmpty
        || (
            other.MinX >= MinX - slack
            && other.MinY >= MinY - slack
            && other.MaxX <= MaxX + slack
            && other.MaxY <= MaxY + slack
        );

    public bool Contains(Point place) => place.X >= MinX && place.X <= MaxX && place.Y >= MinY && place.Y <= MaxY;

    public bool Overlaps(Box other) =>
        MinX <= other.MaxX && other.MinX <= MaxX && MinY <= other.MaxY && other.MinY <= MaxY;
}
