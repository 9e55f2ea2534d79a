using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Cuts edges into chunks.</summary>
internal static class EdgeChunks
{
    private const double ChunkLength = 2;

    /// <summary>Adds the chunks of a ring; each marks where it bends more sharply than the radius.</summary>
    internal static void Cut(Ring ring, int number, double tightest, List<EdgeChunk> chunks)
    {
        var points = ring.Points.AsSpan();
        var corners = ring.Corners();
        var (line, along, turned) = (0, 0.0, 0.0);
        var begin = chunks.Count;
        EdgeChunk? open = null;
        var nextCorner = 0;
        for (var i = 0; i < points.Length; i++)
        {
            var (before, here, after) = (
                points[i > 0 ? i - 1 : points.Length - 1],
                points[i],
                points[i + 1 < points.Length ? i + 1 : 0]
            );
            var (into, onward) = (here - before, after - here);
            var isCorner = nextCorner < corners.Length && corners[nextCorner] == i;
            var bends = false;
            if (isCorner)
            {
                nextCorner++;
                line++;
            }
            else
            {
                var (a, b) = (into.Length, onward.Length);
                var sine = a * b < 1e-12 ? 0 : Math.Abs(Point.Cross(into, onward)) / (a * b);
                turned += Math.Asin(Math.Min(1, sine));
                bends = sine * tightest > (a + b) / 2;
            }
            if (open is null || isCorner || along - open.From >= ChunkLength)
            {
                if (bends && open is not null)
                {
                    open.Crowd();
                }
                open = new EdgeChunk(number, i, line, along, turned);
                chunks.Add(open);
            }
            if (bends)
            {
                open.Crowd();
            }
            along += onward.Length;
            open.Take(here, after, along, turned);
        }
        foreach (var chunk in chunks.Skip(begin))
        {
            Budget.Spend();
            chunk.Lines = corners.Length;
        }
        if (corners.Length > 0 && corners[0] == 0)
        {
            return;
        }
        // The walk began amid a line: what follows the last corner is the same line as what comes before the first.
        foreach (var chunk in chunks.Skip(begin))
        {
            Budget.Spend();
            (chunk.RingTurn, chunk.HasCorners) = (turned, corners.Length > 0);
            chunk.IsWrapped = chunk.Line == 0 || chunk.Line == line;
        }
    }
}
