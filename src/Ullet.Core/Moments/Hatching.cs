using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Moments;

/// <summary>Slanted lines over an area: they tell faces apart where there is no colour.</summary>
internal static class Hatching
{
    /// <summary>Most lines of one area.</summary>
    private const int Most = 90;

    /// <param name="area">The area, mm.</param>
    /// <param name="angle">Direction of the lines, degrees clockwise on screen.</param>
    /// <param name="spacing">How far apart, mm.</param>
    /// <param name="within">Only what lies in it.</param>
    internal static ImmutableArray<ImmutableArray<Point>> Of(
        ImmutableArray<Region> area,
        double angle,
        double spacing,
        Box within
    )
    {
        var (sin, cos) = Math.SinCos(angle * Math.PI / 180);
        Point Turned(Point at) => new((at.X * cos) + (at.Y * sin), (at.Y * cos) - (at.X * sin));
        Point Back(double x, double y) => new((x * cos) - (y * sin), (x * sin) + (y * cos));
        var edges = new List<(Point A, Point B)>();
        foreach (var ring in area.SelectMany(region => region.Rings))
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                edges.Add((Turned(ring.Points[i]), Turned(ring.Points[(i + 1) % ring.Points.Length])));
            }
        }
        var seen = Box.Of(within.Corners().Select(Turned));
        var box = Box.Of(edges.Select(edge => edge.A));
        var (low, high) = (Math.Max(seen.MinY, box.MinY), Math.Min(seen.MaxY, box.MaxY));
        spacing = Math.Max(spacing, (high - low) / Most);
        var lines = ImmutableArray.CreateBuilder<ImmutableArray<Point>>();
        // Lines lie on one lattice, so that neighbours of one face look like one.
        for (var y = Math.Ceiling(low / spacing) * spacing; y < high; y += spacing)
        {
            Budget.Spend(edges.Count);
            var meets = new List<double>();
            foreach (var (a, b) in edges)
            {
                if (a.Y <= y != b.Y <= y)
                {
                    meets.Add(a.X + ((y - a.Y) / (b.Y - a.Y) * (b.X - a.X)));
                }
            }
            meets.Sort();
            for (var i = 0; i + 1 < meets.Count; i += 2)
            {
                var (from, to) = (Math.Max(meets[i], seen.MinX), Math.Min(meets[i + 1], seen.MaxX));
                if (to - from > 0.3)
                {
                    lines.Add([Back(from, y), Back(to, y)]);
                }
            }
        }
        return lines.ToImmutable();
    }
}
