using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Finds the two sides of a cover along a ring: every stroke stands across the edge, ends at the band's sides,
/// and is clipped at the medial axis.</summary>
/// <remarks>Places are set no closer than the edge's own vertices where nothing can clip a stroke (see
/// <see cref="EdgeRoom"/>), and closely where something does.</remarks>
internal sealed class SatinSides
{
    /// <summary>Distance between looks for a clip, mm.</summary>
    private const double Step = 0.4;

    /// <summary>The same where only the leg beyond the next corner can clip, mm.</summary>
    private const double PlainStep = 1.5;

    /// <summary>Places are set no closer than this, mm.</summary>
    private const double CloseStep = 0.06;

    /// <summary>A place halfway may lie this far off evenly, mm; else more are set between.</summary>
    private const double Uneven = 0.02;

    /// <summary>Edges that face each other within this cosine (20° between them) make a narrow place; edges that meet in a
    /// corner do not.</summary>
    private const double Facing = 0.985;

    /// <summary>Nearer to a corner than this the band is a mitre, not a narrow place, mm.</summary>
    private const double CornerReach = 0.3;

    private readonly IReadOnlyList<Ring> _rings;
    private readonly MedialReach _reach;
    private readonly EdgeRoom _room;
    private readonly CoverBand _usual;
    private CoverBand _band;
    private MedialReach _rivals;
    private SpikeTip? _startTip;
    private SpikeTip? _endTip;
    private double _searchedUpTo;
    private double _lastOutward = double.MaxValue;
    private double _lastInward = double.MaxValue;

    /// <param name="rings">All edges of the outline, mm.</param>
    /// <param name="band">The band along them.</param>
    internal SatinSides(IReadOnlyList<Ring> rings, CoverBand band)
    {
        (_rings, _usual, _band) = (rings, band, band);
        var longest = Math.Max(band.Outside, band.Inside);
        // What gets no cover of its own clips none.
        var edges = rings.Where(ring => !CoverEdges.IsSpeck(ring)).ToList();
        _reach = _rivals = new MedialReach(new SegmentIndex(edges, Math.Clamp(longest, 1, 4)));
        _room = new EdgeRoom(rings, longest);
    }

    /// <summary>The legs of a ring between its corners, from a vertex round to it; that need not be a corner.</summary>
    /// <param name="number">Which ring.</param>
    /// <param name="start">The vertex to begin at.</param>
    /// <param name="bandOf">Another band for a leg, by the leg's line; null for the usual one everywhere.</param>
    internal List<SatinLeg> Legs(int number, int start, Func<ReadOnlyMemory<Point>, CoverBand?>? bandOf = null)
    {
        var ring = _rings[number];
        var corners = ring.Corners();
        if (corners.IsEmpty)
        {
            return
            [
                Leg(Line(ring, start, start + ring.Points.Length), number, start, null, null, closed: true, bandOf),
            ];
        }
        var count = ring.Points.Length;
        int[] stops = corners.Contains(start) ? [.. corners] : [.. corners.Append(start).Order()];
        double? TurnAt(int stop) => stop != start || stops.Length == corners.Length ? ring.TurnAt(stop) : null;
        var from = Array.IndexOf(stops, start);
        var legs = new List<SatinLeg>(stops.Length);
        for (var i = 0; i < stops.Length; i++)
        {
            Budget.Spend();
            var here = stops[(from + i) % stops.Length];
            var next = stops[(from + i + 1) % stops.Length];
            var line = Line(ring, here, next > here ? next : next + count);
            legs.Add(Leg(line, number, here, TurnAt(here), TurnAt(next), closed: false, bandOf));
        }
        return legs;
    }

    /// <summary>The legs of a stretch of a ring that is open at both ends, where its cover ends square.</summary>
    internal List<SatinLeg> Legs(OpenStretch stretch, Func<ReadOnlyMemory<Point>, CoverBand?>? bandOf = null)
    {
        var points = stretch.Points;
        double Turn(int i) => Point.Turn(points[i] - points[i - 1], points[i + 1] - points[i]);
        var corners = Enumerable
            .Range(1, Math.Max(0, points.Length - 2))
            .Where(i => Tolerance.IsCorner(points[i] - points[i - 1], points[i + 1] - points[i]));
        int[] stops = [0, .. corners, points.Length - 1];
        return
        [
            .. stops
                .Zip(stops.Skip(1))
                .Select(pair =>
                    Leg(
                        [.. points[pair.First..(pair.Second + 1)]],
                        -1,
                        0,
                        pair.First == 0 ? null : Turn(pair.First),
                        pair.Second == points.Length - 1 ? null : Turn(pair.Second),
                        closed: false,
                        bandOf
                    )
                ),
        ];
    }

    private static Point[] Line(Ring ring, int from, int to)
    {
        var points = ring.Points.AsSpan();
        var line = new Point[to - from + 1];
        for (var i = 0; i < line.Length; i++)
        {
            Budget.Spend();
            line[i] = points[(from + i) % points.Length];
        }
        return line;
    }

    /// <summary>One leg between corners; a null turn is an open end, or the seam of a ring without corners.</summary>
    private SatinLeg Leg(
        Point[] points,
        int ring,
        int firstVertex,
        double? turnAtStart,
        double? turnAtEnd,
        bool closed,
        Func<ReadOnlyMemory<Point>, CoverBand?>? bandOf
    )
    {
        _band = bandOf?.Invoke(points) ?? _usual;
        // Room was measured for the usual band; a wider one is searched for clips everywhere.
        var known = ring >= 0 && Math.Max(_band.Outside, _band.Inside) <= Math.Max(_usual.Outside, _usual.Inside);
        (_startTip, _endTip) = (SpikeTip.Of(points[0], turnAtStart), SpikeTip.Of(points[^1], turnAtEnd));
        var normals = EdgeNormals.Of(points, closed);
        if (ring >= 0 && !closed)
        {
            // Where a cover begins amid a line both its ends stand alike.
            var all = _rings[ring].Points;
            normals[0] = turnAtStart is null ? EdgeNormals.At(all, firstVertex) : normals[0];
            normals[^1] = turnAtEnd is null
                ? EdgeNormals.At(all, (firstVertex + points.Length - 1) % all.Length)
                : normals[^1];
        }
        var places = new List<StrokePlace>((2 * points.Length) + 64);
        NarrowPlace? narrowest = null;
        if (turnAtStart is { } first)
        {
            CornerCap.Add(points[0], points[1], first, ahead: false, _band, _reach, places);
            places.Reverse();
        }
        var begin = places.Count;
        var count = ring < 0 ? 0 : _rings[ring].Points.Length;
        for (var i = 0; i + 1 < points.Length; i++)
        {
            var vertex = count == 0 ? 0 : (firstVertex + i) % count;
            var isFree = (known && _room.IsFreeOutside(ring, vertex), known && _room.IsFreeInside(ring, vertex));
            if (isFree is (true, true))
            {
                places.Add(FreePlace(points[i], normals[i]));
                _searchedUpTo = i;
                continue;
            }
            _rivals = (known ? _room.Rivals(ring, vertex) : null) ?? _reach;
            var step = known && _room.IsNearPlainCorner(ring, vertex) ? PlainStep : Step;
            var steps = Math.Max(1, (int)Math.Ceiling(points[i].DistanceTo(points[i + 1]) / step));
            for (var s = 0; s < steps; s++)
            {
                Budget.Spend();
                AddSearched(points, normals, i + (s / (double)steps), isFree, begin, places, ref narrowest);
            }
        }
        var lastVertex = count == 0 ? 0 : (firstVertex + points.Length - 2) % count;
        var isLastFree = (
            known && _room.IsFreeOutside(ring, lastVertex),
            known && _room.IsFreeInside(ring, lastVertex)
        );
        if (isLastFree is (true, true))
        {
            places.Add(FreePlace(points[^1], normals[^1]));
        }
        else
        {
            AddSearched(points, normals, points.Length - 1, isLastFree, begin, places, ref narrowest);
        }
        var end = places.Count - 1;
        if (turnAtEnd is { } last)
        {
            CornerCap.Add(points[^1], points[^2], last, ahead: true, _band, _reach, places);
        }
        return new SatinLeg([.. places], begin, end, narrowest, points);
    }

    private StrokePlace FreePlace(Point foot, Point normal) =>
        new(foot + (normal * _band.Outside), foot - (normal * _band.Inside)) { Foot = foot };

    /// <summary>Adds the place at a vertex or between two, and more before it where something clips and does not do so evenly.</summary>
    private void AddSearched(
        Point[] points,
        Point[] normals,
        double at,
        (bool Outside, bool Inside) isFree,
        int begin,
        List<StrokePlace> places,
        ref NarrowPlace? narrowest
    )
    {
        var place = PlaceAt(points, normals, at, isFree, ref narrowest);
        if (places.Count > begin && (place.IsClipped || places[^1].IsClipped))
        {
            AddBetween(points, normals, (_searchedUpTo, places[^1]), (at, place), isFree, places, ref narrowest);
        }
        places.Add(place);
        _searchedUpTo = at;
    }

    private void AddBetween(
        Point[] points,
        Point[] normals,
        (double At, StrokePlace Place) from,
        (double At, StrokePlace Place) to,
        (bool Outside, bool Inside) isFree,
        List<StrokePlace> places,
        ref NarrowPlace? narrowest
    )
    {
        var span = points[(int)Math.Min(from.At, points.Length - 2)]
            .DistanceTo(points[(int)Math.Min(Math.Floor(from.At) + 1, points.Length - 1)]);
        if (span * (to.At - from.At) <= CloseStep)
        {
            return;
        }
        var at = (from.At + to.At) / 2;
        var place = PlaceAt(points, normals, at, isFree, ref narrowest);
        var isEven =
            Point.Lerp(from.Place.Outer, to.Place.Outer, 0.5).DistanceTo(place.Outer) < Uneven
            && Point.Lerp(from.Place.Inner, to.Place.Inner, 0.5).DistanceTo(place.Inner) < Uneven;
        if (isEven)
        {
            places.Add(place);
            return;
        }
        AddBetween(points, normals, from, (at, place), isFree, places, ref narrowest);
        places.Add(place);
        AddBetween(points, normals, (at, place), to, isFree, places, ref narrowest);
    }

    private StrokePlace PlaceAt(
        Point[] points,
        Point[] normals,
        double at,
        (bool Outside, bool Inside) isFree,
        ref NarrowPlace? narrowest
    )
    {
        var i = Math.Min((int)at, points.Length - 2);
        var t = at - i;
        return Place(
            Point.Lerp(points[i], points[i + 1], t),
            Point.Lerp(normals[i], normals[i + 1], t).Unit(),
            isFree,
            ref narrowest
        );
    }

    private StrokePlace Place(Point foot, Point normal, (bool Outside, bool Inside) isFree, ref NarrowPlace? narrowest)
    {
        var outward =
            isFree.Outside || _band.Outside <= 0
                ? _band.Outside
                : _rivals.Of(foot, normal, _band.Outside, _lastOutward).Reach;
        var (inward, stop) = isFree.Inside
            ? (_band.Inside, null)
            : _rivals.Of(foot, normal * -1, _band.Inside, _lastInward);
        (outward, inward) = _startTip?.Clip(foot, outward, inward) ?? (outward, inward);
        (outward, inward) = _endTip?.Clip(foot, outward, inward) ?? (outward, inward);
        (_lastOutward, _lastInward) = (outward, inward);
        var (isOuterClipped, isInnerClipped) = (outward < _band.Outside - 1e-9, inward < _band.Inside - 1e-9);
        if (inward > CornerReach && stop is { } facing && Point.Dot((facing - foot).Unit(), normal * -1) > Facing)
        {
            // What lies across an edge is never sewn narrower than this: it would not hold it.
            inward =
                _band.Outside > 0
                    ? Math.Max(inward, Math.Min(_band.Inside, StitchDefaults.NarrowestCover - outward))
                    : inward;
            var width = outward + inward;
            if (narrowest is null || width < narrowest.Width)
            {
                narrowest = new NarrowPlace(foot, width);
            }
        }
        return new StrokePlace(foot + (normal * outward), foot - (normal * Math.Max(inward, -outward)))
        {
            IsClipped = isOuterClipped || isInnerClipped,
            IsOuterClipped = isOuterClipped,
            IsInnerClipped = isInnerClipped,
            Foot = foot,
        };
    }
}
