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
        foreach (var layer in laid)
        {
            ImmutableArray<ImmutableArray<Point>> on =
            [
                .. layer.Area.SelectMany(region => region.Rings).SelectMany(ring => Stretches(ring, lines)),
            ];
            if (!on.IsEmpty)
            {
                yield return new EdgePart(layer.Id, on, isPressed);
            }
        }
    }

    private static IEnumerable<ImmutableArray<Point>> Stretches(Ring ring, ImmutableArray<ImmutableArray<Point>> lines)
    {
        var stretch = ImmutableArray.CreateBuilder<Point>();
        foreach (var place in Walked(MomentScene.Closed(ring)))
        {
            if (lines.Any(line => Distance(place, line) < Near))
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

    private static IEnumerable<Point> Walked(ImmutableArray<Point> line)
    {
        for (var i = 1; i < line.Length; i++)
        {
            var steps = Math.Max(1, (int)Math.Ceiling(line[i].DistanceTo(line[i - 1]) / Step));
            for (var step = 0; step < steps; step++)
            {
                yield return Point.Lerp(line[i - 1], line[i], (double)step / steps);
            }
        }
    }

    private static double Distance(Point place, ImmutableArray<Point> line)
    {
        var least = double.MaxValue;
        for (var i = 1; i < line.Length; i++)
        {
            var (from, along) = (line[i - 1], line[i] - line[i - 1]);
            var share =
                along.Length < 1e-9 ? 0 : Math.Clamp(Point.Dot(place - from, along) / Point.Dot(along, along), 0, 1);
            least = Math.Min(least, place.DistanceTo(from + (along * share)));
        }
        return least;
    }
}
