using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>A ring without detail that thread can't follow: nicks, ledges and noise finer than a stitch, which would clip every stroke
/// near them.</summary>
/// <remarks>Only where corners turn to and fro within <see cref="Fine"/> is the ring looked at; the rest keeps its points. Such a stretch
/// is averaged along its length between the corners that stay corners over a longer way. What lies farther off than a drift keeps that
/// distance, and a stretch that is another form on purpose stays as it is.</remarks>
public static class SmoothedRing
{
    /// <summary>How far stitching may lie from its outline where that is rough and nothing else is set, mm.</summary>
    public const double Drift = 0.15;

    /// <summary>A moved place is looked for within this, mm.</summary>
    private const double Farthest = 2;

    /// <summary>Corners to and fro nearer to each other than this are detail, mm.</summary>
    private const double Fine = 1.2;

    /// <summary>A rough stretch reaches this far beyond its outermost corners, mm.</summary>
    private const double Beyond = 1.5;

    /// <summary>Distance of the places that are averaged, mm.</summary>
    private const double Step = 0.2;

    /// <summary>So many places to either side are averaged; fewer where that takes too much away.</summary>
    private static readonly int[] Reaches = [6, 3];

    /// <summary>The same for what is averaged once more.</summary>
    private const int KinkReach = 2;

    /// <summary>Directions that differ by more over so many places either way make a corner that is meant, degrees.</summary>
    private const double MeantTurn = 50;

    /// <summary>What a stretch may lose is no more than so many drifts; beyond, it is a form of its own.</summary>
    private const double MostLost = 1.6;

    /// <summary>Points that leave a straight line by less than this are left out, mm.</summary>
    private const double Flat = 0.008;

    /// <summary>The ring smoothed; the same ring where it has no such detail.</summary>
    /// <param name="ring">The ring, mm.</param>
    /// <param name="drift">How far it may move, mm.</param>
    public static Ring Of(Ring ring, double drift = Drift)
    {
        var spans = drift > 0 ? RoughSpans(ring) : [];
        if (spans.Count == 0)
        {
            return ring;
        }
        ImmutableArray<Point> closed = [.. ring.Points, ring.Points[0]];
        var along = new ArcLength(closed);
        if (spans is [var only] && only.To - only.From >= along.Total - Beyond)
        {
            return
                Smoothed(Even(along, 0, along.Total)[..^1], isClosed: true, drift, ring.Corners().Length) is { } round
                ? Ring.Of(ShortLoops.Removed(round))
                : ring;
        }
        var points = new List<Point>();
        for (var k = 0; k < spans.Count; k++)
        {
            var (from, to) = spans[k];
            var even = Even(along, from, to);
            var corners = ring.Corners().Count(corner => IsIn(along.OfVertex(corner), from, to, along.Total));
            points.AddRange(Smoothed(even, isClosed: false, drift, corners) ?? Between(closed, along, from, to));
            // Up to the next span the ring keeps its points.
            var next = k + 1 < spans.Count ? spans[k + 1].From : spans[0].From + along.Total;
            points.AddRange(Between(closed, along, to, next));
        }
        return Ring.Of(ShortLoops.Removed(points));
    }

    /// <summary>Parts as stitches follow them.</summary>
    /// <param name="parts">The parts, mm.</param>
    /// <param name="drift">How far their edges may move, mm.</param>
    public static ImmutableArray<Region> Of(IEnumerable<Region> parts, double drift = Drift) =>
        [.. parts.Select(part => new Region(Of(part.Shell, drift), [.. part.Holes.Select(hole => Of(hole, drift))]))];

    /// <summary>How far a ring moved when it was smoothed, mm, and where most; 0 where it is the same ring.</summary>
    public static (double Length, Point At) DriftOf(Ring ring, Ring smoothed)
    {
        if (ReferenceEquals(smoothed, ring) || ring.Points.IsEmpty)
        {
            return (0, Point.Zero);
        }
        var index = new SegmentIndex([smoothed], 1);
        var (most, at) = (0.0, ring.Points[0]);
        foreach (var point in ring.Points)
        {
            var away = (index.Nearest(point, Farthest) ?? point).DistanceTo(point);
            (most, at) = away > most ? (away, point) : (most, at);
        }
        return (most, at);
    }

    /// <summary>The stretches that are rough, as distances along the ring, in order; the last one may go on beyond its end.</summary>
    private static List<(double From, double To)> RoughSpans(Ring ring)
    {
        var corners = ring.Corners();
        var spans = new List<(double From, double To)>();
        if (corners.Length < 2)
        {
            return spans;
        }
        var along = new ArcLength([.. ring.Points, ring.Points[0]]);
        var total = along.Total;
        for (var k = 0; k < corners.Length; k++)
        {
            Budget.Spend();
            var (here, next) = (corners[k], corners[(k + 1) % corners.Length]);
            var (from, to) = (along.OfVertex(here), along.OfVertex(next));
            to += k + 1 == corners.Length ? total : 0;
            if (to - from > Fine || ring.TurnAt(here) > 0 == ring.TurnAt(next) > 0)
            {
                continue;
            }
            (from, to) = (from - Beyond, to + Beyond);
            if (spans.Count > 0 && spans[^1].To >= from)
            {
                spans[^1] = (spans[^1].From, Math.Max(to, spans[^1].To));
            }
            else
            {
                spans.Add((from, to));
            }
        }
        // What reaches over the ring's first point joins the first stretch.
        while (spans.Count > 1 && spans[^1].To - total >= spans[0].From)
        {
            spans[0] = (spans[^1].From - total, Math.Max(spans[0].To, spans[^1].To - total));
            spans.RemoveAt(spans.Count - 1);
        }
        return spans is [var only] && only.To - only.From > total ? [(0, total)] : spans;
    }

    private static bool IsIn(double at, double from, double to, double total) =>
        (at >= from && at <= to)
        || (at - total >= from && at - total <= to)
        || (at + total >= from && at + total <= to);

    private static Point[] Even(ArcLength along, double from, double to)
    {
        var count = Math.Max(2, (int)Math.Round((to - from) / Step));
        var total = along.Total;
        var even = new Point[count + 1];
        for (var i = 0; i <= count; i++)
        {
            Budget.Spend();
            var at = (from + ((to - from) * i / count)) % total;
            even[i] = along.At(at < 0 ? at + total : at);
        }
        return even;
    }

    /// <summary>The ring's own points from one distance along it to another, both ends counted in.</summary>
    private static IEnumerable<Point> Between(ImmutableArray<Point> closed, ArcLength along, double from, double to)
    {
        var total = along.Total;
        double In(double at) => ((at % total) + total) % total;
        yield return along.At(In(from));
        for (var lap = Math.Floor(from / total); lap * total < to; lap++)
        {
            for (var i = 0; i < closed.Length - 1; i++)
            {
                Budget.Spend();
                var at = along.OfVertex(i) + (lap * total);
                if (at > from + Tolerance.Quantum && at < to - Tolerance.Quantum)
                {
                    yield return closed[i];
                }
            }
        }
        yield return along.At(In(to));
    }

    /// <summary>Places averaged; null where they are a form of their own.</summary>
    private static List<Point>? Smoothed(Point[] even, bool isClosed, double drift, int cornerCount) =>
        Reaches
            .Select(reach => Smoothed(even, isClosed, drift, cornerCount, reach))
            .FirstOrDefault(calm => calm is not null);

    private static List<Point>? Smoothed(Point[] even, bool isClosed, double drift, int cornerCount, int reach)
    {
        var corners = Corners(even, isClosed, reach);
        if (corners.Count(isCorner => isCorner) >= cornerCount)
        {
            return null;
        }
        var room = Room(corners, isClosed, reach);
        var calm = Averaged(Averaged(even, room), room);
        if (even.Zip(calm).Any(pair => pair.First.DistanceTo(pair.Second) > MostLost * drift))
        {
            return null;
        }
        // What is held back at the drift stands out as a kink, which is averaged once more.
        Hold(calm, even, drift);
        calm = Averaged(calm, [.. room.Select(places => Math.Min(places, KinkReach))]);
        Hold(calm, even, drift);
        return [.. PlaneGeometry.Simplified([.. calm], Flat)];
    }

    /// <summary>Brings back to the drift what was moved farther.</summary>
    private static void Hold(Point[] moved, Point[] from, double drift)
    {
        for (var i = 0; i < moved.Length; i++)
        {
            Budget.Spend();
            var away = moved[i] - from[i];
            moved[i] = away.Length > drift ? from[i] + (away.Unit() * drift) : moved[i];
        }
    }

    private static bool[] Corners(Point[] even, bool isClosed, int reach)
    {
        var count = even.Length;
        Point At(int i) => isClosed ? even[(i + count) % count] : even[Math.Clamp(i, 0, count - 1)];
        var turns = new double[count];
        for (var i = isClosed ? 0 : reach; i < (isClosed ? count : count - reach); i++)
        {
            Budget.Spend();
            turns[i] = Math.Abs(Point.Turn(At(i) - At(i - reach), At(i + reach) - At(i)));
        }
        var corners = new bool[count];
        for (var i = 0; i < count; i++)
        {
            var isSharpest = turns[i] > MeantTurn;
            for (var d = 1; d <= reach && isSharpest; d++)
            {
                isSharpest &= turns[i] >= turns[(i - d + count) % count] && turns[i] > turns[(i + d) % count];
            }
            corners[i] = isSharpest;
        }
        return corners;
    }

    /// <summary>Each place's mean with its neighbours, as many either way as lie before a corner or an end.</summary>
    private static Point[] Averaged(Point[] places, int[] room)
    {
        var count = places.Length;
        var averaged = new Point[count];
        for (var i = 0; i < count; i++)
        {
            Budget.Spend();
            var sum = Point.Zero;
            for (var d = -room[i]; d <= room[i]; d++)
            {
                sum += places[(i + d + count) % count];
            }
            averaged[i] = sum * (1.0 / ((2 * room[i]) + 1));
        }
        return averaged;
    }

    private static int[] Room(bool[] corners, bool isClosed, int reach)
    {
        var count = corners.Length;
        var room = new int[count];
        for (var i = 0; i < count; i++)
        {
            Budget.Spend();
            var free = isClosed ? reach : Math.Min(reach, Math.Min(i, count - 1 - i));
            for (var d = 0; d < free; d++)
            {
                if (corners[(i + d) % count] || corners[(i - d + count) % count])
                {
                    free = d;
                }
            }
            room[i] = Math.Min(free, (count - 1) / 2);
        }
        return room;
    }
}
