namespace Ullet.Core.Geometry;

/// <summary>A plane affine map: x' = A·x + C·y + E, y' = B·x + D·y + F (the order of SVG's matrix).</summary>
public readonly record struct Affine(double A, double B, double C, double D, double E, double F)
{
    public static readonly Affine Identity = new(1, 0, 0, 1, 0, 0);

    public static Affine Translate(double x, double y) => new(1, 0, 0, 1, x, y);

    public static Affine Scale(double x, double y) => new(x, 0, 0, y, 0, 0);

    /// <summary>Turns clockwise on screen about the origin, degrees.</summary>
    public static Affine Rotate(double degrees)
    {
        var (sin, cos) = Math.SinCos(degrees * Math.PI / 180);
        return new Affine(cos, sin, -sin, cos, 0, 0);
    }

    /// <summary>This map first, then the other.</summary>
    public Affine Then(Affine next) =>
        new(
            (next.A * A) + (next.C * B),
            (next.B * A) + (next.D * B),
            (next.A * C) + (next.C * D),
            (next.B * C) + (next.D * D),
            (next.A * E) + (next.C * F) + next.E,
            (next.B * E) + (next.D * F) + next.F
        );

    /// <summary>The map back. Not finite for a map that flattens the plane.</summary>
    public Affine Inverse()
    {
        var by = 1 / ((A * D) - (B * C));
        return new Affine(D * by, -B * by, -C * by, A * by, ((C * F) - (D * E)) * by, ((B * E) - (A * F)) * by);
    }

    public Point Apply(Point point) => new((A * point.X) + (C * point.Y) + E, (B * point.X) + (D * point.Y) + F);
}
