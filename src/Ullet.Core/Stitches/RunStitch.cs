using System.Collections.Immutable;
using Ullet.Core.Geometry;

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
        var closed = ring.Points.Add(ring.Points[0]);
        return Legs(closed, ring.Corners().Where(corner => corner > 0), length, phase);
    }

    /// <summary>Sews along an open line once, in equal steps between corners.</summary>
    /// <param name="line">The line, mm.</param>
    /// <param name="length">Longest stitch, mm; shortened on curves as in <see cref="Round"/>.</param>
    /// <returns>Needle points from the line's first to its last point. Empty for fewer than two places.</returns>
    public static ImmutableArray<Point> Along(ImmutableArray<Point> line, double length)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(length);
        // A closed ring of the line knows the turns at its inner vertices.
        var ring = new Ring(line);
        return line.Length < 2
            ? []
            : Legs(line, ring.Corners().Where(corner => corner > 0 && corner < line.Length - 1), length, phase: 0);
    }

    private static ImmutableArray<Point> Legs(
        ImmutableArray<Point> line,
        IEnumerable<int> corners,
        double length,
        double phase
    )
    {
        var points = ImmutableArray.CreateBuilder<Point>();
        points.Add(line[0]);
        var from = 0;
        foreach (var stop in corners.Append(line.Length - 1))
        {
            AddLeg(line[from..(stop + 1)], length, phase, points);
            from = stop;
        }
        return points.ToImmutable();
    }

    private static void AddLeg(
        ImmutableArray<Point> leg,
        double length,
        double phase,
        ImmutableArray<Point>.Builder points
    )
    {
        var line = new ArcLength(leg);
        var steps = Math.Max(1, (int)Math.Ceiling((line.Total / length) - 1e-9));
        var step = line.Total / steps;
        var last = 0.0;
        for (var i = 1; i <= steps; i++)
        {
            var at = (i - 1 + phase) * step;
            if (phase > 0 && at > last)
            {
                AddChord(line, last, at, points);
                last = at;
            }
            else if (phase == 0)
            {
                AddChord(line, last, i == steps ? line.Total : i * step, points);
                last = i * step;
            }
        }
        if (line.Total - last > 1e-9)
        {
            AddChord(line, last, line.Total, points);
        }
    }

    private static void AddChord(ArcLength line, double from, double to, ImmutableArray<Point>.Builder points)
    {
        if (to - from > 2 * StitchDefaults.ShortestStitch && ChordError(line, from, to) > StitchDefaults.RunChordError)
        {
            var middle = (from + to) / 2;
            AddChord(line, from, middle, points);
            AddChord(line, middle, to, points);
            return;
        }
        points.Add(line.At(to));
    }

    private static double ChordError(ArcLength line, double from, double to)
    {
        const int Samples = 6;
        var (start, end) = (line.At(from), line.At(to));
        var worst = 0.0;
        for (var i = 1; i < Samples; i++)
        {
            var on = line.At(from + ((to - from) * i / Samples));
            worst = Math.Max(worst, on.DistanceTo(SegmentIndex.Foot(on, start, end)));
        }
        return worst;
    }
}
