using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Quality;

/// <summary>What a cover is measured on: edges, the band along them and the needle points, nothing of how they were made.</summary>
/// <param name="Rings">Edges of the outline, mm; inside is what an odd number of them lies around.</param>
/// <param name="Outside">How far the band reaches outwards, compensation included, mm.</param>
/// <param name="Inside">The same inwards.</param>
/// <param name="Tops">The runs of top thread.</param>
/// <param name="OverlapStrokes">How many needle points at either end of a run may belong to the closing overlap.</param>
internal sealed record CoverSample(
    IReadOnlyList<IReadOnlyList<Point>> Rings,
    double Outside,
    double Inside,
    IReadOnlyList<IReadOnlyList<Point>> Tops,
    int OverlapStrokes
);

/// <summary>Measures a cover plainly, cell by cell of 0.05 mm.</summary>
internal sealed class QualityRaster
{
    internal const double Cell = 0.05;
    internal const double ThreadWidth = 0.4;

    /// <summary>Layers are counted over squares of as much area as a disc of 0.5 mm radius, cells.</summary>
    private const int Place = 18;

    private readonly int _columns;
    private readonly int _rows;
    private readonly double _x;
    private readonly double _y;
    private readonly float[] _distance;
    private readonly bool[] _inside;
    private readonly bool[] _thread;
    private readonly byte[] _layers;

    internal QualityRaster(CoverSample sample)
    {
        var reach = Math.Max(sample.Outside, sample.Inside) + 0.2;
        var box = Box.Of(sample.Rings.SelectMany(ring => ring)).Grown(reach + 0.5);
        (_x, _y) = (box.MinX, box.MinY);
        _columns = (int)(box.Width / Cell) + 1;
        _rows = (int)(box.Height / Cell) + 1;
        _distance = new float[_columns * _rows];
        _inside = new bool[_columns * _rows];
        _thread = new bool[_columns * _rows];
        _layers = new byte[_columns * _rows];
        Array.Fill(_distance, float.MaxValue);
        foreach (var ring in sample.Rings)
        {
            for (var i = 0; i < ring.Count; i++)
            {
                MeasureFrom(ring[i], ring[(i + 1) % ring.Count], reach);
            }
        }
        Fill(sample.Rings);
        foreach (var run in sample.Tops)
        {
            for (var i = 1; i < run.Count; i++)
            {
                Draw(run[i - 1], run[i]);
            }
        }
        MeasureCover(sample);
        MeasureLayers(sample);
        MostInDisc = CountDiscs(sample);
        Spill = MeasureSpill(sample);
    }

    /// <summary>Share of the band's cells that thread lies on.</summary>
    internal double Coverage { get; private set; }

    /// <summary>A bare cell in the middle of the widest bare spot.</summary>
    internal Point? BareAt { get; private set; }

    /// <summary>Diameter of the largest disc of the band without thread, mm.</summary>
    internal double WidestBare { get; private set; }

    /// <summary>Most needle points in any disc of 0.5 mm radius, the closing overlap left out.</summary>
    internal int MostInDisc { get; }

    internal Point? PiledAt { get; private set; }

    /// <summary>Most layers of thread on a place of about 0.9 mm, outside closing overlaps.</summary>
    internal double MostLayers { get; private set; }

    internal Point? ThickAt { get; private set; }

    /// <summary>The same within closing overlaps.</summary>
    internal double MostLayersInOverlap { get; private set; }

    /// <summary>How far the farthest needle point lies outside the band, mm; 0 when none does.</summary>
    internal double Spill { get; }

    private void MeasureFrom(Point a, Point b, double reach)
    {
        var (along, from, to) = (b - a, RowsOf(a.Y, b.Y, reach), ColumnsOf(a.X, b.X, reach));
        var square = Math.Max(Point.Dot(along, along), 1e-18);
        for (var j = from.First; j <= from.Last; j++)
        {
            var y = _y + (j * Cell) - a.Y;
            for (var i = to.First; i <= to.Last; i++)
            {
                var x = _x + (i * Cell) - a.X;
                var t = Math.Clamp(((x * along.X) + (y * along.Y)) / square, 0, 1);
                var (dx, dy) = (x - (t * along.X), y - (t * along.Y));
                var distance = (float)((dx * dx) + (dy * dy));
                ref var known = ref _distance[(j * _columns) + i];
                if (distance < known)
                {
                    known = distance;
                }
            }
        }
    }

    private void Fill(IReadOnlyList<IReadOnlyList<Point>> rings)
    {
        var crossings = new List<double>[_rows];
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Count; i++)
            {
                var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
                var (low, high) = a.Y < b.Y ? (a, b) : (b, a);
                var first = Math.Max(0, (int)Math.Ceiling((low.Y - _y) / Cell));
                for (var j = first; j < _rows && _y + (j * Cell) < high.Y; j++)
                {
                    var y = _y + (j * Cell);
                    (crossings[j] ??= []).Add(low.X + ((high.X - low.X) * (y - low.Y) / (high.Y - low.Y)));
                }
            }
        }
        for (var j = 0; j < _rows; j++)
        {
            var row = crossings[j];
            row?.Sort();
            for (var k = 0; row is not null && k + 1 < row.Count; k += 2)
            {
                var last = Math.Min(_columns - 1, (int)Math.Floor((row[k + 1] - _x) / Cell));
                for (var i = Math.Max(0, (int)Math.Ceiling((row[k] - _x) / Cell)); i <= last; i++)
                {
                    _inside[(j * _columns) + i] = true;
                }
            }
        }
    }

    private void Draw(Point a, Point b)
    {
        const double Half = ThreadWidth / 2;
        var (along, from, to) = (b - a, RowsOf(a.Y, b.Y, Half), ColumnsOf(a.X, b.X, Half));
        var length = Math.Max(along.Length, 1e-9);
        var unit = along * (1 / length);
        for (var j = from.First; j <= from.Last; j++)
        {
            for (var i = to.First; i <= to.Last; i++)
            {
                var away = new Point(_x + (i * Cell), _y + (j * Cell)) - a;
                var (ahead, aside) = (Point.Dot(away, unit), Math.Abs(Point.Cross(unit, away)));
                if (aside > Half)
                {
                    continue;
                }
                var at = (j * _columns) + i;
                if (ahead >= 0 && ahead <= length)
                {
                    _thread[at] = true;
                    _layers[at] += aside < Half - (Cell / 4) && _layers[at] < byte.MaxValue ? (byte)1 : (byte)0;
                }
                else if (away.Length <= Half || (away - along).Length <= Half)
                {
                    _thread[at] = true;
                }
            }
        }
    }

    private bool IsInBand(int at, CoverSample sample)
    {
        var reach = (_inside[at] ? sample.Inside : sample.Outside) - (Cell / 2);
        return reach > 0 && _distance[at] <= reach * reach;
    }

    private void MeasureCover(CoverSample sample)
    {
        var (band, covered, widest) = (0L, 0L, 0);
        for (var at = 0; at < _thread.Length; at++)
        {
            if (!IsInBand(at, sample))
            {
                continue;
            }
            band++;
            if (_thread[at])
            {
                covered++;
                continue;
            }
            var radius = BareRadius(at, widest, sample);
            if (radius > widest || BareAt is null)
            {
                (widest, BareAt) = (Math.Max(radius, widest), At(at));
            }
        }
        Coverage = band == 0 ? 1 : covered / (double)band;
        WidestBare = BareAt is null ? 0 : 2 * widest * Cell;
    }

    /// <summary>The largest radius over one already known, cells, whose disc is bare band throughout.</summary>
    private int BareRadius(int at, int known, CoverSample sample)
    {
        var radius = known;
        while (IsBareDisc(at % _columns, at / _columns, radius + 1, sample))
        {
            radius++;
        }
        return radius;
    }

    private bool IsBareDisc(int column, int row, int radius, CoverSample sample)
    {
        for (var dy = -radius; dy <= radius; dy++)
        {
            for (var dx = -radius; dx <= radius; dx++)
            {
                if ((dx * dx) + (dy * dy) > radius * radius)
                {
                    continue;
                }
                var (x, y) = (column + dx, row + dy);
                var at = (y * _columns) + x;
                if (x < 0 || y < 0 || x >= _columns || y >= _rows || _thread[at] || !IsInBand(at, sample))
                {
                    return false;
                }
            }
        }
        return true;
    }

    private void MeasureLayers(CoverSample sample)
    {
        var starts = sample.Tops.Where(run => run.Count > 1).Select(run => Point.Lerp(run[0], run[1], 0.5)).ToList();
        var overlap = sample.Inside + sample.Outside + 1.5;
        var columns = new int[_columns];
        for (var j = 0; j < _rows; j++)
        {
            for (var i = 0; i < _columns; i++)
            {
                columns[i] += _layers[(j * _columns) + i] - (j >= Place ? _layers[((j - Place) * _columns) + i] : 0);
            }
            var sum = 0;
            for (var i = 0; i < _columns; i++)
            {
                sum += columns[i] - (i >= Place ? columns[i - Place] : 0);
                var mean = sum / (double)(Place * Place);
                if (mean <= 2.5)
                {
                    continue;
                }
                var at = new Point(_x + ((i - (Place / 2)) * Cell), _y + ((j - (Place / 2)) * Cell));
                if (starts.Exists(start => start.DistanceTo(at) < overlap))
                {
                    MostLayersInOverlap = Math.Max(MostLayersInOverlap, mean);
                }
                else if (mean > MostLayers)
                {
                    (MostLayers, ThickAt) = (mean, at);
                }
            }
        }
    }

    private int CountDiscs(CoverSample sample)
    {
        const double Step = 0.1;
        const double Radius = 0.5;
        var counts = new Dictionary<(int, int), int>();
        var most = 0;
        foreach (var run in sample.Tops)
        {
            for (var k = sample.OverlapStrokes; k < run.Count - sample.OverlapStrokes; k++)
            {
                var (x, y) = (run[k].X / Step, run[k].Y / Step);
                for (var i = (int)Math.Ceiling(x - (Radius / Step)); i <= x + (Radius / Step); i++)
                {
                    for (var j = (int)Math.Ceiling(y - (Radius / Step)); j <= y + (Radius / Step); j++)
                    {
                        if (((i - x) * (i - x)) + ((j - y) * (j - y)) > Radius * Radius / (Step * Step))
                        {
                            continue;
                        }
                        var count = counts.GetValueOrDefault((i, j)) + 1;
                        counts[(i, j)] = count;
                        if (count > most)
                        {
                            (most, PiledAt) = (count, new Point(i * Step, j * Step));
                        }
                    }
                }
            }
        }
        return most;
    }

    private static double MeasureSpill(CoverSample sample)
    {
        const double Bucket = 4;
        var near = new Dictionary<(int, int), List<(Point A, Point B)>>();
        foreach (var ring in sample.Rings)
        {
            for (var i = 0; i < ring.Count; i++)
            {
                var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
                for (var x = Key(Math.Min(a.X, b.X)) - 1; x <= Key(Math.Max(a.X, b.X)) + 1; x++)
                {
                    for (var y = Key(Math.Min(a.Y, b.Y)) - 1; y <= Key(Math.Max(a.Y, b.Y)) + 1; y++)
                    {
                        if (!near.TryGetValue((x, y), out var list))
                        {
                            near[(x, y)] = list = [];
                        }
                        list.Add((a, b));
                    }
                }
            }
        }
        var worst = 0.0;
        foreach (var point in sample.Tops.SelectMany(run => run))
        {
            var distance = near.TryGetValue((Key(point.X), Key(point.Y)), out var edges)
                ? edges.Min(edge => Distance(point, edge.A, edge.B))
                : Bucket;
            var allowed = Math.Min(sample.Outside, sample.Inside);
            if (distance > allowed)
            {
                worst = Math.Max(worst, distance - (IsInside(sample.Rings, point) ? sample.Inside : sample.Outside));
            }
        }
        return Math.Max(worst, 0);

        static int Key(double value) => (int)Math.Floor(value / Bucket);
    }

    private static bool IsInside(IReadOnlyList<IReadOnlyList<Point>> rings, Point place)
    {
        var inside = false;
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Count; i++)
            {
                var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
                if ((a.Y > place.Y) != (b.Y > place.Y) && place.X < a.X + ((place.Y - a.Y) / (b.Y - a.Y) * (b.X - a.X)))
                {
                    inside = !inside;
                }
            }
        }
        return inside;
    }

    /// <summary>The distance from a place to a segment, mm.</summary>
    internal static double Distance(Point p, Point a, Point b)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var square = (dx * dx) + (dy * dy);
        var t = square < 1e-18 ? 0 : Math.Clamp((((p.X - a.X) * dx) + ((p.Y - a.Y) * dy)) / square, 0, 1);
        var (x, y) = (a.X + (t * dx) - p.X, a.Y + (t * dy) - p.Y);
        return Math.Sqrt((x * x) + (y * y));
    }

    private (int First, int Last) RowsOf(double a, double b, double reach) =>
        (
            Math.Max(0, (int)Math.Ceiling((Math.Min(a, b) - reach - _y) / Cell)),
            Math.Min(_rows - 1, (int)Math.Floor((Math.Max(a, b) + reach - _y) / Cell))
        );

    private (int First, int Last) ColumnsOf(double a, double b, double reach) =>
        (
            Math.Max(0, (int)Math.Ceiling((Math.Min(a, b) - reach - _x) / Cell)),
            Math.Min(_columns - 1, (int)Math.Floor((Math.Max(a, b) + reach - _x) / Cell))
        );

    private Point At(int at) => new(_x + (at % _columns * Cell), _y + (at / _columns * Cell));
}
