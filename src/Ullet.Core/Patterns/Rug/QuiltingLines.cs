using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Patterns;

/// <summary>Slanting lines across a form, to and fro, so that little thread is cut.</summary>
internal static class QuiltingLines
{
    /// <summary>Shorter stretches are left out, mm.</summary>
    private const double Shortest = 6;

    /// <param name="form">They end at its edge.</param>
    /// <param name="apart">From one to the next, mm.</param>
    internal static IEnumerable<ImmutableArray<Curve>> Of(SeamForm form, double apart)
    {
        // A line x + y = c at 45°; neighbours lie √2 · apart off along an axis.
        var (box, step) = (form.Bounds, apart * Math.Sqrt(2));
        var count = (int)Math.Floor((box.Width + box.Height) / step);
        var first = box.MinX + box.MinY + ((box.Width + box.Height - (count * step)) / 2);
        var isForward = true;
        for (var i = 0; i <= count; i++)
        {
            var c = first + (i * step);
            var stretches = Within(form, c, box).Where(pair => pair.To - pair.From > Shortest / Math.Sqrt(2)).ToList();
            foreach (var (from, to) in isForward ? stretches : Enumerable.Reverse(stretches))
            {
                var (start, end) = isForward ? (from, to) : (to, from);
                yield return PatternLines.Straight(start, c - start, end, c - end);
            }
            if (stretches.Count > 0)
            {
                isForward = !isForward;
            }
        }
    }

    /// <summary>Where the line lies in the form, by x.</summary>
    private static IEnumerable<(double From, double To)> Within(SeamForm form, double c, Box box)
    {
        var crossings = new List<double>();
        foreach (var ring in form.Area.SelectMany(region => region.Rings))
        {
            var points = ring.Points;
            for (var i = 0; i < points.Length; i++)
            {
                Budget.Spend();
                var (a, b) = (points[i], points[(i + 1) % points.Length]);
                var (sideA, sideB) = (a.X + a.Y - c, b.X + b.Y - c);
                if ((sideA <= 0) != (sideB <= 0))
                {
                    crossings.Add(Point.Lerp(a, b, sideA / (sideA - sideB)).X);
                }
            }
        }
        crossings.Sort();
        for (var i = 0; i + 1 < crossings.Count; i += 2)
        {
            yield return (Math.Max(crossings[i], box.MinX), Math.Min(crossings[i + 1], box.MaxX));
        }
    }
}
