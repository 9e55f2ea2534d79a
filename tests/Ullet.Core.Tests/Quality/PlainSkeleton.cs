using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Quality;

/// <summary>The middle line of a shape on plain cells, with its width and direction where both are clear.</summary>
/// <remarks>T. Y. Zhang and C. Y. Suen, "A fast parallel algorithm for thinning digital patterns", 1984.</remarks>
internal sealed class PlainSkeleton
{
    /// <summary>Columns between these widths are looked at, mm.</summary>
    private const double Narrowest = 1.2;

    private const double Widest = 7;

    private readonly PlainGrid _grid;
    private readonly double[] _half;
    private readonly bool[] _line;
    private readonly Dictionary<int, Spot?> _spots = [];
    private readonly List<Point> _places;
    private readonly List<Point> _ends;

    internal PlainSkeleton(PlainGrid grid, ImmutableArray<Region> regions)
    {
        _grid = grid;
        var inside = grid.Filled(regions);
        _half = grid.Distances(inside);
        _line = Thinned(inside);
        var cells = Enumerable.Range(0, _line.Length).Where(cell => _line[cell]).ToList();
        _places = cells.ConvertAll(grid.Middle);
        _ends = [.. cells.Where(cell => IsEnd(cell) || IsFork(cell)).Select(grid.Middle)];
    }

    /// <summary>A place of the middle line farther than a width from its ends and junctions.</summary>
    /// <param name="Along">Its direction, length 1.</param>
    /// <param name="Width">The shape's width there, mm.</param>
    /// <param name="OuterRadius">The radius of the outer edge, mm; very large where it is straight.</param>
    internal sealed record Spot(Point Along, double Width, double OuterRadius);

    /// <summary>The clear place that a line crosses first; null where it crosses none.</summary>
    internal Spot? Crossed(Point from, Point to)
    {
        var looks = Math.Max(2, (int)(from.DistanceTo(to) / 0.03));
        for (var i = 0; i <= looks; i++)
        {
            if (_grid.At(Point.Lerp(from, to, i / (double)looks)) is { } cell && _line[cell])
            {
                return At(cell);
            }
        }
        return null;
    }

    private Spot? At(int cell)
    {
        if (!_spots.TryGetValue(cell, out var spot))
        {
            var width = 2 * _half[cell];
            var at = _grid.Middle(cell);
            spot =
                width is < Narrowest or > Widest || _ends.Exists(end => end.DistanceTo(at) <= width)
                    ? null
                    : Seen(at, width);
            _spots[cell] = spot;
        }
        return spot;
    }

    private Spot Seen(Point at, double width)
    {
        var along = Direction(at, Math.Max(0.6, width / 2)) ?? new Point(1, 0);
        var bend = new[] { 1.0, -1 }
            .Select(way => Direction(at + (along * way), 0.6))
            .OfType<Point>()
            .Select(other => Math.Acos(Math.Min(1, Math.Abs(Point.Dot(other, along)))))
            .DefaultIfEmpty(0)
            .Max();
        return new Spot(along, width, bend < 0.02 ? 1e3 : (1 / bend) + (width / 2));
    }

    /// <summary>The line's direction around a place: the longer axis of its cells there.</summary>
    private Point? Direction(Point at, double reach)
    {
        var near = _places.FindAll(spot => spot.DistanceTo(at) <= reach);
        if (near.Count < 3)
        {
            return null;
        }
        var centre = near.Aggregate(Point.Zero, (sum, spot) => sum + spot) * (1.0 / near.Count);
        var (xx, xy, yy) = (0.0, 0.0, 0.0);
        foreach (var off in near.Select(spot => spot - centre))
        {
            (xx, xy, yy) = (xx + (off.X * off.X), xy + (off.X * off.Y), yy + (off.Y * off.Y));
        }
        var angle = Math.Atan2(2 * xy, xx - yy) / 2;
        return new Point(Math.Cos(angle), Math.Sin(angle));
    }

    private int[] Beside(int cell) => [cell - _grid.Columns, cell + 1, cell + _grid.Columns, cell - 1];

    private int[] Around(int cell) =>
        [
            cell - _grid.Columns,
            cell - _grid.Columns + 1,
            cell + 1,
            cell + _grid.Columns + 1,
            cell + _grid.Columns,
            cell + _grid.Columns - 1,
            cell - 1,
            cell - _grid.Columns - 1,
        ];

    /// <summary>In how many parts the line falls without a cell, as seen from its neighbours.</summary>
    /// <remarks>S. Yokoi, J. Toriwaki and T. Fukumura, "An analysis of topological properties of digitized binary pictures", 1975.</remarks>
    private static int Parts(bool[] cells, int[] around)
    {
        int Free(int k) => cells[around[k % 8]] ? 0 : 1;
        return new[] { 0, 2, 4, 6 }.Sum(k => Free(k) - (Free(k) * Free(k + 1) * Free(k + 2)));
    }

    /// <summary>True where the line forks: it crosses the square three cells around in more than two places.</summary>
    private bool IsFork(int cell)
    {
        const int Away = 3;
        var ring = new List<bool>();
        for (var k = -Away; k < Away; k++)
        {
            ring.Add(_line[cell + k - (Away * _grid.Columns)]);
        }
        for (var k = -Away; k < Away; k++)
        {
            ring.Add(_line[cell + Away + (k * _grid.Columns)]);
        }
        for (var k = Away; k > -Away; k--)
        {
            ring.Add(_line[cell + k + (Away * _grid.Columns)]);
        }
        for (var k = Away; k > -Away; k--)
        {
            ring.Add(_line[cell - Away + (k * _grid.Columns)]);
        }
        return Enumerable.Range(0, ring.Count).Count(i => !ring[i] && ring[(i + 1) % ring.Count]) > 2;
    }

    private bool IsEnd(int cell) => Around(cell).Count(other => _line[other]) < 2;

    private static int Crossings(bool[] ring) => Enumerable.Range(0, 8).Count(i => !ring[i] && ring[(i + 1) % 8]);

    private bool[] Thinned(bool[] inside)
    {
        var cells = inside.ToArray();
        // A cell with four neighbours stays: only those at the edge are looked at.
        bool IsAtEdge(int cell) => cells[cell] && Beside(cell).Any(other => !cells[other]);
        var edge = Enumerable.Range(0, cells.Length).Where(IsAtEdge).ToHashSet();
        bool changed;
        do
        {
            changed = false;
            foreach (var step in (int[])[0, 1])
            {
                var gone = edge.Where(cell => IsOuter(cells, cell, step)).ToList();
                gone.ForEach(cell => cells[cell] = false);
                edge.ExceptWith(gone);
                edge.UnionWith(gone.SelectMany(Beside).Where(IsAtEdge));
                changed |= gone.Count > 0;
            }
        } while (changed);
        // What is left of steps two cells thick.
        foreach (var cell in Enumerable.Range(0, cells.Length).Where(cell => cells[cell]))
        {
            var around = Around(cell);
            cells[cell] = around.Count(other => cells[other]) < 2 || Parts(cells, around) != 1;
        }
        return cells;
    }

    private bool IsOuter(bool[] cells, int cell, int step)
    {
        var ring = Around(cell).Select(other => cells[other]).ToArray();
        var count = ring.Count(isIn => isIn);
        if (count is < 2 or > 6 || Crossings(ring) != 1)
        {
            return false;
        }
        return step == 0
            ? !(ring[0] && ring[2] && ring[4]) && !(ring[2] && ring[4] && ring[6])
            : !(ring[0] && ring[2] && ring[6]) && !(ring[0] && ring[4] && ring[6]);
    }
}
