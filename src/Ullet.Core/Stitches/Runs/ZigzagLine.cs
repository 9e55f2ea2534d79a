using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A zigzag along a line: to and fro across it.</summary>
public static class ZigzagLine
{
    /// <param name="line">At least two points, mm; closed where the last is the first.</param>
    /// <param name="width">How wide it goes, half to each side, mm.</param>
    /// <returns>Needle points that begin and end on the line; those of one side lie <see cref="StitchDefaults.TackWidth"/> or a little
    /// less apart along it.</returns>
    public static ImmutableArray<Point> Of(ImmutableArray<Point> line, double width)
    {
        var along = new ArcLength(line);
        var steps = Math.Max(2, (int)Math.Ceiling(along.Total / (StitchDefaults.TackWidth / 2)));
        var points = ImmutableArray.CreateBuilder<Point>(steps + 1);
        points.Add(line[0]);
        for (var i = 1; i < steps; i++)
        {
            Budget.Spend();
            var at = along.Total * i / steps;
            var direction = along.At(at + 0.2) - along.At(at - 0.2);
            var across = new Point(-direction.Y, direction.X).Unit() * (width / 2);
            points.Add(i % 2 == 0 ? along.At(at) + across : along.At(at) - across);
        }
        points.Add(line[^1]);
        return points.MoveToImmutable();
    }
}
