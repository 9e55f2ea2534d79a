using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The numbers of a unit repeated along a line.</summary>
/// <param name="Places">Its needle points: along it from 0 to 1, across it from -1 (right of the way) to 1 (left).</param>
/// <param name="Length">Length of one, fitted so that a whole number fills each leg between corners, mm.</param>
/// <param name="Reach">How far it reaches to a side, mm.</param>
/// <param name="EndsAcross">True when the line ends with what a unit begins with: the last tooth of a blanket stitch.</param>
public readonly record struct UnitNumbers(
    ImmutableArray<(double Along, double Across)> Places,
    double Length,
    double Reach,
    bool EndsAcross
);

/// <summary>A unit repeated along a line, bent with it: a decorative stitch, or the teeth of a blanket stitch.</summary>
/// <remarks>Laws, tested in UnitLineTests: (1) needle points begin at the line's first place and end at its last; (2) none lies farther
/// from the line than the unit reaches, a corner's mitre excepted; (3) no stitch is longer than the longest.</remarks>
public static class UnitLine
{
    /// <summary>A blanket stitch's unit: a tooth, then on along the line.</summary>
    public static readonly ImmutableArray<(double Along, double Across)> Blanket = [(0, 0), (0, 1), (0, 0), (1, 0)];

    /// <summary>A line that turns by more has a corner, degrees.</summary>
    private const double Corner = 40;

    /// <summary>Directions are looked at over so much of the way, mm.</summary>
    private const double Look = 0.3;

    /// <summary>A tooth on a corner is at most so much longer.</summary>
    private const double Mitre = 1.4;

    /// <param name="line">At least two points, mm; closed where the last is the first.</param>
    /// <param name="numbers">The unit.</param>
    public static ImmutableArray<Point> Of(ImmutableArray<Point> line, UnitNumbers numbers)
    {
        var legs = Legs(line).ConvertAll(leg => new ArcLength(leg));
        var isClosed = line[0].DistanceTo(line[^1]) <= Tolerance.Same;
        var points = new List<Point>();
        for (var i = 0; i < legs.Count; i++)
        {
            var leg = legs[i];
            var before =
                i > 0 ? legs[i - 1]
                : isClosed ? legs[^1]
                : null;
            var after =
                i + 1 < legs.Count ? legs[i + 1]
                : isClosed ? legs[0]
                : null;
            var units = Math.Max(1, (int)Math.Round(leg.Total / numbers.Length));
            for (var k = 0; k < units; k++)
            {
                foreach (var (along, across) in numbers.Places)
                {
                    Budget.Spend();
                    Add(points, Place(leg, before, after, leg.Total * (k + along) / units, across * numbers.Reach));
                }
            }
        }
        if (numbers.EndsAcross && !isClosed)
        {
            var last = legs[^1];
            Add(points, Place(last, null, null, last.Total, numbers.Places[1].Across * numbers.Reach));
            Add(points, line[^1]);
        }
        return [.. points];
    }

    private static Point Place(ArcLength leg, ArcLength? before, ArcLength? after, double at, double aside)
    {
        var across = Across(leg, at);
        var beside =
            at < Tolerance.Quantum && before is not null ? Across(before, before.Total)
            : at > leg.Total - Tolerance.Quantum && after is not null ? Across(after, 0)
            : across;
        // On a corner it lies between the legs' directions, and reaches the same distance from both where that is not too far.
        var between = (across + beside).Unit();
        var stretch = Math.Min(Mitre, 1 / Math.Max(0.1, Point.Dot(between, across)));
        return leg.At(at) + (between * (aside * stretch));
    }

    /// <summary>To the left of the way, length 1.</summary>
    private static Point Across(ArcLength leg, double at)
    {
        var direction = leg.At(Math.Min(leg.Total, at + Look)) - leg.At(Math.Max(0, at - Look));
        return new Point(-direction.Y, direction.X).Unit();
    }

    private static List<ImmutableArray<Point>> Legs(ImmutableArray<Point> line)
    {
        var legs = new List<ImmutableArray<Point>>();
        var from = 0;
        for (var i = 1; i < line.Length - 1; i++)
        {
            Budget.Spend();
            if (Math.Abs(Point.Turn(line[i] - line[i - 1], line[i + 1] - line[i])) > Corner)
            {
                legs.Add(line[from..(i + 1)]);
                from = i;
            }
        }
        legs.Add(line[from..]);
        return legs;
    }

    private static void Add(List<Point> points, Point place)
    {
        if (points.Count == 0)
        {
            points.Add(place);
            return;
        }
        var (from, way) = (points[^1], points[^1].DistanceTo(place));
        if (way <= Tolerance.Quantum)
        {
            return;
        }
        var pieces = (int)Math.Ceiling((way - 1e-9) / StitchDefaults.LongestStitch);
        for (var k = 1; k <= pieces; k++)
        {
            points.Add(Point.Lerp(from, place, k / (double)pieces));
        }
    }
}
