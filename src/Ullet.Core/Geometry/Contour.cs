using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>A closed path of lines and cubic curves, mm; each curve begins where the one before it ends.</summary>
public sealed record Contour(ImmutableArray<Curve> Curves)
{
    public static Contour Polygon(IReadOnlyList<Point> corners)
    {
        var curves = ImmutableArray.CreateBuilder<Curve>(corners.Count);
        for (var i = 0; i < corners.Count; i++)
        {
            curves.Add(Curve.Line(corners[i], corners[(i + 1) % corners.Count]));
        }
        return new Contour(curves.MoveToImmutable());
    }

    /// <summary>The exact bounding box, mm.</summary>
    public Box Bounds() => Curves.Aggregate(Box.Empty, (box, curve) => box.Union(curve.Bounds()));

    public Contour Transform(Affine map) => new([.. Curves.Select(curve => curve.Transform(map))]);

    public Contour Reversed() => new([.. Curves.Reverse().Select(curve => curve.Reversed())]);

    /// <summary>The contour as a ring of points within the tolerance, mm, without the closing point.</summary>
    public Ring Flatten(double tolerance = Tolerance.Flatten)
    {
        var points = new List<Point>();
        foreach (var curve in Curves)
        {
            curve.Flatten(tolerance, points);
        }
        return Ring.Of(points);
    }

    /// <summary>Turned so that it runs clockwise on screen (a shell) or against it (a hole).</summary>
    public Contour Oriented(bool clockwise) => Flatten(0.05).SignedArea > 0 == clockwise ? this : Reversed();
}
