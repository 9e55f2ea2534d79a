using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;

namespace Ullet.Core.Moments;

/// <summary>Stretches of laid layers' edges that lie on a sewn line.</summary>
internal static class LaidEdges
{
    /// <summary>An edge lies on a line that is so near, mm: laying is no more exact.</summary>
    internal const double Near = 1.5;

    /// <summary>The edge is walked in such steps, mm.</summary>
    private const double Step = 2;

    /// <summary>Shorter stretches cross a line, mm.</summary>
    private const double Least = 12;

    internal static IEnumerable<EdgePart> Along(
        IEnumerable<PresentLayer> laid,
        ImmutableArray<ImmutableArray<Point>> lines,
        bool isPressed
    )
    {
        if (lines.IsEmpty)
        {
            yield break;
        }
        var edges = LineWalk.Edges(lines);
        foreach (var layer in laid)
        {
            ImmutableArray<ImmutableArray<Point>> on =
            [
                .. layer.Area.SelectMany(region => region.Rings).SelectMany(ring => Stretches(ring, edges)),
            ];
            if (!on.IsEmpty)
            {
                yield return new EdgePart(layer.Id, on, isPressed);
            }
        }
    }

    private static IEnumerable<ImmutableArray<Point>> Stretches(Ring ring, FewEdges lines)
    {
        var stretch = ImmutableArray.CreateBuilder<Point>();
        foreach (var place in LineWalk.Of(MomentScene.Closed(ring), Step))
        {
            if (lines.Nearest(place, Near) is not null)
            {
                stretch.Add(place);
                continue;
            }
            if (IsLong(stretch))
            {
                yield return [stretch[0], .. PlaneGeometry.Simplified(stretch, 0.1).Skip(1)];
            }
            stretch.Clear();
        }
        if (IsLong(stretch))
        {
            yield return [.. PlaneGeometry.Simplified(stretch, 0.1)];
        }
    }

    private static bool IsLong(ImmutableArray<Point>.Builder stretch) =>
        stretch.Count > 1 && (stretch.Count - 1) * Step >= Least;
}
