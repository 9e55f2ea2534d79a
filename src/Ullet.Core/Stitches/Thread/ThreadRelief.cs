using System.Collections.Concurrent;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Mends a cover's top thread after strokes were spread and shortened, where legs, caps, tight curves and facing edges
/// meet in ways that no single leg knows of: bare cloth between shortened strokes is covered, and thread is taken away where
/// more than is promised lies.</summary>
/// <remarks>Thread is counted on a grid. Shortened strokes are given back as much length as covers bare cells. Then, at every place
/// where more layers lie than may, first where two are too many, the change is looked for (a needle point drawn back, a stroke to and fro
/// left out) that takes most thread away for the cloth that it bares; where none helps the place is given up.</remarks>
internal sealed class ThreadRelief
{
    /// <summary>How many layers may lie at a place, over what lies on a straight edge.</summary>
    private const double Most = 1.5;

    /// <summary>Nearer by this to where it is not, a place counts as beside the overlap, mm.</summary>
    private const double OverlapMargin = 0.3;

    private const int MostChanges = 60;

    /// <summary>Even loosely set strokes lie so many layers thick where they turn.</summary>
    private const int LeastMost = 3;

    /// <summary>So many changes are tried on one cover; a frayed edge of thousands of corners can't be sewn well anyway, and the
    /// findings say so.</summary>
    private const int MostTries = 200_000;

    /// <summary>Up to so many needle points are looked through one by one: that costs less than a grid.</summary>
    private const int Few = 4000;

    /// <summary>How far a needle point may be drawn back towards the middle of its strokes, tried in this order.</summary>
    private static readonly double[] Draws = [0.08, 0.2, 0.35, 0.55];

    /// <summary>How many cells a change may bare.</summary>
    private const int MostBared = 8;

    /// <summary>A bared cell weighs as much as so many layers too many on a cell.</summary>
    private const double BaredWeight = 0.4;

    private readonly NeedleChain _chain;
    private readonly HoleCrowd _crowd;
    private readonly TipFilling _filling;
    private readonly List<Point> _starts;
    private readonly ThreadField _field;
    private StrokeIndex? _index;
    private int _triesLeft = MostTries;
    private readonly double _straight;
    private readonly double _overlap;

    /// <summary>Fields that no cover uses now: filling new ones with zeros would cost as much as counting.</summary>
    private static readonly ConcurrentBag<ThreadField> Spare = [];

    private ThreadRelief(IReadOnlyList<TopThread> threads, SatinNumbers numbers, ThreadField field)
    {
        _chain = new NeedleChain(threads);
        _crowd = new HoleCrowd(_chain, numbers.NeedleLimit);
        _field = field;
        _filling = new TipFilling(_chain, _field, _crowd);
        _starts =
        [
            .. threads
                .Where(thread => thread.IsClosing)
                .Select(thread => Point.Lerp(thread.Points[0], thread.Points[1], 0.5)),
        ];
        _straight = 2 * StitchDefaults.ThreadWidth / numbers.Spacing;
        _overlap = numbers.Band.Width + StitchDefaults.ClosingOverlap - OverlapMargin;
    }

    /// <summary>The runs of one cover's top thread, mended where needed.</summary>
    internal static IEnumerable<StitchRun> Of(
        IReadOnlyList<TopThread> threads,
        SatinNumbers numbers,
        CancellationToken cancellation,
        double much = DoubtfulPlaces.Much
    )
    {
        if (numbers.Spacing > 2 * StitchDefaults.CoverSpacing)
        {
            return threads.Select(thread => thread.Run(thread.Points));
        }
        var field = Spare.TryTake(out var spare) ? spare : new ThreadField();
        var relief = new ThreadRelief(threads, numbers, field);
        foreach (
            var box in DoubtfulPlaces.Of(relief._chain, relief._straight, i => BareTip.IsAt(relief._chain, i), much)
        )
        {
            Budget.Spend();
            cancellation.ThrowIfCancellationRequested();
            relief.Mend(box);
        }
        Spare.Add(field);
        return threads.Select((thread, i) => thread.Run(relief._chain.Run(i)));
    }

    private void Mend(Box box)
    {
        var near = PointsNear(box);
        var bare = near.FindAll(i => BareTip.IsAt(_chain, i));
        var reach = bare.Count == 0 ? box : box.Union(Reach(bare.SelectMany(Neighbours)));
        var around = bare.Count == 0 ? near : PointsNear(reach);
        Lay(reach, around);
        bare.ForEach(i => _filling.At(i, around));
        if (_field.Over > 0)
        {
            Thin(near);
        }
    }

    /// <summary>Takes thread away where too much lies.</summary>
    private void Thin(List<int> near)
    {
        var box = Reach(near);
        var around = PointsNear(box);
        Lay(box, around);
        foreach (var i in near.Where(i => _chain.IsInside(i) && BareTip.IsShortened(_chain, i)))
        {
            Budget.Spend();
            _filling.At(i, around);
        }
        foreach (var beyond in (ReadOnlySpan<int>)[2, 1])
        {
            var changes = 0;
            foreach (var place in _field.TooThick(beyond))
            {
                Budget.Spend();
                if (changes < MostChanges && Best(place, near, around) is { } relief)
                {
                    Make(relief);
                    changes++;
                }
                else
                {
                    _field.GiveUp(place);
                }
            }
            _field.TryAgain();
        }
    }

    /// <summary>As far as some points' strokes reach at full length.</summary>
    private Box Reach(IEnumerable<int> points)
    {
        var box = Box.Empty;
        foreach (var i in points)
        {
            Budget.Spend();
            box = box.Including(_chain[i]).Including(_chain.End(i));
        }
        return box.Grown(StitchDefaults.ThreadWidth);
    }

    /// <summary>A point and those whose strokes change when cloth beside it is covered.</summary>
    private IEnumerable<int> Neighbours(int i)
    {
        var (first, last) = (i, i);
        for (var step = 0; step < 3; step++)
        {
            first = _chain.Before(first) is var before && before >= 0 ? before : first;
            last = _chain.After(last) is var after && after >= 0 ? after : last;
        }
        for (var number = first; number != last; number = _chain.After(number))
        {
            yield return number;
        }
        yield return last;
    }

    /// <summary>Counts the thread in a box.</summary>
    private void Lay(Box box, List<int> points)
    {
        var starts = _starts.FindAll(box.Grown(_overlap).Contains);
        var most = Math.Max(LeastMost, (int)Math.Round(_straight * Most));
        _field.Begin(box, most, most + 1, starts, _overlap);
        foreach (var i in points)
        {
            Budget.Spend();
            if (_chain.After(i) is var next && next >= 0)
            {
                _field.Lay(_chain[i], _chain[next]);
            }
        }
    }

    /// <summary>Every point of which a stroke crosses a box.</summary>
    private List<int> PointsNear(Box box)
    {
        var wide = box.Grown(StitchDefaults.ThreadWidth / 2);
        if (_chain.Count > Few)
        {
            _index ??= new StrokeIndex(_chain);
            return [.. _index.Near(wide).Where(i => HasStrokeAcross(i, wide))];
        }
        var near = new List<int>();
        var isAcross = false;
        for (var i = 0; i < _chain.Count; i++)
        {
            var (wasAcross, next) = (isAcross, _chain.After(i));
            isAcross = next >= 0 && IsAcross(i, next, wide);
            // Where points were left out the one before has another number.
            if (isAcross || (_chain.Before(i) == i - 1 ? wasAcross : IsAcross(_chain.Before(i), i, wide)))
            {
                near.Add(i);
            }
        }
        return near;
    }

    private bool HasStrokeAcross(int i, Box box) =>
        IsAcross(_chain.Before(i), i, box) || IsAcross(i, _chain.After(i), box);

    private bool IsAcross(int from, int to, Box box)
    {
        if (from < 0 || to < 0)
        {
            return false;
        }
        var (a, b) = (_chain[from], _chain[to]);
        return Math.Max(a.X, b.X) >= box.MinX
            && Math.Min(a.X, b.X) <= box.MaxX
            && Math.Max(a.Y, b.Y) >= box.MinY
            && Math.Min(a.Y, b.Y) <= box.MaxY;
    }

    /// <summary>The best change at a place; null when none helps.</summary>
    private Relief? Best(Point place, List<int> near, List<int> around)
    {
        (double Gain, Relief? Change) best = (1e-9, null);
        var (over, square) = (_field.Over, Box.Of([place]).Grown(ThreadField.CountedWidth / 2));
        foreach (
            var change in near.Where(i => _chain.IsInside(i) && HasStrokeAcross(i, square))
                .SelectMany(i => Reliefs(i, place))
        )
        {
            Budget.Spend();
            if (_triesLeft-- <= 0)
            {
                return null;
            }
            if (change.To is { } drawn && _crowd.IsAt(drawn, change.Number, around))
            {
                continue;
            }
            var bared = _field.Change(change.Taken, change.Laid);
            var gain = bared > MostBared ? 0 : over - _field.Over - (BaredWeight * bared);
            _field.Change(change.Laid, change.Taken);
            best = gain > best.Gain ? (gain, change) : best;
        }
        return best.Change;
    }

    private void Make(Relief relief)
    {
        _field.Change(relief.Taken, relief.Laid);
        if (relief.To is { } to)
        {
            _chain.Move(relief.Number, to);
        }
        else
        {
            _chain.LeaveOut(_chain.After(relief.Number));
            _chain.LeaveOut(relief.Number);
        }
    }

    /// <summary>A needle point that is drawn back, or left out with the next one.</summary>
    private readonly record struct Relief(int Number, Point? To, Point[] Taken, Point[] Laid);

    /// <summary>The changes of a point that take thread away from a place.</summary>
    private IEnumerable<Relief> Reliefs(int i, Point place)
    {
        var (before, here, next) = (_chain[_chain.Before(i)], _chain[i], _chain.After(i));
        var after = _chain[next];
        var middle = Point.Lerp(before, after, 0.5);
        var along = Point.Dot(place - here, (middle - here).Unit()) / here.DistanceTo(middle);
        foreach (var draw in Draws)
        {
            Budget.Spend();
            var to = Point.Lerp(here, middle, draw);
            if (
                draw > along
                && Math.Min(to.DistanceTo(before), to.DistanceTo(after)) >= 2 * StitchDefaults.ShortestStitch
            )
            {
                yield return new Relief(i, to, [before, here, after], [before, to, after]);
            }
        }
        if (_chain.IsInside(next))
        {
            var beyond = _chain[_chain.After(next)];
            yield return new Relief(i, null, [before, here, after, beyond], [before, beyond]);
        }
    }
}
