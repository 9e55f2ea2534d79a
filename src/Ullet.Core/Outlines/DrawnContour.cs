using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>A drawn line as its curves; one whose controls lie at its ends is straight.</summary>
internal static class DrawnContour
{
    internal static Contour Make(DrawnLine drawn)
    {
        var curves = Curves(drawn);
        var (first, last) = (curves[0].Start, curves[^1].End);
        return new Contour(last.DistanceTo(first) > Tolerance.Same ? curves.Add(Curve.Line(last, first)) : curves);
    }

    /// <summary>The line as it is drawn, closed or not.</summary>
    internal static ImmutableArray<Curve> Curves(DrawnLine drawn)
    {
        var at = new Point(drawn.StartX, drawn.StartY);
        var curves = ImmutableArray.CreateBuilder<Curve>(drawn.Curves.Length);
        foreach (var next in drawn.Curves)
        {
            var (c1, c2, end) = (new Point(next.X1, next.Y1), new Point(next.X2, next.Y2), new Point(next.X, next.Y));
            curves.Add(c1 == at && c2 == end ? Curve.Line(at, end) : Curve.Cubic(at, c1, c2, end));
            at = end;
        }
        return curves.ToImmutable();
    }
}
