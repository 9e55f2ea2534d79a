namespace Ullet.Core.Geometry;

/// <summary>A point or a vector in the plane, mm; x to the right, y down.</summary>
public readonly record struct Point(double X, double Y)
{
    public static readonly Point Zero = new(0, 0);

    /// <summary>Length of the vector, mm.</summary>
    public double Length => Math.Sqrt((X * X) + (Y * Y));

    /// <summary>The vector turned a quarter anticlockwise on screen: out of a shell that runs clockwise on screen.</summary>
    public Point Outward() => new(Y, -X);

    public static Point operator +(Point a, Point b) => new(a.X + b.X, a.Y + b.Y);

    public static Point operator -(Point a, Point b) => new(a.X - b.X, a.Y - b.Y);

    public static Point operator *(Point a, double factor) => new(a.X * factor, a.Y * factor);

    public static double Dot(Point a, Point b) => (a.X * b.X) + (a.Y * b.Y);

    /// <summary>The z part of the cross product; positive when b lies clockwise of a on screen.</summary>
    public static double Cross(Point a, Point b) => (a.X * b.Y) - (a.Y * b.X);

    /// <summary>The turn from one direction to another, degrees, -180 to 180; positive is clockwise on screen.</summary>
    public static double Turn(Point into, Point onward) =>
        Math.Atan2(Cross(into, onward), Dot(into, onward)) * 180 / Math.PI;

    public static Point Lerp(Point a, Point b, double t) => new(a.X + ((b.X - a.X) * t), a.Y + ((b.Y - a.Y) * t));

    public double DistanceTo(Point other) => (this - other).Length;

    /// <summary>The vector at length 1; the zero vector stays zero.</summary>
    public Point Unit()
    {
        var length = Length;
        return length < 1e-12 ? Zero : new Point(X / length, Y / length);
    }

    /// <summary>Both numbers rounded to a step, mm.</summary>
    public Point Rounded(double step) => new(Math.Round(X / step) * step, Math.Round(Y / step) * step);
}
