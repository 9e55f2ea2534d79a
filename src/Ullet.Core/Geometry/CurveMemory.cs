using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Gives polylines that were cut out of flattened curves their curves back.</summary>
/// <remarks>Overlays work on points. Every edge of their results lies on an edge of what went in, so the stretches of the
/// first curves can be found again: a result has the nodes of its sources and one for every crossing, and differs from
/// them by no more than the flattening and the overlay's grid do, at its crossings alone.</remarks>
internal sealed class CurveMemory
{
    /// <summary>How far an edge may lie from the edge that it came from, mm: the grid's rounding at both ends.</summary>
    private const double Near = 0.004;

    /// <summary>Edges shorter than this have no direction worth asking, mm.</summary>
    private const double Speck = 0.003;

    /// <summary>Cosine between an edge and the one it came from: specks aside, the grid bends edges by less.</summary>
    private const double Parallel = 0.9;

    private readonly List<Piece> _pieces = [];
    private readonly List<Curve> _curves = [];
    private readonly Dictionary<(long, long), List<int>> _vertices = [];
    private readonly List<Ring> _rings = [];
    private SegmentIndex? _index;

    /// <param name="paths">Every path that went into the overlay, flattened as it was for it.</param>
    /// <param name="tolerance">The tolerance of that flattening, mm.</param>
    internal CurveMemory(IEnumerable<ImmutableArray<Curve>> paths, double tolerance = Tolerance.Flatten)
    {
        foreach (var path in paths)
        {
            var points = ImmutableArray.CreateBuilder<Point>();
            points.Add(path[0].Start);
            foreach (var curve in path)
            {
                Remember(curve, points, tolerance);
            }
            // The index closes its rings; the closing edge of a path that is closed already has no length.
            _pieces.Add(new Piece(-1, 0, 0));
            for (var i = 0; i < points.Count; i++)
            {
                var vertex = PlaneGeometry.GridOf(points[i]);
                if (!_vertices.TryGetValue(vertex, out var numbers))
                {
                    _vertices[vertex] = numbers = [];
                }
                numbers.Add(_pieces.Count - points.Count + i);
            }
            _rings.Add(new Ring(points.ToImmutable()));
        }
    }

    /// <summary>The contour that a ring of an overlay's result is.</summary>
    internal Contour Restore(Ring ring) => new(Curves([.. ring.Points, ring.Points[0]], closed: true));

    /// <summary>The open line that a polyline of an overlay's result is.</summary>
    internal OpenPath Restore(ImmutableArray<Point> line) => new(Curves(line, closed: false));

    private void Remember(Curve curve, ImmutableArray<Point>.Builder points, double tolerance)
    {
        var number = _curves.Count;
        _curves.Add(curve);
        var flat = new List<Point>();
        curve.Flatten(tolerance, flat);
        for (var i = 0; i < flat.Count; i++)
        {
            points.Add(flat[i]);
            _pieces.Add(new Piece(number, i / (double)flat.Count, (i + 1) / (double)flat.Count));
        }
    }

    private ImmutableArray<Curve> Curves(ImmutableArray<Point> points, bool closed)
    {
        var stretches = Stretches(points);
        if (closed && stretches.Count > 1 && stretches[0].Continues(stretches[^1]))
        {
            stretches[0] = stretches[0] with { Start = stretches[^1].Start, From = stretches[^1].From };
            stretches.RemoveAt(stretches.Count - 1);
        }
        var curves = ImmutableArray.CreateBuilder<Curve>(stretches.Count);
        var first = Joint(closed ? stretches[^1] : null, stretches[0]);
        var at = first;
        for (var i = 0; i < stretches.Count; i++)
        {
            var end =
                i + 1 < stretches.Count ? Joint(stretches[i], stretches[i + 1])
                : closed ? first
                : Joint(stretches[i], null);
            if (stretches.Count == 1 || at.DistanceTo(end) > Tolerance.Same)
            {
                curves.Add(Between(stretches[i], at, end));
            }
            at = end;
        }
        return curves.ToImmutable();
    }

    /// <summary>Runs of edges that lie on one curve, in one direction.</summary>
    private List<Stretch> Stretches(ImmutableArray<Point> points)
    {
        var stretches = new List<Stretch>();
        for (var i = 0; i + 1 < points.Length; i++)
        {
            Budget.Spend();
            var found = Find(points[i], points[i + 1], stretches.Count > 0 ? stretches[^1] : null);
            if (stretches.Count > 0 && found.Continues(stretches[^1]))
            {
                stretches[^1] = stretches[^1] with { End = found.End, To = found.To };
            }
            else if (stretches.Count > 0 && found.Curve < 0 && found.Start.DistanceTo(found.End) < Speck)
            {
                // A speck between two stretches is the grid's; the one before it reaches over.
                stretches[^1] = stretches[^1] with
                {
                    End = found.End,
                };
            }
            else
            {
                stretches.Add(found);
            }
        }
        return stretches;
    }

    /// <summary>The stretch of a source that an edge lies on: nearly every edge has a vertex of its source, crossings aside.</summary>
    private Stretch Find(Point start, Point end, Stretch? before) =>
        Best(start, end, before, Beside(start, end))
        ?? Best(start, end, before, Index.Within(Point.Lerp(start, end, 0.5), Near))
        ?? new Stretch(-1, true, start, end, 0, 1);

    private SegmentIndex Index => _index ??= new SegmentIndex(_rings, 1);

    /// <summary>The edges of the sources that begin or end where an edge does, and come near its middle.</summary>
    private IEnumerable<int> Beside(Point start, Point end)
    {
        var middle = Point.Lerp(start, end, 0.5);
        foreach (var vertex in new[] { start, end })
        {
            foreach (var number in _vertices.GetValueOrDefault(PlaneGeometry.GridOf(vertex)) ?? [])
            {
                for (var piece = Math.Max(0, number - 1); piece <= number; piece++)
                {
                    if (_pieces[piece] is { Curve: >= 0 } known)
                    {
                        var curve = _curves[known.Curve];
                        var foot = SegmentIndex.Foot(middle, curve.At(known.From), curve.At(known.To));
                        if (foot.DistanceTo(middle) <= Near)
                        {
                            yield return piece;
                        }
                    }
                }
            }
        }
    }

    private Stretch? Best(Point start, Point end, Stretch? before, IEnumerable<int> candidates)
    {
        var (middle, along) = (Point.Lerp(start, end, 0.5), (end - start).Unit());
        var isSpeck = start.DistanceTo(end) < Speck;
        Stretch? best = null;
        var bestDistance = double.MaxValue;
        foreach (var number in candidates)
        {
            Budget.Spend();
            var piece = _pieces[number];
            if (piece.Curve < 0)
            {
                continue;
            }
            var curve = _curves[piece.Curve];
            var (a, b) = (curve.At(piece.From), curve.At(piece.To));
            var turn = Point.Dot(along, (b - a).Unit());
            if (!isSpeck && Math.Abs(turn) < Parallel)
            {
                continue;
            }
            var found = new Stretch(
                piece.Curve,
                turn > 0,
                start,
                end,
                piece.Parameter(a, b, start),
                piece.Parameter(a, b, end)
            );
            var distance = SegmentIndex.Foot(middle, a, b).DistanceTo(middle);
            if (before is not null && found.Continues(before))
            {
                return found;
            }
            if (!isSpeck && distance < bestDistance)
            {
                (best, bestDistance) = (found, distance);
            }
        }
        return best;
    }

    /// <summary>Where two stretches meet: the node of their curves where they meet in one, the crossing otherwise.</summary>
    private Point Joint(Stretch? before, Stretch? after)
    {
        var at = after?.Start ?? before!.End;
        foreach (var end in new[] { after is null ? null : StartOf(after), before is null ? null : EndOf(before) })
        {
            if (end is { } node && node.DistanceTo(at) < Near)
            {
                return node;
            }
        }
        return at;
    }

    private Point? StartOf(Stretch stretch) =>
        stretch.Curve < 0 ? null
        : stretch.Forward ? _curves[stretch.Curve].Start
        : _curves[stretch.Curve].End;

    private Point? EndOf(Stretch stretch) =>
        stretch.Curve < 0 ? null
        : stretch.Forward ? _curves[stretch.Curve].End
        : _curves[stretch.Curve].Start;

    private Curve Between(Stretch stretch, Point start, Point end)
    {
        if (stretch.Curve < 0 || _curves[stretch.Curve].IsLine)
        {
            return Curve.Line(start, end);
        }
        var curve = _curves[stretch.Curve];
        var part = curve.Part(
            start == StartOf(stretch) ? (stretch.Forward ? 0 : 1) : stretch.From,
            end == EndOf(stretch) ? (stretch.Forward ? 1 : 0) : stretch.To
        );
        var (into, outOf) = (start - part.Start, end - part.End);
        return Curve.Cubic(start, part.Control1 + into, part.Control2 + outOf, end);
    }

    /// <summary>An edge of the flattened paths: its curve, and the parameters at its ends.</summary>
    private readonly record struct Piece(int Curve, double From, double To)
    {
        internal double Parameter(Point a, Point b, Point place)
        {
            var along = b - a;
            var square = Point.Dot(along, along);
            var share = square < 1e-18 ? 0 : Point.Dot(place - a, along) / square;
            return Math.Clamp(From + ((To - From) * Math.Clamp(share, 0, 1)), 0, 1);
        }
    }

    private sealed record Stretch(int Curve, bool Forward, Point Start, Point End, double From, double To)
    {
        /// <summary>True when this goes on along the curve of another, the same way, from where that one ended.</summary>
        internal bool Continues(Stretch before) =>
            Curve >= 0
            && Curve == before.Curve
            && (Math.Abs(before.To - From) < 0.25 || before.Start == before.End)
            && (Forward ? From >= before.To - 0.05 : From <= before.To + 0.05)
            && Forward == before.Forward;
    }
}
