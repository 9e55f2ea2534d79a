using System.Collections.Immutable;
using SkiaSharp;
using Ullet.Core.Geometry;

namespace Ullet.Files.CutFiles;

/// <summary>SVG path data to contours, through SkiaSharp's parser.</summary>
internal static class SvgPathData
{
    /// <summary>Conic arcs become this many (as a power of two) quadratic curves.</summary>
    private const int ConicPower = 3;

    /// <returns>False when the data can't be parsed. Contours of no length are left out.</returns>
    internal static bool TryParse(string data, out List<(Contour Contour, bool IsClosed)> contours)
    {
        contours = [];
        using var path = SKPath.ParseSvgPathData(data);
        if (path is null)
        {
            return false;
        }
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
        return contours.All(pair => pair.Contour.Curves.All(c => double.IsFinite(c.End.X) && double.IsFinite(c.End.Y)));
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
