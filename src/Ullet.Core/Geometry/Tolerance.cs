namespace Ullet.Core.Geometry;

/// <summary>The lengths below which geometry does not tell two things apart, mm.</summary>
public static class Tolerance
{
    /// <summary>Largest distance between a curve and the polyline it is flattened to.</summary>
    public const double Flatten = 0.005;

    /// <summary>Largest distance between a fitted curve and the polyline it was made from.</summary>
    public const double Fit = 0.008;

    /// <summary>Values are quantised to this at the stations' borders.</summary>
    public const double Quantum = 0.001;

    /// <summary>Points nearer than this are the same point.</summary>
    public const double Same = 1e-6;

    /// <summary>A vertex that turns more than this is a corner, degrees. Flattened curves turn less at each vertex.</summary>
    public const double CornerTurn = 20;

    private static readonly double CornerSlope = Math.Tan(CornerTurn * Math.PI / 180);

    /// <summary>True when the way from one direction to another is a corner.</summary>
    public static bool IsCorner(Point into, Point onward)
    {
        var ahead = Point.Dot(into, onward);
        var aside = Math.Abs(Point.Cross(into, onward));
        return ahead <= 0 ? aside > 0 || ahead < 0 : aside > CornerSlope * ahead;
    }
}
