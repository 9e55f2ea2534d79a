using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>How a needle goes on at each of its points.</summary>
internal enum Stride
{
    /// <summary>On, or round a bend.</summary>
    On,

    /// <summary>Back towards where it came from, into a hole of its own.</summary>
    Across,

    /// <summary>Back into the very hole that it came from.</summary>
    Return,
}

/// <summary>Tells how a needle goes on, point by point.</summary>
internal static class Strides
{
    /// <summary>Two needle points nearer than this share a hole, mm.</summary>
    internal const double SameHole = 0.06;

    /// <summary>A turn over this is one back across, degrees.</summary>
    private const double TurnBack = 110;

    /// <summary>The stride at each inner point; the ends go on.</summary>
    internal static ImmutableArray<Stride> Of(ImmutableArray<Point> points)
    {
        var strides = ImmutableArray.CreateBuilder<Stride>(points.Length);
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            strides.Add(i == 0 || i == points.Length - 1 ? Stride.On : At(points[i - 1], points[i], points[i + 1]));
        }
        return strides.MoveToImmutable();
    }

    private static Stride At(Point before, Point at, Point after) =>
        before.DistanceTo(after) < SameHole ? Stride.Return
        : Math.Abs(Turn(before, at, after)) > TurnBack ? Stride.Across
        : Stride.On;

    /// <summary>The turn at a needle point, degrees, clockwise on screen.</summary>
    internal static double Turn(Point before, Point at, Point after)
    {
        var (into, on) = (at - before, after - at);
        return Math.Atan2(Point.Cross(into, on), Point.Dot(into, on)) * 180 / Math.PI;
    }
}
