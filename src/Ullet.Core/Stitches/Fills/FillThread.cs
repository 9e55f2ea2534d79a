using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Lays thread along the rows of a chain.</summary>
internal static class FillThread
{
    /// <summary>A little longer than the shortest, mm.</summary>
    private const double Least = StitchDefaults.ShortestStitch + 0.01;

    /// <summary>Stitches leave a bent row by no more than this, mm.</summary>
    private const double Straying = 0.05;

    /// <summary>A row that begins farther from the end of the last does not begin beside it, mm.</summary>
    private const double Beside = 1.5;

    /// <summary>How far a row is drawn in where it would begin on the last one's end, tried in this order, mm.</summary>
    private static readonly double[] DrawnIn = [0, 0.1, 0.2, 0.3, 0.4, 0.5];

    /// <summary>The needle points of a chain on the wall, mm.</summary>
    /// <param name="graph">The area's stretches.</param>
    /// <param name="chain">Which of them, in order.</param>
    /// <param name="numbers">Stitch length and pattern.</param>
    /// <param name="frame">The rows' frame.</param>
    internal static List<Point> Of(FillGraph graph, FillChain chain, FillNumbers numbers, RowFrame frame)
    {
        var points = new List<Point>();
        var (last, needle) = (chain.Links[0].Span, 0.0);
        foreach (var (number, fromLow) in chain.Links)
        {
            Budget.Spend();
            var span = graph.Spans[number];
            var (from, to) = fromLow ? (span.Low, span.High) : (span.High, span.Low);
            if (span.Length < 2 * Least)
            {
                Add(points, frame.Out(new Point((from + to) / 2, span.Y)));
                (last, needle) = (number, (from + to) / 2);
                continue;
            }
            var start = frame.Out(new Point(from, span.Y));
            if (points.Count > 0)
            {
                Over(points, graph.Spans[last], span, needle, from, frame);
                foreach (var by in DrawnIn)
                {
                    start = frame.Out(new Point(from + (fromLow ? by : -by), span.Y));
                    if (start.DistanceTo(points[^1]) >= Least)
                    {
                        break;
                    }
                }
            }
            Add(points, start);
            var at = Holes(points, span, fromLow, numbers, frame);
            Bend(points, at, to, span.Y, frame);
            Add(points, frame.Out(new Point(to, span.Y)), isEnd: true);
            (last, needle) = (number, to);
        }
        return points;
    }

    /// <summary>Where a row does not begin beside the end of the last, the needle comes there along rows, not askew over them.</summary>
    private static void Over(
        List<Point> points,
        in RowSpan last,
        in RowSpan next,
        double needle,
        double start,
        RowFrame frame
    )
    {
        var near = Math.Clamp(needle, next.Low, next.High);
        if (Math.Abs(near - needle) > Beside)
        {
            Along(points, needle, near, last.Y, frame);
        }
        if (Math.Abs(start - near) > Beside)
        {
            Along(points, near, start, next.Y, frame);
        }
    }

    private static void Along(List<Point> points, double from, double to, double y, RowFrame frame)
    {
        // The first hole lies far enough from the last one that it is not left out: the stitch there would lie askew.
        from += Math.Sign(to - from) * Least;
        var pieces = (int)Math.Ceiling(Math.Abs(to - from) / StitchDefaults.RunLength);
        for (var i = 0; i < pieces; i++)
        {
            Add(points, frame.Out(new Point(from + ((to - from) * i / pieces), y)));
        }
    }

    /// <summary>Lays the holes of a row between its ends; where on it the last one lies.</summary>
    private static double Holes(List<Point> points, in RowSpan span, bool fromLow, FillNumbers numbers, RowFrame frame)
    {
        var at = fromLow ? span.Low : span.High;
        var length = numbers.StitchLength;
        var phase = RowHoles.Phase(numbers.Pattern, span.Row);
        var first = (int)Math.Ceiling((span.Low / length) - phase - 1);
        var last = (int)Math.Floor((span.High / length) - phase + 1);
        for (var k = 0; k <= last - first; k++)
        {
            Budget.Spend();
            var hole = fromLow ? first + k : last - k;
            var x = ((hole + phase) * length) + RowHoles.Moved(numbers.Pattern, span.Row, hole);
            if (x - span.Low >= Least && span.High - x >= Least)
            {
                Bend(points, at, x, span.Y, frame);
                Add(points, frame.Out(new Point(x, span.Y)));
                at = x;
            }
        }
        return at;
    }

    /// <summary>A stitch that would leave a bent row too far is divided.</summary>
    private static void Bend(List<Point> points, double from, double to, double y, RowFrame frame)
    {
        if (frame.IsStraight || Math.Abs(to - from) < 2 * Least)
        {
            return;
        }
        var middle = (from + to) / 2;
        var (a, b) = (frame.Out(new Point(from, y)), frame.Out(new Point(to, y)));
        var bent = frame.Out(new Point(middle, y));
        if (bent.DistanceTo(Point.Lerp(a, b, 0.5)) > Straying)
        {
            Bend(points, from, middle, y, frame);
            Add(points, bent);
            Bend(points, middle, to, y, frame);
        }
    }

    /// <summary>Adds a place; what is too near is left out, or takes the place of the last, what is too far is divided.</summary>
    private static void Add(List<Point> points, Point at, bool isEnd = false)
    {
        if (points.Count > 0)
        {
            var way = points[^1].DistanceTo(at);
            if (way < StitchDefaults.ShortestStitch)
            {
                if (isEnd && points.Count > 1 && points[^2].DistanceTo(at) >= StitchDefaults.ShortestStitch)
                {
                    points[^1] = at;
                }
                return;
            }
            var pieces = (int)Math.Ceiling(way / StitchDefaults.LongestStitch);
            var from = points[^1];
            for (var i = 1; i < pieces; i++)
            {
                points.Add(Point.Lerp(from, at, i / (double)pieces));
            }
        }
        points.Add(at);
    }
}
