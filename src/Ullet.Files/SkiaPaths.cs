using System.Collections.Immutable;
using SkiaSharp;
using Ullet.Core.Geometry;

namespace Ullet.Files;

/// <summary>SkiaSharp's paths as contours.</summary>
internal static class SkiaPaths
{
    /// <summary>Conic arcs become this many (as a power of two) quadratic curves.</summary>
    private const int ConicPower = 3;

    /// <summary>The lines of a path, each with whether it closes. Lines of no length are left out.</summary>
    internal static List<(Contour Contour, bool IsClosed)> Contours(SKPath path)
    {
        var contours = new List<(Contour Contour, bool IsClosed)>();
        var curves = ImmutableArray.CreateBuilder<Curve>();
        var points = new SKPoint[4];
        using var walk = path.CreateRawIterator();
        for (var verb = walk.Next(points); verb != SKPathVerb.Done; verb = walk.Next(points))
        {
            switch (verb)
            {
                case SKPathVerb.Move:
                    Finish(curves, closed: false, contours);
                    break;
                case SKPathVerb.Line:
                    AddLine(curves, Of(points[0]), Of(points[1]));
                    break;
                case SKPathVerb.Quad:
                    curves.Add(Quad(points[0], points[1], points[2]));
                    break;
                case SKPathVerb.Conic:
                    var parts = SKPath.ConvertConicToQuads(
                        points[0],
                        points[1],
                        points[2],
                        walk.ConicWeight(),
                        ConicPower
                    );
                    for (var i = 0; i + 2 < parts.Length; i += 2)
                    {
                        curves.Add(Quad(parts[i], parts[i + 1], parts[i + 2]));
                    }
                    break;
                case SKPathVerb.Cubic:
                    curves.Add(Curve.Cubic(Of(points[0]), Of(points[1]), Of(points[2]), Of(points[3])));
                    break;
                case SKPathVerb.Close:
                    if (curves.Count > 0)
                    {
                        AddLine(curves, curves[^1].End, curves[0].Start);
                    }
                    Finish(curves, closed: true, contours);
                    break;
            }
        }
        Finish(curves, closed: false, contours);
        return contours;
    }

    private static void AddLine(ImmutableArray<Curve>.Builder curves, Point start, Point end)
    {
        if (start.DistanceTo(end) > Tolerance.Same)
        {
            curves.Add(Curve.Line(start, end));
        }
    }

    private static Curve Quad(SKPoint start, SKPoint control, SKPoint end)
    {
        var (a, b, c) = (Of(start), Of(control), Of(end));
        return Curve.Cubic(a, Point.Lerp(a, b, 2.0 / 3), Point.Lerp(c, b, 2.0 / 3), c);
    }

    private static void Finish(
        ImmutableArray<Curve>.Builder curves,
        bool closed,
        List<(Contour Contour, bool IsClosed)> contours
    )
    {
        if (curves.Count > 0)
        {
            contours.Add(
                (new Contour(curves.ToImmutable()), closed || curves[0].Start.DistanceTo(curves[^1].End) < 1e-4)
            );
            curves.Clear();
        }
    }

    private static Point Of(SKPoint point) => new(point.X, point.Y);
}
