using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>Turns a line drawn by hand into few curves.</summary>
/// <remarks>Points are taken at even distances and averaged with their neighbours, which takes the tremor out; turns over
/// <see cref="CornerTurn"/> within a few mm stay corners; the rest is fitted (<see cref="CurveFit"/>).</remarks>
public static class Freehand
{
    /// <summary>How far curves may lie from the averaged line when nothing else is asked, mm.</summary>
    public const double UsualTolerance = 0.5;

    /// <summary>Turns sharper than this are meant as corners, degrees.</summary>
    public const double CornerTurn = 60;

    /// <summary>A line whose ends lie nearer than this share of its length is meant to close.</summary>
    public const double ClosingShare = 0.06;

    private const double Step = 0.5;
    private const int Reach = 4;

    /// <summary>True for a line that ends about where it began.</summary>
    public static bool IsMeantClosed(ImmutableArray<Point> points)
    {
        var length = new ArcLength(points).Total;
        return length > 10 && points[0].DistanceTo(points[^1]) < Math.Max(2, length * ClosingShare);
    }

    /// <param name="points">As the hand drew them, at least two apart, mm.</param>
    /// <param name="closed">True to lead the line back to its start.</param>
    /// <param name="tolerance">mm.</param>
    public static ImmutableArray<Curve> Smooth(
        ImmutableArray<Point> points,
        bool closed,
        double tolerance = UsualTolerance
    )
    {
        var all = closed ? points.Add(points[0]) : points;
        var along = new ArcLength(all);
        var count = Math.Max(4, (int)Math.Round(along.Total / Step));
        var even = Enumerable.Range(0, count + 1).Select(i => along.At(along.Total * i / count)).ToArray();
        var corners = Corners(even, closed);
        var calm = even.Select((_, i) => Calmed(even, i, corners, closed)).ToImmutableArray();
        if (closed && corners.Count > 0)
        {
            var first = corners[0];
            var turned = calm[..^1].Skip(first).Concat(calm.Take(first)).ToList();
            turned.Add(turned[0]);
            calm = [.. turned];
            corners = [.. corners.Select(corner => corner - first)];
        }
        int[] stops = [.. corners.Append(0).Append(calm.Length - 1).Distinct().Order()];
        return
        [
            .. stops
                .Zip(stops.Skip(1))
                .Where(pair => pair.Second > pair.First)
                .SelectMany(pair =>
                    CurveFit.Open(
                        calm[pair.First..(pair.Second + 1)],
                        tolerance,
                        smoothSeam: closed && corners.Count == 0
                    )
                ),
        ];
    }

    /// <summary>Places where the line turns sharply, the sharpest of every neighbourhood.</summary>
    private static List<int> Corners(Point[] even, bool closed)
    {
        var count = even.Length - 1;
        Point At(int i) => closed ? even[((i % count) + count) % count] : even[Math.Clamp(i, 0, count)];
        double Turn(int i) => Math.Abs(Point.Turn(At(i) - At(i - Reach), At(i + Reach) - At(i)));
        var inner = closed ? Enumerable.Range(0, count) : Enumerable.Range(Reach, Math.Max(0, count + 1 - (2 * Reach)));
        return
        [
            .. inner.Where(i =>
                Turn(i) > CornerTurn
                && Enumerable.Range(1, Reach).All(d => Turn(i) >= Turn(i - d) && Turn(i) > Turn(i + d))
            ),
        ];
    }

    /// <summary>The mean of a place and its neighbours, as many on both sides as lie before the next corner or end.</summary>
    private static Point Calmed(Point[] even, int index, List<int> corners, bool closed)
    {
        var count = even.Length - 1;
        var wraps = closed && corners.Count == 0;
        if (closed && index == count && corners.Count > 0)
        {
            index = 0;
        }
        var room = wraps
            ? Reach
            : corners
                .SelectMany(corner => closed ? new[] { corner - count, corner, corner + count } : [corner])
                .Concat(closed ? [] : new[] { 0, count })
                .Select(stop => Math.Abs(stop - index))
                .Append(Reach)
                .Min();
        Point At(int i) => closed ? even[((i % count) + count) % count] : even[i];
        var sum = Point.Zero;
        for (var d = -room; d <= room; d++)
        {
            sum += At(index + d);
        }
        return sum * (1.0 / ((2 * room) + 1));
    }
}
