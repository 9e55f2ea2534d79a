using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>A short part of an edge between corners, with what lies near it.</summary>
internal sealed class EdgeChunk(int ring, int first, int line, double from, double turnFrom)
{
    /// <summary>Of one with more rivals all edges are asked.</summary>
    internal const int MostRivals = 12;

    internal int Ring => ring;

    internal int First => first;

    internal int Line => line;

    /// <summary>How many lines between corners the ring has.</summary>
    internal int Lines { get; set; }

    /// <summary>True when the other lies on the line beyond one of this one's two corners.</summary>
    internal bool IsNextTo(EdgeChunk other) =>
        other.Ring == ring
        && Lines > 2
        && ((line - other.Line + Lines) % Lines is 1 || (other.Line - line + Lines) % Lines is 1);

    internal double From => from;

    internal int Count { get; private set; }

    internal Box Box { get; private set; } = Box.Empty;

    internal bool IsCrowdedOutside { get; private set; }

    internal bool IsCrowdedInside { get; private set; }

    /// <summary>Other chunks that lie near.</summary>
    internal List<EdgeChunk> Rivals { get; } = [];

    /// <summary>Their edges, once they were asked for.</summary>
    internal MedialReach? Reach { get; set; }

    /// <summary>True where the edge itself bends sharply.</summary>
    internal bool Bends { get; private set; }

    /// <summary>Crowds both sides: the edge itself bends sharply.</summary>
    internal void Crowd() => (IsCrowdedOutside, IsCrowdedInside, Bends) = (true, true, true);

    /// <summary>Notes a chunk whose edges may clip strokes of this one.</summary>
    internal void Rival(EdgeChunk other)
    {
        if (Rivals.Count <= MostRivals)
        {
            Rivals.Add(other);
        }
    }

    /// <summary>Crowds the sides on which another chunk lies. Both are nearly straight: where one of three points of the
    /// other lies on a side of this one's chord, so may the rest.</summary>
    internal void CrowdBy(EdgeChunk other)
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
    internal bool IsBeside(EdgeChunk other)
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
