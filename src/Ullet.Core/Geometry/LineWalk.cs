using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Polylines walked in even steps, and searched for their nearest place.</summary>
internal static class LineWalk
{
    /// <summary>Places along a line, both ends and all its own points included, no two neighbours farther apart than a step.</summary>
    /// <param name="line">The line, mm.</param>
    /// <param name="step">mm.</param>
    internal static IEnumerable<Point> Of(ImmutableArray<Point> line, double step)
    {
        if (line.IsEmpty)
        {
            yield break;
        }
        yield return line[0];
        for (var i = 1; i < line.Length; i++)
        {
            Budget.Spend();
            var pieces = Math.Max(1, (int)Math.Ceiling(line[i].DistanceTo(line[i - 1]) / step));
            for (var piece = 1; piece <= pieces; piece++)
            {
                yield return Point.Lerp(line[i - 1], line[i], (double)piece / pieces);
            }
        }
    }

    /// <summary>The edges of lines, to be searched.</summary>
    internal static FewEdges Edges(IEnumerable<ImmutableArray<Point>> lines) =>
        new([
            .. lines.SelectMany(line =>
                Enumerable.Range(1, Math.Max(0, line.Length - 1)).Select(i => new SearchedEdge(line[i - 1], line[i]))
            ),
        ]);
}
