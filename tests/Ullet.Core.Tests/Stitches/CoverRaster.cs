using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

/// <summary>Measures a cover plainly on a raster of 0.05 mm: no code of the product's own but points and runs.</summary>
internal sealed class CoverRaster
{
    private const double Cell = 0.05;
    private const double Reach = 2.6;
    private const double ThreadWidth = 0.4;

    private readonly bool[,] _thread;
    private readonly double _x;
    private readonly double _y;

    internal CoverRaster(Region region, SatinNumbers numbers, StepStitches stitches)
    {
        var box = region.Bounds().Grown(numbers.Width + 1);
        (_x, _y) = (box.MinX, box.MinY);
        _thread = new bool[(int)(box.Width / Cell) + 1, (int)(box.Height / Cell) + 1];
        var tops = stitches.Runs.Where(run => run.Kind == RunKind.Top).ToList();
        foreach (var run in tops)
        {
            for (var i = 1; i < run.Points.Length; i++)
            {
                Draw(run.Points[i - 1], run.Points[i]);
            }
        }
        Measure(region, numbers);
        MostInDisc = tops.Count == 0 ? 0 : tops.Max(run => CountDiscs(run.Points, numbers));
    }

    /// <summary>Share of the band's cells that thread lies on.</summary>
    internal double Coverage { get; private set; }

    /// <summary>Where the first bare cell of the widest bare spot lies, for messages.</summary>
    internal Point? BareAt { get; private set; }

    /// <summary>Most top needle points in a disc of 0.5 mm radius round one of them, the closing overlap left out.</summary>
    internal int MostInDisc { get; }

    private void Draw(Point a, Point b)
    {
        var reach = ThreadWidth / 2;
        for (var i = Index(Math.Min(a.X, b.X) - reach, _x); i <= Index(Math.Max(a.X, b.X) + reach, _x); i++)
        {
            for (var j = Index(Math.Min(a.Y, b.Y) - reach, _y); j <= Index(Math.Max(a.Y, b.Y) + reach, _y); j++)
            {
                if (i >= 0 && j >= 0 && i < _thread.GetLength(0) && j < _thread.GetLength(1) && !_thread[i, j])
                {
                    _thread[i, j] = Distance(Place(i, j), a, b) <= reach;
                }
            }
        }
    }

    private void Measure(Region region, SatinNumbers numbers)
    {
        var (outside, inside) = (
            (numbers.Width * (1 - numbers.InsideShare)) + numbers.Compensation,
            (numbers.Width * numbers.InsideShare) + numbers.Compensation
        );
        var edges = region
            .Rings.SelectMany(ring =>
                ring.Points.Select((p, i) => (A: p, B: ring.Points[(i + 1) % ring.Points.Length]))
            )
            .ToList();
        var (band, covered) = (0, 0);
        for (var i = 0; i < _thread.GetLength(0); i++)
        {
            // Even-odd along the column, and only edges near it, keep the plain search bearable.
            var x = Place(i, 0).X;
            var near = edges
                .Where(e => Math.Min(e.A.X, e.B.X) - Reach <= x && Math.Max(e.A.X, e.B.X) + Reach >= x)
                .ToList();
            var crossings = near.Where(e => (e.A.X > x) != (e.B.X > x))
                .Select(e => e.A.Y + ((x - e.A.X) / (e.B.X - e.A.X) * (e.B.Y - e.A.Y)))
                .Order()
                .ToList();
            foreach (var (j, distance) in Distances(near, i))
            {
                var isInside = crossings.Count(y => y < Place(i, j).Y) % 2 == 1;
                if (distance > (isInside ? inside : outside) - 0.05)
                {
                    continue;
                }
                band++;
                if (_thread[i, j])
                {
                    covered++;
                }
                else
                {
                    BareAt ??= Place(i, j);
                }
            }
        }
        Coverage = covered / (double)band;
    }

    private static int CountDiscs(ImmutableArray<Point> points, SatinNumbers numbers)
    {
        var overlap = (int)Math.Ceiling(2.2 * StitchDefaults.ClosingOverlap / (numbers.Spacing / 2));
        var open = points.Skip(overlap).SkipLast(overlap).ToList();
        var ordered = open.OrderBy(p => p.X).ToList();
        var most = 0;
        for (var i = 0; i < ordered.Count; i++)
        {
            var count = 1;
            for (var j = i - 1; j >= 0 && ordered[i].X - ordered[j].X <= 0.5; j--)
            {
                count += ordered[i].DistanceTo(ordered[j]) <= 0.5 ? 1 : 0;
            }
            for (var j = i + 1; j < ordered.Count && ordered[j].X - ordered[i].X <= 0.5; j++)
            {
                count += ordered[i].DistanceTo(ordered[j]) <= 0.5 ? 1 : 0;
            }
            most = Math.Max(most, count);
        }
        return most;
    }

    /// <summary>Distance to the nearest edge for every cell of a column that lies within <see cref="Reach"/> of one.</summary>
    private Dictionary<int, double> Distances(List<(Point A, Point B)> near, int i)
    {
        var distances = new Dictionary<int, double>();
        foreach (var (a, b) in near)
        {
            var last = Index(Math.Max(a.Y, b.Y) + Reach, _y);
            for (var j = Math.Max(0, Index(Math.Min(a.Y, b.Y) - Reach, _y)); j <= last && j < _thread.GetLength(1); j++)
            {
                var distance = Distance(Place(i, j), a, b);
                if (!distances.TryGetValue(j, out var known) || distance < known)
                {
                    distances[j] = distance;
                }
            }
        }
        return distances;
    }

    internal static double Distance(Point p, Point a, Point b)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var square = (dx * dx) + (dy * dy);
        var t = square < 1e-18 ? 0 : Math.Clamp((((p.X - a.X) * dx) + ((p.Y - a.Y) * dy)) / square, 0, 1);
        var (x, y) = (a.X + (t * dx) - p.X, a.Y + (t * dy) - p.Y);
        return Math.Sqrt((x * x) + (y * y));
    }

    private static int Index(double value, double origin) => (int)Math.Round((value - origin) / Cell);

    private Point Place(int i, int j) => new(_x + (i * Cell), _y + (j * Cell));
}
