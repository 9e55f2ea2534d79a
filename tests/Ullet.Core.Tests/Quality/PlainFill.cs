using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Quality;

/// <summary>Plain looks at a filled area: what its rows leave bare, and whether holes of neighbouring rows line up.</summary>
internal static class PlainFill
{
    private const double Cell = 0.1;

    /// <summary>Half the width of thread, mm.</summary>
    private const double Half = 0.2;

    /// <summary>True where a disc of a diameter lies in the area with no thread in it.</summary>
    internal static bool HasBareDisc(ImmutableArray<Region> area, StepStitches sewn, double diameter)
    {
        var box = Box.Of(area.SelectMany(region => region.Shell.Points));
        var (columns, rows) = ((int)(box.Width / Cell) + 1, (int)(box.Height / Cell) + 1);
        var threads = new bool[columns, rows];
        foreach (var run in sewn.Runs.Where(run => run.Kind == RunKind.Top))
        {
            for (var i = 1; i < run.Points.Length; i++)
            {
                var looks = (int)(run.Points[i].DistanceTo(run.Points[i - 1]) / (Cell / 2)) + 1;
                for (var k = 0; k <= looks; k++)
                {
                    var at = Point.Lerp(run.Points[i - 1], run.Points[i], k / (double)looks);
                    for (var dx = -Half; dx <= Half + 1e-9; dx += Cell / 2)
                    {
                        for (var dy = -Half; dy <= Half + 1e-9; dy += Cell / 2)
                        {
                            var (x, y) = ((int)((at.X + dx - box.MinX) / Cell), (int)((at.Y + dy - box.MinY) / Cell));
                            if ((dx * dx) + (dy * dy) <= Half * Half && x >= 0 && y >= 0 && x < columns && y < rows)
                            {
                                threads[x, y] = true;
                            }
                        }
                    }
                }
            }
        }
        var reach = (int)Math.Round(diameter / 2 / Cell);
        for (var x = reach; x < columns - reach; x++)
        {
            for (var y = reach; y < rows - reach; y++)
            {
                if (!threads[x, y] && IsBareDisc(threads, x, y, reach) && IsInside(area, x, y, reach, box))
                {
                    return true;
                }
            }
        }
        return false;
    }

    /// <summary>The most rows one after the other whose holes lie side by side, farther than 1 mm from the ends of stretches; rows must be
    /// level.</summary>
    internal static int MostInLine(StepStitches sewn)
    {
        var rows = new SortedDictionary<int, List<double>>();
        foreach (var run in sewn.Runs.Where(run => run.Kind == RunKind.Top))
        {
            for (var i = 1; i + 1 < run.Points.Length; i++)
            {
                var (before, at, after) = (run.Points[i - 1], run.Points[i], run.Points[i + 1]);
                if (
                    Math.Abs(before.Y - at.Y) < 1e-6
                    && Math.Abs(after.Y - at.Y) < 1e-6
                    && Point.Dot(at - before, after - at) > 0
                    && before.DistanceTo(at) > 1
                    && after.DistanceTo(at) > 1
                )
                {
                    var key = (int)Math.Round(at.Y * 1000);
                    (rows.TryGetValue(key, out var holes) ? holes : rows[key] = []).Add(at.X);
                }
            }
        }
        var most = 0;
        var last = new List<(double X, int Count)>();
        foreach (var holes in rows.Values)
        {
            var now = holes.ConvertAll(x =>
                (
                    X: x,
                    Count: 1
                        + last.Where(hole => Math.Abs(hole.X - x) < 0.3)
                            .Select(hole => hole.Count)
                            .DefaultIfEmpty(0)
                            .Max()
                )
            );
            most = Math.Max(most, now.Select(hole => hole.Count).DefaultIfEmpty(0).Max());
            last = now;
        }
        return most;
    }

    private static bool IsBareDisc(bool[,] threads, int x, int y, int reach)
    {
        for (var dx = -reach; dx <= reach; dx++)
        {
            for (var dy = -reach; dy <= reach; dy++)
            {
                if ((dx * dx) + (dy * dy) <= reach * reach && threads[x + dx, y + dy])
                {
                    return false;
                }
            }
        }
        return true;
    }

    private static bool IsInside(ImmutableArray<Region> area, int x, int y, int reach, Box box)
    {
        for (var turn = 0; turn < 12; turn++)
        {
            var (sin, cos) = Math.SinCos(turn * Math.PI / 6);
            var at = new Point(
                box.MinX + ((x + 0.5 + (reach * cos)) * Cell),
                box.MinY + ((y + 0.5 + (reach * sin)) * Cell)
            );
            if (!area.Any(region => region.Rings.Sum(ring => ring.Winding(at)) != 0))
            {
                return false;
            }
        }
        return true;
    }
}
