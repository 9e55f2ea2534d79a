using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Knows along which parts of rings a stroke of full length meets nothing: no other edge comes near, and the edge
/// itself does not bend sharply. There the medial axis need not be searched.</summary>
/// <remarks>The edge is looked at in chunks. A ball that touches a line whose radius of curvature is larger than the ball's,
/// and which turns by at most a quarter, lies free of that line; so only chunks farther along, or of other edges, count as
/// near. It errs on the safe side: what is called crowded may be free.</remarks>
internal sealed class EdgeRoom
{
    /// <summary>The radius of curvature must be larger than the longest stroke by this factor.</summary>
    private const double Safety = 1.1;

    /// <summary>A chunk with more rivals than this is searched among all edges.</summary>
    private const int MostRivals = EdgeChunk.MostRivals;

    private readonly IReadOnlyList<Ring> _rings;
    private readonly bool[][] _isFreeOutside;
    private readonly bool[][] _isFreeInside;
    private readonly EdgeChunk?[][] _crowded;

    /// <param name="rings">All edges, mm.</param>
    /// <param name="longest">The longest reach of a stroke from the edge, to either side, mm.</param>
    internal EdgeRoom(IReadOnlyList<Ring> rings, double longest)
    {
        _rings = rings;
        _crowded = [.. rings.Select(ring => new EdgeChunk?[ring.Points.Length])];
        _isFreeOutside = [.. rings.Select(ring => new bool[ring.Points.Length])];
        _isFreeInside = [.. rings.Select(ring => new bool[ring.Points.Length])];
        var chunks = new List<EdgeChunk>();
        for (var i = 0; i < rings.Count; i++)
        {
            if (!CoverEdges.IsSpeck(rings[i]))
            {
                EdgeChunks.Cut(rings[i], i, longest * Safety, chunks);
            }
        }
        MarkCrowded(chunks, 2 * longest);
        foreach (var chunk in chunks)
        {
            Array.Fill(_isFreeOutside[chunk.Ring], !chunk.IsCrowdedOutside, chunk.First, chunk.Count);
            Array.Fill(_isFreeInside[chunk.Ring], !chunk.IsCrowdedInside, chunk.First, chunk.Count);
            Array.Fill(_crowded[chunk.Ring], chunk, chunk.First, chunk.Count);
        }
    }

    /// <summary>True when strokes along the edge from this vertex to the next one, and at both, have their full length outwards.</summary>
    internal bool IsFreeOutside(int ring, int vertex) => _isFreeOutside[ring][vertex];

    /// <summary>The same inwards.</summary>
    internal bool IsFreeInside(int ring, int vertex) => _isFreeInside[ring][vertex];

    /// <summary>The edges that may clip strokes between this vertex and the next one; null when all edges have to be asked.</summary>
    internal MedialReach? Rivals(int ring, int vertex)
    {
        var chunk = _crowded[ring][vertex];
        if (chunk is null || chunk.Bends || chunk.Rivals.Count > MostRivals)
        {
            return null;
        }
        return chunk.Reach ??= new MedialReach(new FewEdges([.. chunk.Rivals.SelectMany(EdgesOf)]));
    }

    /// <summary>True where nothing but the line beyond the next corner can clip strokes, which it does ever more towards that
    /// corner.</summary>
    internal bool IsNearPlainCorner(int ring, int vertex) =>
        _crowded[ring][vertex] is { Bends: false } chunk
        && chunk.Rivals.Count <= MostRivals
        && chunk.Rivals.TrueForAll(rival => !rival.Bends && chunk.IsNextTo(rival));

    private IEnumerable<SearchedEdge> EdgesOf(EdgeChunk chunk)
    {
        var points = _rings[chunk.Ring].Points;
        for (var i = chunk.First; i < chunk.First + chunk.Count; i++)
        {
            Budget.Spend();
            yield return new SearchedEdge(points[i], points[i + 1 < points.Length ? i + 1 : 0]);
        }
    }

    private static void MarkCrowded(List<EdgeChunk> chunks, double near)
    {
        var sorted = chunks.OrderBy(chunk => chunk.Box.MinX).ToArray();
        for (var i = 0; i < sorted.Length; i++)
        {
            var box = sorted[i].Box.Grown(near);
            for (var j = i + 1; j < sorted.Length && sorted[j].Box.MinX <= box.MaxX; j++)
            {
                Budget.Spend();
                if (sorted[j].Box.MinY > box.MaxY || sorted[j].Box.MaxY < box.MinY)
                {
                    continue;
                }
                var isBeside = sorted[i].IsBeside(sorted[j]);
                if (!isBeside)
                {
                    sorted[i].CrowdBy(sorted[j]);
                    sorted[j].CrowdBy(sorted[i]);
                }
                if (!isBeside || sorted[j].Bends)
                {
                    sorted[i].Rival(sorted[j]);
                }
                if (!isBeside || sorted[i].Bends)
                {
                    sorted[j].Rival(sorted[i]);
                }
            }
        }
    }
}
