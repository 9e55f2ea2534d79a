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
    private const double ChunkLength = 2;

    /// <summary>The radius of curvature must be larger than the longest stroke by this factor.</summary>
    private const double Safety = 1.1;

    /// <summary>A chunk with more rivals than this is searched among all edges.</summary>
    private const int MostRivals = 12;

    private readonly IReadOnlyList<Ring> _rings;
    private readonly bool[][] _isFreeOutside;
    private readonly bool[][] _isFreeInside;
    private readonly Chunk?[][] _crowded;

    /// <param name="rings">All edges, mm.</param>
    /// <param name="longest">The longest reach of a stroke from the edge, to either side, mm.</param>
    internal EdgeRoom(IReadOnlyList<Ring> rings, double longest)
    {
        _rings = rings;
        _crowded = [.. rings.Select(ring => new Chunk?[ring.Points.Length])];
        _isFreeOutside = [.. rings.Select(ring => new bool[ring.Points.Length])];
        _isFreeInside = [.. rings.Select(ring => new bool[ring.Points.Length])];
        var chunks = new List<Chunk>();
        for (var i = 0; i < rings.Count; i++)
        {
            Cut(rings[i], i, longest * Safety, chunks);
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

    private IEnumerable<SearchedEdge> EdgesOf(Chunk chunk)
    {
        var points = _rings[chunk.Ring].Points;
        for (var i = chunk.First; i < chunk.First + chunk.Count; i++)
        {
            Budget.Spend();
            yield return new SearchedEdge(points[i], points[i + 1 < points.Length ? i + 1 : 0]);
        }
    }

    private static void Cut(Ring ring, int number, double tightest, List<Chunk> chunks)
    {
        var points = ring.Points.AsSpan();
        var corners = ring.Corners();
        var (line, along, turned) = (0, 0.0, 0.0);
        var begin = chunks.Count;
        Chunk? open = null;
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
                open = new Chunk(number, i, line, along, turned);
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

    private static void MarkCrowded(List<Chunk> chunks, double near)
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

    private sealed class Chunk(int ring, int first, int line, double from, double turnFrom)
    {
        internal int Ring => ring;

        internal int First => first;

        internal int Line => line;

        /// <summary>How many lines between corners the ring has.</summary>
        internal int Lines { get; set; }

        /// <summary>True when the other lies on the line beyond one of this one's two corners.</summary>
        internal bool IsNextTo(Chunk other) =>
            other.Ring == ring
            && Lines > 2
            && ((line - other.Line + Lines) % Lines is 1 || (other.Line - line + Lines) % Lines is 1);

        internal double From => from;

        internal int Count { get; private set; }

        internal Box Box { get; private set; } = Box.Empty;

        internal bool IsCrowdedOutside { get; private set; }

        internal bool IsCrowdedInside { get; private set; }

        /// <summary>Other chunks that lie near.</summary>
        internal List<Chunk> Rivals { get; } = [];

        /// <summary>Their edges, once they were asked for.</summary>
        internal MedialReach? Reach { get; set; }

        /// <summary>True where the edge itself bends sharply.</summary>
        internal bool Bends { get; private set; }

        /// <summary>Crowds both sides: the edge itself bends sharply.</summary>
        internal void Crowd() => (IsCrowdedOutside, IsCrowdedInside, Bends) = (true, true, true);

        /// <summary>Notes a chunk whose edges may clip strokes of this one.</summary>
        internal void Rival(Chunk other)
        {
            if (Rivals.Count <= MostRivals)
            {
                Rivals.Add(other);
            }
        }

        /// <summary>Crowds the sides on which another chunk lies. Both are nearly straight: where one of three points of the
        /// other lies on a side of this one's chord, so may the rest.</summary>
        internal void CrowdBy(Chunk other)
        {
            if (IsCrowdedOutside && IsCrowdedInside)
            {
                return;
            }
            var outward = (_end - _start).Unit().Outward();
            var bent = Bend + other.Bend;
            foreach (var place in new[] { other._start, Point.Lerp(other._start, other._end, 0.5), other._end })
            {
                var aside = Point.Dot(place - _start, outward);
                // The chord of a bent chunk says less about where its strokes point; nearly on its line, the other crowds both.
                var unsure = OnLine + ((bent + Doubt) * (place - _start).Length);
                IsCrowdedOutside |= aside > -unsure;
                IsCrowdedInside |= aside < unsure;
            }
        }

        /// <summary>How far a chunk may leave its chord's line and count as on it, mm.</summary>
        private const double OnLine = 0.02;

        /// <summary>Directions are taken to be known no better than this, radians.</summary>
        private const double Doubt = 0.1;

        private double Bend => TurnTo - turnFrom;

        private Point _start;
        private Point _end;

        /// <summary>True on the line that holds the ring's first point, unless that is a corner.</summary>
        internal bool IsWrapped { get; set; }

        internal double RingTurn { get; set; }

        internal bool HasCorners { get; set; }

        private double To { get; set; }

        private double TurnTo { get; set; }

        internal void Take(Point start, Point end, double to, double turned)
        {
            if (Count == 0)
            {
                _start = start;
            }
            _end = end;
            Count++;
            Box = Box.Including(start).Including(end);
            (To, TurnTo) = (to, turned);
        }

        /// <summary>True when the other lies on the same smooth line and the way to it turns by at most a quarter.</summary>
        internal bool IsBeside(Chunk other)
        {
            if (other.Ring != ring)
            {
                return false;
            }
            if (other.Line == line && Math.Max(TurnTo, other.TurnTo) - Math.Min(turnFrom, other.TurnFrom) <= Quarter)
            {
                return true;
            }
            // Without corners a line goes on into itself; otherwise only the last line goes on into the first.
            if (!IsWrapped || !other.IsWrapped || (other.Line == line && HasCorners))
            {
                return false;
            }
            var (early, late) = from < other.From ? (this, other) : (other, this);
            return early.TurnTo + RingTurn - late.TurnFrom <= Quarter;
        }

        private double TurnFrom => turnFrom;

        private const double Quarter = Math.PI / 2;
    }
}
