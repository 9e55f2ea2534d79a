using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>Finds the lines in what was sewn along: closed ones first, with all their passes.</summary>
internal static class RunLines
{
    /// <summary>A line is closed where it comes as near as this to where it was before, mm.</summary>
    private const double Meets = 0.12;

    /// <summary>A lock reaches no farther from where it holds, mm.</summary>
    private const double LockReach = 0.85;

    /// <summary>A second pass lies as near as this to the first, mm.</summary>
    private const double SamePass = 0.25;

    /// <summary>No closed line is shorter, mm.</summary>
    private const double ShortestRing = 4;

    /// <summary>A closed line encloses at least this share of its length squared: less is one that was sewn to and fro.</summary>
    private const double LeastShare = 0.0015;

    /// <summary>The lines of one section without its locks.</summary>
    internal static ImmutableArray<RunLine> Of(ImmutableArray<Point> core)
    {
        var lines = ImmutableArray.CreateBuilder<RunLine>();
        var rest = core;
        while (rest.Length >= 2)
        {
            Budget.Spend();
            if (FirstRing(rest) is not { } ring)
            {
                lines.Add(EndsMeet(rest) ? new RunLine(rest, true, 1, Usual(rest)) : Open(rest));
                break;
            }
            var (first, end) = ring;
            if (first >= 2)
            {
                lines.Add(Open(rest[..(first + 1)]));
            }
            var (line, used) = WithPasses(rest[first..end], rest[end..]);
            lines.Add(line);
            rest = rest[(end + used)..];
        }
        return [.. lines.Where(line => line.Points.Length > 1)];
    }

    /// <summary>True for a line whose two ends lie no farther apart than a lock is long: what is sewn first there was taken for one.</summary>
    private static bool EndsMeet(ImmutableArray<Point> points)
    {
        var length = points.Zip(points.Skip(1), (from, to) => from.DistanceTo(to)).Sum();
        return points.Length > 4
            && points[0].DistanceTo(points[^1]) <= LockReach
            && length > 2 * ShortestRing
            && Math.Abs(Area(points, 0, points.Length - 1)) >= LeastShare * length * length;
    }

    /// <summary>The first stretch that comes back to where it began: its first point, and the point that closes it.</summary>
    private static (int First, int End)? FirstRing(ImmutableArray<Point> points)
    {
        if (ToStart(points) is { } closing)
        {
            return (0, closing);
        }
        var cells = new Dictionary<(long, long), List<int>>();
        var along = new double[points.Length];
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            along[i] = i == 0 ? 0 : along[i - 1] + points[i].DistanceTo(points[i - 1]);
            var cell = CellOf(points[i]);
            foreach (var known in Near(cells, cell).Order())
            {
                var length = along[i] - along[known];
                if (
                    length >= ShortestRing
                    && points[known].DistanceTo(points[i]) <= Meets
                    && Math.Abs(Area(points, known, i)) >= LeastShare * length * length
                )
                {
                    return (known, i);
                }
            }
            if (!cells.TryGetValue(cell, out var own))
            {
                cells[cell] = own = [];
            }
            own.Add(i);
        }
        return null;
    }

    /// <summary>The first point at which a line comes back to its very start: what a person means by its end, even where it touches itself
    /// on the way.</summary>
    private static int? ToStart(ImmutableArray<Point> points)
    {
        var length = 0.0;
        for (var i = 1; i < points.Length; i++)
        {
            Budget.Spend();
            length += points[i].DistanceTo(points[i - 1]);
            if (
                length >= ShortestRing
                && points[i].DistanceTo(points[0]) <= Meets
                && Math.Abs(Area(points, 0, i)) >= LeastShare * length * length
            )
            {
                return i;
            }
        }
        return null;
    }

    private static IEnumerable<int> Near(Dictionary<(long, long), List<int>> cells, (long X, long Y) cell)
    {
        for (var x = cell.X - 1; x <= cell.X + 1; x++)
        {
            for (var y = cell.Y - 1; y <= cell.Y + 1; y++)
            {
                foreach (var known in cells.GetValueOrDefault((x, y)) ?? [])
                {
                    Budget.Spend();
                    yield return known;
                }
            }
        }
    }

    private static (long, long) CellOf(Point at) => ((long)Math.Floor(at.X / 0.25), (long)Math.Floor(at.Y / 0.25));

    private static double Area(ImmutableArray<Point> points, int first, int end)
    {
        var sum = 0.0;
        for (var i = first; i < end; i++)
        {
            Budget.Spend();
            sum += Point.Cross(points[i] - points[first], points[i + 1] - points[first]);
        }
        return sum / 2;
    }

    /// <summary>The ring with the holes of every pass that follows, and how many points those took.</summary>
    private static (RunLine Line, int Used) WithPasses(ImmutableArray<Point> ring, ImmutableArray<Point> after)
    {
        var once = new ArcLength([.. ring, ring[0]]);
        var usual = Usual(ring);
        var holes = ring.Select((at, i) => (Along: once.OfVertex(i), At: at)).ToList();
        var used = 0;
        var passes = 1;
        // The closing point is the ring's first hole again.
        var further = 0.0;
        for (var i = 0; i < after.Length; i++)
        {
            Budget.Spend();
            var along = once.Of(after[i]);
            if (once.At(along).DistanceTo(after[i]) > SamePass)
            {
                break;
            }
            further += i == 0 ? 0 : after[i].DistanceTo(after[i - 1]);
            holes.Add((along, after[i]));
            used = i + 1;
        }
        passes += (int)Math.Round(further / once.Total);
        if (further < once.Total * 0.5)
        {
            // A few stitches past the start close the ring; they are no pass.
            return (new RunLine(ring, true, 1, usual), used);
        }
        var points = ImmutableArray.CreateBuilder<Point>();
        foreach (var (_, at) in holes.OrderBy(hole => hole.Along))
        {
            if (points.Count == 0 || points[^1].DistanceTo(at) > 0.3)
            {
                points.Add(at);
            }
        }
        while (points.Count > 3 && points[^1].DistanceTo(points[0]) <= 0.3)
        {
            points.RemoveAt(points.Count - 1);
        }
        return (new RunLine(points.ToImmutable(), true, passes, usual), used);
    }

    /// <summary>A line that does not close: sewn once, or to and fro in its own holes.</summary>
    private static RunLine Open(ImmutableArray<Point> points)
    {
        var usual = Usual(points);
        var turn = Enumerable
            .Range(1, Math.Max(0, points.Length - 2))
            .FirstOrDefault(i => Math.Abs(Strides.Turn(points[i - 1], points[i], points[i + 1])) > 150);
        return turn > 1 && turn < points.Length - 2
            ? new RunLine(points[..(turn + 1)], false, 1 + ((points.Length - 1) / Math.Max(1, turn) / 2), usual)
            : new RunLine(points, false, 1, usual);
    }

    private static double Usual(ImmutableArray<Point> points)
    {
        var lengths = points.Zip(points.Skip(1), (from, to) => from.DistanceTo(to)).Order().ToList();
        return lengths.Count == 0 ? 0 : lengths[lengths.Count / 2];
    }
}
