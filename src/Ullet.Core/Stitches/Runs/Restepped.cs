using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Stitches;

/// <summary>Steps runs anew that were moved apart or together: their stitches keep the length that they had.</summary>
public static class Restepped
{
    /// <summary>A line that turns by more than this at a needle point has a corner there, degrees.</summary>
    private const double Corner = 35;

    /// <summary>Nearer than this a needle point stands in the hole of another, mm.</summary>
    private const double SameHole = 0.05;

    /// <summary>The run with new needle points; its corners, its ends and its locks stay.</summary>
    /// <param name="points">Needle points where they were moved to, mm.</param>
    /// <param name="growth">How much longer its stitches became; over 0.</param>
    /// <param name="look">A run or a bean stitch.</param>
    public static ImmutableArray<Point> Of(ImmutableArray<Point> points, double growth, OpenedLook look)
    {
        var (lead, core, trail) = LockEnds.Parts(points);
        var line = look == OpenedLook.Bean ? WithoutReturns(core) : core;
        if (line.Length < 2)
        {
            return points;
        }
        var length = Median(line) / growth;
        var stepped = look == OpenedLook.Bean ? BeanStitch.Of(Steps(line, length)) : Steps(line, length);
        return
        [
            .. lead.Select(at => core[0] + ((at - core[0]) * (1 / growth))),
            .. lead.IsEmpty ? stepped : stepped[1..],
            .. trail.Select(at => core[^1] + ((at - core[^1]) * (1 / growth))).Skip(1),
        ];
    }

    /// <summary>The places of a bean stitch, each once.</summary>
    public static ImmutableArray<Point> WithoutReturns(ImmutableArray<Point> points)
    {
        var line = ImmutableArray.CreateBuilder<Point>();
        foreach (var point in points)
        {
            Budget.Spend();
            if (line.Count > 0 && line[^1].DistanceTo(point) < SameHole)
            {
                continue;
            }
            if (line.Count > 1 && line[^2].DistanceTo(point) < SameHole)
            {
                // A step back; the next one is a step on again.
                continue;
            }
            line.Add(point);
        }
        return line.ToImmutable();
    }

    private static ImmutableArray<Point> Steps(ImmutableArray<Point> line, double length)
    {
        var stepped = ImmutableArray.CreateBuilder<Point>();
        stepped.Add(line[0]);
        var from = 0;
        for (var i = 1; i < line.Length; i++)
        {
            Budget.Spend();
            if (i + 1 < line.Length && !IsCorner(line[i - 1], line[i], line[i + 1]))
            {
                continue;
            }
            var leg = new ArcLength(line[from..(i + 1)]);
            var count = Math.Max(1, (int)Math.Round(leg.Total / length));
            for (var k = 1; k <= count; k++)
            {
                stepped.Add(leg.At(leg.Total * k / count));
            }
            from = i;
        }
        return stepped.ToImmutable();
    }

    private static bool IsCorner(Point before, Point at, Point after)
    {
        var (into, on) = (at - before, after - at);
        return Math.Abs(Math.Atan2(Point.Cross(into, on), Point.Dot(into, on))) * 180 / Math.PI > Corner;
    }

    /// <summary>The length that half of the stitches have at least, mm.</summary>
    private static double Median(ImmutableArray<Point> line)
    {
        var lengths = line.Zip(line.Skip(1), (from, to) => from.DistanceTo(to)).Order().ToList();
        return Math.Max(0.3, lengths[lengths.Count / 2]);
    }
}
