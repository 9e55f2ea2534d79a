using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Running stitches along a line.</summary>
public static class RunStitch
{
    /// <summary>Sews once round a ring in equal steps between corners.</summary>
    /// <param name="ring">The line, mm; sewn from its first point and back to it.</param>
    /// <param name="length">Longest stitch, mm; steps are shortened where a chord would leave the curve by more than
    /// <see cref="StitchDefaults.RunChordError"/>.</param>
    /// <param name="phase">Where in a step the first hole after a corner falls, from 0 to under 1; a second pass at 0.5
    /// lands between the holes of the first.</param>
    /// <returns>Needle points, first and last the same. Every corner gets one. Empty for fewer than three points.</returns>
    public static ImmutableArray<Point> Round(Ring ring, double length, double phase = 0)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(length);
        ArgumentOutOfRangeException.ThrowIfNegative(phase);
        ArgumentOutOfRangeException.ThrowIfGreaterThanOrEqual(phase, 1);
        if (ring.Points.Length < 3)
        {
            return [];
        }
        var closed = new Point[ring.Points.Length + 1];
        ring.Points.CopyTo(closed);
        closed[^1] = closed[0];
        return Legs(closed, length, phase);
    }

    /// <summary>Sews along an open line once, in equal steps between corners.</summary>
    /// <param name="line">The line, mm.</param>
    /// <param name="length">Longest stitch, mm; shortened on curves as in <see cref="Round"/>.</param>
    /// <returns>Needle points from the line's first to its last point. Empty for fewer than two places.</returns>
    public static ImmutableArray<Point> Along(ImmutableArray<Point> line, double length)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(length);
        return line.Length < 2 ? [] : Legs(line.AsSpan(), length, phase: 0);
    }

    private static ImmutableArray<Point> Legs(ReadOnlySpan<Point> line, double length, double phase)
    {
        var sums = new double[line.Length];
        for (var i = 1; i < line.Length; i++)
        {
            sums[i] = sums[i - 1] + line[i].DistanceTo(line[i - 1]);
        }
        var points = ImmutableArray.CreateBuilder<Point>((int)Math.Min(1 << 20, sums[^1] / length) + 8);
        points.Add(line[0]);
        var from = 0;
        for (var i = 1; i < line.Length; i++)
        {
            Budget.Spend();
            if (i == line.Length - 1 || Tolerance.IsCorner(line[i] - line[i - 1], line[i + 1] - line[i]))
            {
                new Leg(line, sums, from, i).Sew(length, phase, points);
                from = i;
            }
        }
        return points.DrainToImmutable();
    }

    /// <summary>A part of a line between corners, by distances along the whole line.</summary>
    private ref struct Leg(ReadOnlySpan<Point> line, double[] sums, int first, int last)
    {
        private readonly ReadOnlySpan<Point> _line = line;
        private readonly int _first = first;
        private int _at = first;

        internal void Sew(double length, double phase, ImmutableArray<Point>.Builder points)
        {
            var (start, end) = (sums[_first], sums[last]);
            var steps = Math.Max(1, (int)Math.Ceiling(((end - start) / length) - 1e-9));
            var step = (end - start) / steps;
            var done = start;
            for (var i = 1; i <= steps; i++)
            {
                Budget.Spend();
                var at = start + ((i - 1 + phase) * step);
                if (phase == 0)
                {
                    AddChord(done, i == steps ? end : start + (i * step), points);
                    done = start + (i * step);
                }
                else if (at > done)
                {
                    AddChord(done, at, points);
                    done = at;
                }
            }
            if (end - done > 1e-9)
            {
                AddChord(done, end, points);
            }
        }

        private void AddChord(double from, double to, ImmutableArray<Point>.Builder points)
        {
            if (to - from > 2 * StitchDefaults.ShortestStitch && LeavesLine(from, to))
            {
                var middle = (from + to) / 2;
                AddChord(from, middle, points);
                AddChord(middle, to, points);
                return;
            }
            points.Add(At(to));
        }

        /// <summary>True when a vertex between two places lies too far from the chord between them.</summary>
        private bool LeavesLine(double from, double to)
        {
            var (start, end) = (At(from), At(to));
            var along = end - start;
            var perSquare = Point.Dot(along, along) is var square && square < 1e-18 ? 0 : 1 / square;
            for (var i = Before(from) + 1; i < last && sums[i] < to; i++)
            {
                Budget.Spend();
                var away = _line[i] - start;
                away -= along * Math.Clamp(Point.Dot(away, along) * perSquare, 0, 1);
                if (Point.Dot(away, away) > StitchDefaults.RunChordError * StitchDefaults.RunChordError)
                {
                    return true;
                }
            }
            return false;
        }

        private Point At(double distance)
        {
            if (distance >= sums[last])
            {
                return _line[last];
            }
            var i = Before(distance);
            var span = sums[i + 1] - sums[i];
            return Point.Lerp(_line[i], _line[i + 1], span < 1e-12 ? 0 : (distance - sums[i]) / span);
        }

        /// <summary>The vertex at or before a place; places are asked for near one another.</summary>
        private int Before(double distance)
        {
            while (_at > _first && sums[_at] > distance)
            {
                _at--;
            }
            while (_at + 1 < last && sums[_at + 1] <= distance)
            {
                _at++;
            }
            return _at;
        }
    }
}
