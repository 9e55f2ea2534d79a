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
        foreach (var place in LineWalk.Of(line, Step))
        {
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
        if (seen.Count > 1)
        {
            yield return [.. PlaneGeometry.Simplified(seen, 0.05)];
        }
    }
}
