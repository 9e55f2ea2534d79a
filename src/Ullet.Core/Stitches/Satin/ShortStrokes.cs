using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Turns strokes into needle points and shortens those that would crowd.</summary>
/// <remarks>Where strokes draw together towards one side (round a curve), so many of them end early that thread lies hardly thicker
/// than on a straight edge (<see cref="FanEnds"/>). Ends that would still land on others (where edges face each other) are drawn back,
/// least first, until they stand apart.</remarks>
internal sealed class ShortStrokes
{
    /// <summary>Strokes at least this share of what was asked apart are left as they are: near a side that is not much.</summary>
    private const double Crowded = 0.62;

    /// <summary>From this share on some strokes end early.</summary>
    internal const double Thinned = 0.92;

    /// <summary>Nearer than this share of what was asked strokes may lie too thick together with others.</summary>
    private const double Dense = 0.8;

    /// <summary>How much thicker than on a straight edge thread may lie.</summary>
    internal const double UsualRoom = 1.12;

    /// <summary>The same for strokes over others, a third as many as usual.</summary>
    internal const double OverlapRoom = 0.4;

    /// <summary>How much of its length a stroke may give up, tried in this order.</summary>
    private static readonly double[] Shortenings = [0, 0.05, 0.1, 0.18, 0.28, 0.4];

    /// <summary>Strokes this near to a crowded one are looked at as well.</summary>
    private const int Neighbours = 5;

    private readonly double _apart;
    private readonly double _room;
    private readonly double _narrow;
    private readonly Dictionary<long, int> _heads = [];
    private readonly List<(Point At, int Next)> _holes = [];

    /// <param name="spacing">Distance between neighbouring holes on one side, mm.</param>
    /// <param name="gap">Least distance of holes over the spacing.</param>
    /// <param name="room">How much thicker than on a straight edge thread may lie.</param>
    /// <param name="narrow">Strokes shorter than this are thinned only where they are crowded: a shorter one would lie askew, mm.</param>
    internal ShortStrokes(double spacing, double gap, double room = UsualRoom, double narrow = 0) =>
        (_apart, _room, _narrow) = (spacing * gap, room, narrow);

    /// <summary>Needle points of strokes, to and fro.</summary>
    /// <param name="strokes">In sewing order.</param>
    /// <param name="thread">Takes the points.</param>
    /// <param name="outerFirst">Whether the first stroke is entered at its outer end.</param>
    internal void Sew(ReadOnlySpan<Stroke> strokes, TopThread thread, bool outerFirst = true)
    {
        var fan = new Fan(0, 0, [], IsDoubtful: false);
        var lastCrowded = int.MinValue / 2;
        var nextCrowded = -1;
        for (var i = 0; i < strokes.Length; i++)
        {
            Budget.Spend();
            while (nextCrowded < i || (nextCrowded < strokes.Length && !NeedsLook(strokes[nextCrowded])))
            {
                nextCrowded = Math.Max(nextCrowded + 1, i);
                if (nextCrowded >= strokes.Length)
                {
                    break;
                }
            }
            if (NeedsLook(strokes[i]))
            {
                lastCrowded = i;
            }
            if (i >= fan.End && IsThinned(strokes[i]))
            {
                fan = FanFrom(strokes, i, outerFirst);
            }
            var isOuter = i % 2 == 0 == outerFirst;
            var point = i < fan.End ? fan.Points[i - fan.First] : FullEnd(strokes[i], isOuter);
            var asThinned = point;
            var isBesideCrowd = i - lastCrowded <= Neighbours || nextCrowded - i <= Neighbours;
            if (isBesideCrowd)
            {
                var other = isOuter ? strokes[i].Place.Inner : strokes[i].Place.Outer;
                point = Apart(point, other, mayShorten: i - lastCrowded <= 1 || nextCrowded - i <= 1);
            }
            var full = isOuter ? strokes[i].Place.Outer : strokes[i].Place.Inner;
            thread.Add(
                point,
                fan.IsDoubtful || point != asThinned ? full : point,
                isBesideCrowd || IsDense(strokes[i])
            );
        }
    }

    /// <summary>The crowded strokes from one on, and how they are thinned.</summary>
    private Fan FanFrom(ReadOnlySpan<Stroke> strokes, int first, bool outerFirst)
    {
        var end = first + 1;
        var isTight = IsCrowded(strokes[first]);
        while (end < strokes.Length && end - first < LongestFan && IsThinned(strokes[end]))
        {
            isTight |= IsCrowded(strokes[end]);
            end++;
        }
        if (_room < UsualRoom)
        {
            return new Fan(
                first,
                end,
                FanEnds.Of(strokes[first..end], first, outerFirst, new Thinning(_room, 0)),
                IsDoubtful: false
            );
        }
        var (from, to) = (Math.Max(0, first - Neighbours), Math.Min(strokes.Length, end + Neighbours));
        var seen = strokes[from..to].ToArray();
        if (!isTight)
        {
            var plain = FanEnds.Of(seen, from, outerFirst, new Thinning(GentleRoom, 0));
            return new Fan(first, end, plain[(first - from)..(end - from)], IsDoubtful: false);
        }
        var points = FanChoice.Best(seen, tried => FanEnds.Of(seen, from, outerFirst, tried));
        return new Fan(first, end, points[(first - from)..(end - from)], IsDoubtful: true);
    }

    /// <summary>How much thicker thread may lie where strokes hardly draw together.</summary>
    private const double GentleRoom = 1.12;

    private static Point FullEnd(in Stroke stroke, bool isOuter) => isOuter ? stroke.Place.Outer : stroke.Place.Inner;

    private bool IsThinned(in Stroke stroke)
    {
        var share = stroke.Place.Length < _narrow ? Crowded : Thinned;
        return stroke.OuterShare < share || stroke.InnerShare < share;
    }

    private static bool IsCrowded(in Stroke stroke) => stroke.OuterShare < Crowded || stroke.InnerShare < Crowded;

    private static bool IsDense(in Stroke stroke) => Math.Min(stroke.OuterShare, stroke.InnerShare) < Dense;

    private static bool NeedsLook(in Stroke stroke) => stroke.Place.IsClipped || IsCrowded(stroke);

    /// <summary>Strokes round one tight curve; doubtful where they may not lie well however they are thinned.</summary>
    private readonly record struct Fan(int First, int End, Point[] Points, bool IsDoubtful);

    /// <summary>A curve that stays tight for long is thinned in parts of this many strokes.</summary>
    private const int LongestFan = 80;

    private Point Apart(Point end, Point other, bool mayShorten)
    {
        var best = end;
        var bestGap = -1.0;
        foreach (var share in Shortenings)
        {
            Budget.Spend();
            var candidate = Point.Lerp(end, other, share);
            var gap = Gap(candidate);
            if (gap > bestGap)
            {
                (best, bestGap) = (candidate, gap);
            }
            if (gap >= _apart || !mayShorten)
            {
                break;
            }
        }
        var cell = Cell((int)Math.Floor(best.X / _apart), (int)Math.Floor(best.Y / _apart));
        _holes.Add((best, _heads.GetValueOrDefault(cell, -1)));
        _heads[cell] = _holes.Count - 1;
        return best;
    }

    private double Gap(Point place)
    {
        var nearest = _apart * _apart;
        var (x, y) = ((int)Math.Floor(place.X / _apart), (int)Math.Floor(place.Y / _apart));
        for (var dx = -1; dx <= 1; dx++)
        {
            for (var dy = -1; dy <= 1; dy++)
            {
                var at = _heads.GetValueOrDefault(Cell(x + dx, y + dy), -1);
                for (; at >= 0; at = _holes[at].Next)
                {
                    var away = _holes[at].At - place;
                    nearest = Math.Min(nearest, Point.Dot(away, away));
                }
            }
        }
        return Math.Sqrt(nearest);
    }

    private static long Cell(int x, int y) => ((long)x << 32) ^ (uint)y;
}
