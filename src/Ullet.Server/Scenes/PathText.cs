using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;

namespace Ullet.Server.Scenes;

/// <summary>Geometry as SVG path data, mm, for drawing.</summary>
internal static class PathText
{
    internal static string Of(Outline outline)
    {
        var text = new StringBuilder();
        foreach (var contour in outline.Contours)
        {
            Append(text, contour.Curves);
            text.Append('Z');
        }
        foreach (var line in outline.Lines)
        {
            Append(text, line.Curves);
        }
        return text.ToString();
    }

    internal static string Of(IEnumerable<Region> regions)
    {
        var text = new StringBuilder();
        foreach (var ring in regions.SelectMany(region => region.Rings))
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                text.Append(i == 0 ? 'M' : 'L').Append(Pair(ring.Points[i]));
            }
            text.Append('Z');
        }
        return text.ToString();
    }

    /// <summary>Thread in tenths of a mm, as short as can be.</summary>
    internal static string OfThread(ImmutableArray<ImmutableArray<Point>> runs)
    {
        var text = new StringBuilder();
        foreach (var run in runs.Where(run => !run.IsEmpty))
        {
            var (x, y) = Tenths(run[0]);
            text.Append(CultureInfo.InvariantCulture, $"M{x} {y}");
            foreach (var (nextX, nextY) in run.Skip(1).Select(Tenths))
            {
                text.Append(CultureInfo.InvariantCulture, $"l{nextX - x} {nextY - y}");
                (x, y) = (nextX, nextY);
            }
        }
        return text.ToString();

        static (int X, int Y) Tenths(Point at) => ((int)Math.Round(10 * at.X), (int)Math.Round(10 * at.Y));
    }

    /// <summary>An open line of points.</summary>
    internal static string Of(ImmutableArray<Point> line)
    {
        var text = new StringBuilder();
        for (var i = 0; i < line.Length; i++)
        {
            text.Append(i == 0 ? 'M' : 'L').Append(Pair(line[i]));
        }
        return text.ToString();
    }

    private static void Append(StringBuilder text, ImmutableArray<Curve> curves)
    {
        text.Append('M').Append(Pair(curves[0].Start));
        foreach (var curve in curves)
        {
            if (curve.IsLine)
            {
                text.Append('L').Append(Pair(curve.End));
            }
            else
            {
                text.Append('C').Append(Pair(curve.Control1)).Append(' ');
                text.Append(Pair(curve.Control2)).Append(' ').Append(Pair(curve.End));
            }
        }
    }

    private static string Pair(Point point) => Number(point.X) + " " + Number(point.Y);

    private static string Number(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);
}
