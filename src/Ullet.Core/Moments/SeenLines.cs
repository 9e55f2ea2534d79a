using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>What of lines is not covered.</summary>
internal static class SeenLines
{
    /// <summary>Lines are walked in such steps, mm.</summary>
    private const double Step = 1.5;

    /// <param name="lines">The lines, mm.</param>
    /// <param name="over">What lies over them.</param>
    internal static IEnumerable<ImmutableArray<Point>> Of(
        ImmutableArray<ImmutableArray<Point>> lines,
        ImmutableArray<Region> over
    )
    {
        if (over.IsEmpty)
        {
            return lines;
        }
        var index = new AreaIndex(over);
        return lines.SelectMany(line => Seen(line, index));
    }

    private static IEnumerable<ImmutableArray<Point>> Seen(ImmutableArray<Point> line, AreaIndex over)
    {
        var seen = ImmutableArray.CreateBuilder<Point>();
        for (var i = 1; i < line.Length; i++)
        {
            var steps = Math.Max(1, (int)Math.Ceiling(line[i].DistanceTo(line[i - 1]) / Step));
            for (var step = i == 1 ? 0 : 1; step <= steps; step++)
            {
                var place = Point.Lerp(line[i - 1], line[i], (double)step / steps);
                if (!over.Holds(place))
                {
                    seen.Add(place);
                    continue;
                }
                if (seen.Count > 1)
                {
                    yield return [.. PlaneGeometry.Simplified(seen, 0.05)];
                }
                seen.Clear();
            }
        }
        if (seen.Count > 1)
        {
            yield return [.. PlaneGeometry.Simplified(seen, 0.05)];
        }
    }
}
