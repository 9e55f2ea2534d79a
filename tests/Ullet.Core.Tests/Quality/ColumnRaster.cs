using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Quality;

/// <summary>Looks plainly at satin columns: thread drawn on cells of 0.05 mm, nothing of how they were made.</summary>
internal sealed class ColumnRaster
{
    private const double Cell = 0.05;

    /// <summary>Narrower parts are left out of the cover, mm.</summary>
    private const double Narrow = 0.9;

    private const double Thread = 0.4;
    private const double Counted = 0.36;

    /// <summary>Needle points may lie so far outside, mm, and a cell more for the raster.</summary>
    private const double Outside = 0.1;

    private readonly Box _box;
    private readonly int _columns;
    private readonly int _rows;

    /// <param name="regions">The outline that should be covered, compensation included, mm.</param>
    /// <param name="stitches">What was sewn.</param>
    internal ColumnRaster(ImmutableArray<Region> regions, StepStitches stitches)
    {
        _box = Box.Of(regions.SelectMany(region => region.Shell.Points)).Grown(1.5);
        (_columns, _rows) = ((int)(_box.Width / Cell) + 1, (int)(_box.Height / Cell) + 1);
        var inside = Filled(regions);
        var fromEdge = Distances(inside);
        var core = fromEdge.Select(distance => distance >= Narrow / 2).ToArray();
        var fromCore = Distances([.. core.Select(isCore => !isCore)]);
        var fromShape = Distances([.. inside.Select(isInside => !isInside)]);
        var wide = Enumerable.Range(0, inside.Length).Select(i => inside[i] && fromCore[i] <= Narrow / 2).ToArray();
        var (covered, layers) = (new bool[inside.Length], new int[inside.Length]);
        var (length, spilled) = (0.0, 0.0);
        ShortestStitch = double.MaxValue;
        var holes = new List<Point>();
        foreach (var points in stitches.Runs.Where(run => run.Kind == RunKind.Top).Select(run => run.Points))
        {
            holes.AddRange(points);
            for (var k = 1; k < points.Length; k++)
            {
                var (from, to) = (points[k - 1], points[k]);
                var stitch = from.DistanceTo(to);
                length += stitch;
                spilled += stitch * SpilledShare(from, to, fromShape);
                (LongestStitch, ShortestStitch) = (Math.Max(LongestStitch, stitch), Math.Min(ShortestStitch, stitch));
                Draw(from, to, Thread / 2, isRound: true, cell => covered[cell] = true);
                Draw(from, to, Counted / 2, isRound: false, cell => layers[cell]++);
            }
        }
        TopLength = length;
        FarthestOut = holes.Select(hole => At(hole) is { } cell ? fromShape[cell] : 9).DefaultIfEmpty(0).Max();
        Spilled = length > 0 ? spilled / length : 0;
        var (all, counted) = (inside.Count(isInside => isInside), wide.Count(isWide => isWide));
        NarrowShare = 1 - (counted / (double)Math.Max(1, all));
        Coverage =
            counted == 0 ? 1 : Enumerable.Range(0, wide.Length).Count(i => wide[i] && covered[i]) / (double)counted;
        OverThree =
            Enumerable.Range(0, inside.Length).Count(i => inside[i] && layers[i] > 3) / (double)Math.Max(1, all);
        OverFour = Enumerable.Range(0, inside.Length).Count(i => inside[i] && layers[i] > 4) / (double)Math.Max(1, all);
        MostInDisc = Crowd(holes);
    }

    /// <summary>Share of what is at least 0.9 mm wide that lies under thread 0.4 mm wide.</summary>
    internal double Coverage { get; }

    /// <summary>Share of the outline that is narrower.</summary>
    internal double NarrowShare { get; }

    /// <summary>How far the farthest needle point lies outside, mm.</summary>
    internal double FarthestOut { get; }

    /// <summary>Share of the strokes' length that lies outside.</summary>
    internal double Spilled { get; }

    internal double OverThree { get; }

    internal double OverFour { get; }

    /// <summary>Most needle points in a disc of 0.5 mm radius.</summary>
    internal int MostInDisc { get; }

    internal double LongestStitch { get; }

    internal double ShortestStitch { get; }

    /// <summary>Length of all strokes, mm.</summary>
    internal double TopLength { get; }

    /// <summary>What is not as good satin is, in words.</summary>
    /// <param name="least">Least share that must be covered.</param>
    internal IEnumerable<string> Breaches(double least)
    {
        if (Coverage < least)
        {
            yield return $"covered {Coverage:P2}";
        }
        if (FarthestOut > Outside + Cell + 1e-9)
        {
            yield return $"a needle point {FarthestOut:0.00} mm outside";
        }
        if (Spilled > 0.01)
        {
            yield return $"{Spilled:P2} of the strokes outside";
        }
        if (OverThree > 0.01)
        {
            yield return $"over three layers on {OverThree:P2}";
        }
        if (OverFour > 0.001)
        {
            yield return $"over four layers on {OverFour:P3}";
        }
        if (MostInDisc > StitchDefaults.NeedleLimit)
        {
            yield return $"{MostInDisc} needle points in a disc";
        }
        if (LongestStitch > StitchDefaults.LongestStitch + 1e-6)
        {
            yield return $"a stitch of {LongestStitch:0.00} mm";
        }
        if (TopLength > 0 && ShortestStitch < StitchDefaults.ShortestStitch - 1e-6)
        {
            yield return $"a stitch of {ShortestStitch:0.00} mm";
        }
    }

    private int? At(Point place)
    {
        var (x, y) = ((int)((place.X - _box.MinX) / Cell), (int)((place.Y - _box.MinY) / Cell));
        return x < 0 || y < 0 || x >= _columns || y >= _rows ? null : (y * _columns) + x;
    }

    private bool[] Filled(ImmutableArray<Region> regions)
    {
        var cells = new bool[_columns * _rows];
        for (var y = 0; y < _rows; y++)
        {
            var height = _box.MinY + ((y + 0.5) * Cell);
            var crossings = regions
                .SelectMany(region => region.Rings)
                .SelectMany(ring => Crossings(ring.Points, height))
                .Order()
                .ToList();
            for (var k = 0; k + 1 < crossings.Count; k += 2)
            {
                var from = Math.Max(0, (int)Math.Ceiling(((crossings[k] - _box.MinX) / Cell) - 0.5));
                var to = Math.Min(_columns - 1, (int)Math.Floor(((crossings[k + 1] - _box.MinX) / Cell) - 0.5));
                for (var x = from; x <= to; x++)
                {
                    cells[(y * _columns) + x] = true;
                }
            }
        }
        return cells;
    }

    private static IEnumerable<double> Crossings(ImmutableArray<Point> ring, double height)
    {
        for (var i = 0; i < ring.Length; i++)
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Length]);
            if (a.Y > height != b.Y > height)
            {
                yield return a.X + ((height - a.Y) / (b.Y - a.Y) * (b.X - a.X));
            }
        }
    }

    /// <summary>How far every cell lies from the nearest that is false, mm.</summary>
    /// <remarks>P. Felzenszwalb and D. Huttenlocher, "Distance transforms of sampled functions", 2012.</remarks>
    private double[] Distances(bool[] cells)
    {
        var squares = cells.Select(isIn => isIn ? 1e12 : 0).ToArray();
        for (var x = 0; x < _columns; x++)
        {
            Lower(squares, x, _columns, _rows);
        }
        for (var y = 0; y < _rows; y++)
        {
            Lower(squares, y * _columns, 1, _columns);
        }
        return [.. squares.Select(square => Math.Sqrt(square) * Cell)];
    }

    private static void Lower(double[] squares, int start, int step, int count)
    {
        var (given, at, from) = (new double[count], new int[count], new double[count + 1]);
        for (var i = 0; i < count; i++)
        {
            given[i] = squares[start + (i * step)];
        }
        var last = 0;
        (from[0], from[1]) = (double.NegativeInfinity, double.PositiveInfinity);
        for (var q = 1; q < count; q++)
        {
            double meet;
            while (true)
            {
                var p = at[last];
                meet = (given[q] + ((double)q * q) - given[p] - ((double)p * p)) / (2.0 * (q - p));
                if (meet > from[last] || last == 0)
                {
                    break;
                }
                last--;
            }
            last = meet > from[last] ? last + 1 : last;
            at[last] = q;
            from[last] = last == 0 ? double.NegativeInfinity : meet;
            from[last + 1] = double.PositiveInfinity;
        }
        for (var (q, k) = (0, 0); q < count; q++)
        {
            while (from[k + 1] < q)
            {
                k++;
            }
            squares[start + (q * step)] = ((double)(q - at[k]) * (q - at[k])) + given[at[k]];
        }
    }

    private double SpilledShare(Point from, Point to, double[] fromShape)
    {
        var looks = Math.Max(2, (int)(from.DistanceTo(to) / 0.1));
        return Enumerable
                .Range(0, looks)
                .Select(i => At(Point.Lerp(from, to, (i + 0.5) / looks)))
                .Count(cell => cell is null || fromShape[cell.Value] > Outside + Cell) / (double)looks;
    }

    private void Draw(Point from, Point to, double half, bool isRound, Action<int> mark)
    {
        var along = to - from;
        var square = Point.Dot(along, along);
        if (square < 1e-12)
        {
            return;
        }
        var box = Box.Of([from, to]).Grown(half);
        for (
            var y = Math.Max(0, (int)((box.MinY - _box.MinY) / Cell));
            y < Math.Min(_rows, (int)((box.MaxY - _box.MinY) / Cell) + 1);
            y++
        )
        {
            for (
                var x = Math.Max(0, (int)((box.MinX - _box.MinX) / Cell));
                x < Math.Min(_columns, (int)((box.MaxX - _box.MinX) / Cell) + 1);
                x++
            )
            {
                var place = new Point(_box.MinX + ((x + 0.5) * Cell), _box.MinY + ((y + 0.5) * Cell));
                var share = Point.Dot(place - from, along) / square;
                if (!isRound && share is < 0 or > 1)
                {
                    continue;
                }
                var foot = from + (along * Math.Clamp(share, 0, 1));
                if (foot.DistanceTo(place) <= half)
                {
                    mark((y * _columns) + x);
                }
            }
        }
    }

    private static int Crowd(List<Point> holes)
    {
        var most = 0;
        var sorted = holes.OrderBy(hole => hole.X).ToList();
        for (var (i, first) = (0, 0); i < sorted.Count; i++)
        {
            while (sorted[first].X < sorted[i].X - 0.5)
            {
                first++;
            }
            var count = 0;
            for (var k = first; k < sorted.Count && sorted[k].X <= sorted[i].X + 0.5; k++)
            {
                count += sorted[k].DistanceTo(sorted[i]) < 0.5 ? 1 : 0;
            }
            most = Math.Max(most, count);
        }
        return most;
    }
}
