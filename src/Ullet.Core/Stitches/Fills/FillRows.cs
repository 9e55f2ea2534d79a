using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Cuts a region into the stretches of its rows.</summary>
internal static class FillRows
{
    /// <summary>A row reaches as far as the region does within this to either side, mm: thread is not a line.</summary>
    private const double Reach = 0.08;

    /// <summary>Rows that thin out end where they would lie farther apart than this, mm.</summary>
    private const double Widest = 5;

    /// <summary>Shorter stretches are left out, mm.</summary>
    private const double Least = 0.25;

    /// <summary>Where rows are curves, edges are cut into pieces of this length, mm.</summary>
    private const double Piece = 0.5;

    /// <summary>The stretches of all rows, row by row, from left to right.</summary>
    /// <param name="regions">An area, mm.</param>
    /// <param name="frame">The rows' frame.</param>
    /// <param name="places">Where rows lie in the frame, rising, mm.</param>
    /// <param name="longer">Added at each end, mm; less than 0 to draw them back.</param>
    internal static List<RowSpan> Of(IEnumerable<Region> regions, RowFrame frame, double[] places, double longer)
    {
        var crossings = new List<(double Low, double X, double High)>[places.Length];
        foreach (var ring in regions.SelectMany(region => region.Rings))
        {
            var points = Framed(ring, frame);
            for (var i = 0; i < points.Count; i++)
            {
                Cross(points[i], points[i + 1 < points.Count ? i + 1 : 0], places, crossings);
            }
        }
        var spans = new List<RowSpan>(places.Length);
        for (var row = 0; row < places.Length; row++)
        {
            if (crossings[row] is not { } met)
            {
                continue;
            }
            Budget.Spend(met.Count);
            met.Sort((one, two) => one.X.CompareTo(two.X));
            for (var i = 0; i + 1 < met.Count; i += 2)
            {
                var span = new RowSpan(row, places[row], met[i].Low - longer, met[i + 1].High + longer);
                if (spans.Count > 0 && spans[^1].Row == row && spans[^1].High >= span.Low)
                {
                    spans[^1] = spans[^1] with { High = Math.Max(spans[^1].High, span.High) };
                }
                else if (span.Length >= Least)
                {
                    spans.Add(span);
                }
            }
        }
        return spans;
    }

    /// <summary>Rows at an even distance over all of an area, mm in the frame: a whole number of them fills it.</summary>
    internal static double[] Even(IReadOnlyList<Region> regions, RowFrame frame, double spacing)
    {
        var (low, high) = Extent(regions, frame);
        var count = Math.Max(1, (int)Math.Round((high - low) / spacing));
        var rows = new double[count];
        for (var i = 0; i < count; i++)
        {
            rows[i] = low + ((i + 0.5) * (high - low) / count);
        }
        return rows;
    }

    /// <summary>Rows over all of an area, or those of them that one of two threads sews: it has fewer and fewer of them, and the other the
    /// rest, so that together they lie as close as asked everywhere.</summary>
    internal static double[] Of(IReadOnlyList<Region> regions, RowFrame frame, FillNumbers numbers)
    {
        var rows = Even(regions, frame, numbers.Spacing);
        if (numbers.Fade == RowFade.Even)
        {
            return rows;
        }
        var own = new List<double>();
        var owed = 0.5;
        for (var i = 0; i < rows.Length; i++)
        {
            // The share of the thread that comes in; where either would lie too far apart the other has all.
            var share = (i + 0.5) / rows.Length;
            var least = numbers.Spacing / Widest;
            owed +=
                share < least ? 0
                : share > 1 - least ? 1
                : share;
            var comesIn = owed >= 1;
            owed -= comesIn ? 1 : 0;
            if (comesIn == (numbers.Fade == RowFade.In))
            {
                own.Add(rows[i]);
            }
        }
        return [.. own];
    }

    /// <summary>From where to where an area reaches across its rows, mm in the frame.</summary>
    internal static (double Low, double High) Extent(IReadOnlyList<Region> regions, RowFrame frame)
    {
        var (low, high) = (double.MaxValue, double.MinValue);
        foreach (var place in regions.SelectMany(region => Framed(region.Shell, frame)))
        {
            (low, high) = (Math.Min(low, place.Y), Math.Max(high, place.Y));
        }
        return (low, high);
    }

    private static List<Point> Framed(Ring ring, RowFrame frame)
    {
        var points = new List<Point>(ring.Points.Length);
        for (var i = 0; i < ring.Points.Length; i++)
        {
            Budget.Spend();
            points.Add(frame.In(ring.Points[i]));
            var next = ring.Points[i + 1 < ring.Points.Length ? i + 1 : 0];
            var pieces = frame.IsStraight ? 1 : (int)Math.Ceiling(ring.Points[i].DistanceTo(next) / Piece);
            for (var k = 1; k < pieces; k++)
            {
                points.Add(frame.In(Point.Lerp(ring.Points[i], next, k / (double)pieces)));
            }
        }
        return points;
    }

    private static void Cross(Point a, Point b, double[] rows, List<(double, double, double)>[] crossings)
    {
        var (low, high) = a.Y < b.Y ? (a, b) : (b, a);
        if (low.Y >= high.Y)
        {
            return;
        }
        var at = Array.BinarySearch(rows, low.Y);
        for (at = at < 0 ? ~at : at; at < rows.Length && rows[at] < high.Y; at++)
        {
            Budget.Spend();
            var slope = (high.X - low.X) / (high.Y - low.Y);
            var x = low.X + (slope * (rows[at] - low.Y));
            var above = low.X + (slope * (Math.Max(low.Y, rows[at] - Reach) - low.Y));
            var below = low.X + (slope * (Math.Min(high.Y, rows[at] + Reach) - low.Y));
            (crossings[at] ??= []).Add((Math.Min(above, below), x, Math.Max(above, below)));
        }
    }
}
