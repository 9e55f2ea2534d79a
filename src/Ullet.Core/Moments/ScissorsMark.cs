using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>A small pair of scissors on the line that they cut.</summary>
internal static class ScissorsMark
{
    /// <summary>How long it is, page units.</summary>
    private const double Long = 20;

    internal static IEnumerable<InkLines> At(ImmutableArray<Point> line, Box shown, double scale)
    {
        var at = Enumerable.Range(1, line.Length - 1).Where(i => shown.Contains(line[i - 1])).FirstOrDefault(1);
        var (place, along) = (line[at - 1], (line[at] - line[at - 1]).Unit());
        var unit = Long / scale;
        Point Spot(double far, double side) => place + (along * (far * unit)) + (along.Outward() * (side * unit));
        ImmutableArray<Point> Ring(double side) => MomentSheet.Circle(Spot(-0.62, side), 0.15 * unit);
        yield return MomentPaint.Lines(
            [
                [Spot(-0.5, -0.16), Spot(0.45, 0.16)],
                [Spot(-0.5, 0.16), Spot(0.45, -0.16)],
            ],
            MomentColours.Scissors,
            2
        );
        yield return MomentPaint.Area([Ring(-0.22), Ring(0.22)], MomentColours.White, MomentColours.Scissors, 1.8);
    }
}
