using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Mends a cover's top thread after strokes were spread and shortened, where legs, caps, tight curves and facing edges
/// meet in ways that no single leg knows of: bare cloth between shortened strokes is covered, and thread is taken away where
/// more than is promised lies.</summary>
/// <remarks>Thread is counted on a grid. Shortened strokes are given back as much length as covers bare cells. Then, at the
/// thickest place, the smallest change is looked for (a needle point drawn back, a stroke to and fro left out) that takes most
/// thread away without baring the cloth; then at the next.</remarks>
internal sealed class ThreadRelief
{
    /// <summary>How much thread may lie, over what lies on a straight edge; a little under what is promised.</summary>
    private const double Most = 1.4;

    /// <summary>The same where a closed cover runs on over its start.</summary>
    private const double MostInOverlap = 1.9;

    /// <summary>Nearer by this to where it is not, a place counts as beside the overlap, mm.</summary>
    private const double OverlapMargin = 0.3;

    private const int MostChanges = 40;

    /// <summary>So many changes are tried on one cover; a frayed edge of thousands of corners can't be sewn well anyway, and the
    /// findings say so.</summary>
    private const int MostTries = 200_000;

    /// <summary>Up to so many needle points are looked through one by one: that costs less than a grid.</summary>
    private const int Few = 4000;

    /// <summary>How far a needle point may be drawn back towards the middle of its strokes, tried in this order.</summary>
    private static readonly double[] Draws = [0.08, 0.2, 0.35, 0.5, 0.65];

    /// <summary>How much of what a stroke lost it may be given back, tried in this order.</summary>
    private static readonly double[] Lengthenings = [0.35, 0.7, 1];

    /// <summary>How far towards its end the next stroke on the same side may move over, tried in this order.</summary>
    private static readonly double[] Slides = [0.15, 0.3];

    /// <summary>Strokes that lost less are left as they are, mm.</summary>
    private const double Shortened = 0.15;

    /// <summary>Bare cloth beyond a shortened stroke is looked for at this distance, mm, and among so many strokes to either
    /// side.</summary>
    private const double Sample = 0.1;
    private const int Beside = 7;

    /// <summary>A stroke is lengthened for more bare cells than this.</summary>
    private const double FewBare = 1;

    /// <summary>What a change may cost, tried in this order: how many cells it may bare, and how much surplus thread in a square
    /// a bared cell weighs as much as, layers.</summary>
    private static readonly (int MostBared, double Weight)[] Prices = [(3, 4), (8, 0.5)];

    private const double Disc = 0.5;

    /// <summary>Discs are tried about the middle of two needle points each; the fullest one may lie between.</summary>
    private const int DiscMargin = 1;

    private readonly NeedleChain _chain;
    private readonly int _mostInDisc;
    private readonly List<Point> _starts;
    private StrokeIndex? _index;
    private int _triesLeft = MostTries;
    private readonly double _straight;
    private readonly double _overlap;

    private ThreadRelief(IReadOnlyList<TopThread> threads, SatinNumbers numbers)
    {
        _chain = new NeedleChain(threads);
        _mostInDisc = numbers.NeedleLimit - DiscMargin;
        _starts = [.. threads.Select(thread => Point.Lerp(thread.Points[0], thread.Points[1], 0.5))];
        _straight = 2 * StitchDefaults.ThreadWidth / numbers.Spacing;
        _overlap = numbers.Band.Width + StitchDefaults.ClosingOverlap - OverlapMargin;
    }

    /// <summary>The runs of one cover's top thread, mended where needed.</summary>
    internal static IEnumerable<StitchRun> Of(
        IReadOnlyList<TopThread> threads,
        SatinNumbers numbers,
        CancellationToken cancellation
    )
    {
        if (numbers.Spacing > 2 * StitchDefaults.CoverSpacing)
        {
            return threads.Select(thread => thread.Run(thread.Points));
        }
        var relief = new ThreadRelief(threads, numbers);
        foreach (var box in DoubtfulPlaces.Of(relief._chain, relief._straight, relief.HasBareTip))
        {
            cancellation.ThrowIfCancellationRequested();
            relief.Mend(box);
        }
        return threads.Select((thread, i) => thread.Run(relief._chain.Run(i)));
    }

    private bool IsShortened(int i) => _chain[i].DistanceTo(_chain.End(i)) > Shortened;

    /// <summary>True where a stroke was shortened and its neighbours leave cloth bare beyond it; other strokes may cover that.</summary>
    private bool HasBareTip(int i)
    {
        if (!IsShortened(i) || !_chain.IsInside(i))
        {
            return false;
        }
        var (from, lost) = (_chain[i], _chain.End(i) - _chain[i]);
        var aside = lost.Unit().Outward() * Sample;
        var bare = 0;
        for (var s = Sample / 2; s < lost.Length; s += Sample)
        {
            var at = Point.Lerp(from, _chain.End(i), s / lost.Length);
            bare += (IsBare(at, i) ? 1 : 0) + (IsBare(at + aside, i) ? 1 : 0) + (IsBare(at - aside, i) ? 1 : 0);
        }
        return bare > FewBare;
    }

    private bool IsBare(Point place, int near)
    {
        for (var i = Math.Max(0, near - Beside); i < Math.Min(_chain.Count - 1, near + Beside); i++)
        {
            if (
                _chain.After(i) == i + 1
                && SegmentIndex.Foot(place, _chain[i], _chain[i + 1]).DistanceTo(place) < ThreadField.CountedWidth / 2
            )
            {
                return false;
            }
        }
        return true;
    }

    private void Mend(Box box)
    {
        var near = PointsNear(box);
        if (!near.Exists(HasBareTip) && FieldOn(box, near).Surplus().Thickest is null)
        {
            return;
        }
        var wide = Box.Of(near.SelectMany(i => new[] { _chain[i], _chain.End(i) })).Grown(StitchDefaults.ThreadWidth);
        var around = PointsNear(wide);
        var field = FieldOn(wide, around);
        foreach (var i in near.Where(i => _chain.IsInside(i) && IsShortened(i)))
        {
            Fill(i, field, around);
        }
        foreach (var price in Prices)
        {
            for (var change = 0; change < MostChanges; change++)
            {
                var thickest = field.Surplus().Thickest;
                if (thickest is not { } square || Best(square, price, field, near, around) is not { } relief)
                {
                    break;
                }
                Make(relief, field);
            }
        }
    }

    /// <summary>How many layers may lie at a place, by where runs start that may be sewn over again.</summary>
    private Func<Point, double> LimitAmong(List<Point> starts) =>
        place => _straight * (starts.Exists(start => start.DistanceTo(place) < _overlap) ? MostInOverlap : Most);

    /// <summary>The thread in a box.</summary>
    private ThreadField FieldOn(Box box, List<int> points)
    {
        var field = new ThreadField(box, LimitAmong(_starts.FindAll(box.Grown(_overlap).Contains)));
        foreach (var i in points.Where(i => _chain.After(i) >= 0))
        {
            field.Lay(_chain[i], _chain[_chain.After(i)]);
        }
        return field;
    }

    /// <summary>Every point of which a stroke crosses a box.</summary>
    private List<int> PointsNear(Box box)
    {
        var wide = box.Grown(StitchDefaults.ThreadWidth / 2);
        if (_chain.Count > Few)
        {
            _index ??= new StrokeIndex(_chain);
        }
        var all = _index?.Near(wide) ?? Enumerable.Range(0, _chain.Count);
        return [.. all.Where(i => HasStrokeAcross(i, wide))];
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

    /// <summary>Covers bare cloth beside a stroke that was shortened, where that adds no surplus: it gets some of its length
    /// back, or the next one on the same side moves over a little.</summary>
    private void Fill(int i, ThreadField field, List<int> around)
    {
        (double Covered, int Number, Point To) best = (FewBare, -1, default);
        var (whole, lengthened) = Strokes(i, _chain.End(i));
        var bare = -field.Change(whole, lengthened);
        field.Change(lengthened, whole);
        foreach (var (number, to) in bare > FewBare ? Fillings(i) : [])
        {
            var (old, changed) = Strokes(number, to);
            var covered = -field.Change(old, changed);
            if (covered > best.Covered)
            {
                var box = BoxOf(old, changed);
                var more = field.Surplus(box).Sum;
                field.Change(changed, old);
                var isBetter = more <= field.Surplus(box).Sum && !Crowds(to, number, around);
                best = isBetter ? (covered, number, to) : best;
                continue;
            }
            field.Change(changed, old);
        }
        if (best.Number >= 0)
        {
            var (old, changed) = Strokes(best.Number, best.To);
            field.Change(old, changed);
            _chain.Move(best.Number, best.To);
        }
    }

    private IEnumerable<(int Number, Point To)> Fillings(int i)
    {
        foreach (var share in Lengthenings)
        {
            yield return (i, Point.Lerp(_chain[i], _chain.End(i), share));
        }
        foreach (var beside in new[] { _chain.Before(_chain.Before(i)), _chain.After(_chain.After(i)) })
        {
            foreach (var share in beside >= 0 && _chain.IsInside(beside) ? Slides : [])
            {
                yield return (beside, Point.Lerp(_chain[beside], _chain.End(i), share));
            }
        }
    }

    /// <summary>The two strokes that meet at a point, as they are and as they would be.</summary>
    private (Point[] Old, Point[] Changed) Strokes(int i, Point to)
    {
        var (before, after) = (_chain[_chain.Before(i)], _chain[_chain.After(i)]);
        return ([before, _chain[i], after], [before, to, after]);
    }

    /// <summary>True when a disc with a needle point in it would hold too many.</summary>
    private bool Crowds(Point to, int number, List<int> around)
    {
        var near = new List<Point> { to };
        foreach (var i in around)
        {
            if (i != number && _chain[i].DistanceTo(to) <= 2 * Disc)
            {
                near.Add(_chain[i]);
            }
        }
        return near.Count > _mostInDisc && near.Exists(other => CountAbout(Point.Lerp(to, other, 0.5)) > _mostInDisc);

        int CountAbout(Point centre)
        {
            var count = 0;
            foreach (var place in near)
            {
                count += place.DistanceTo(centre) <= Disc ? 1 : 0;
            }
            return count;
        }
    }

    /// <summary>The best change at a square; null when none helps.</summary>
    private Relief? Best(
        Box square,
        (int MostBared, double Weight) price,
        ThreadField field,
        List<int> near,
        List<int> around
    )
    {
        (double Gain, Relief? Change) best = (1e-9, null);
        foreach (var change in near.Where(i => _chain.IsInside(i) && HasStrokeAcross(i, square)).SelectMany(Reliefs))
        {
            if (_triesLeft-- <= 0)
            {
                return null;
            }
            if (change.To is { } drawn && Crowds(drawn, change.Number, around))
            {
                continue;
            }
            var bared = field.Change(change.Taken, change.Laid);
            var box = BoxOf(change.Taken, change.Laid);
            var left = bared > price.MostBared ? 0 : field.Surplus(box).Sum;
            field.Change(change.Laid, change.Taken);
            var gain = bared > price.MostBared ? 0 : field.Surplus(box).Sum - left - (price.Weight * bared);
            best = gain > best.Gain ? (gain, change) : best;
        }
        return best.Change;
    }

    /// <summary>The box on which a change of thread shows, mm.</summary>
    private static Box BoxOf(Point[] taken, Point[] laid) =>
        Box.Of(taken).Union(Box.Of(laid)).Grown(StitchDefaults.ThreadWidth / 2);

    private void Make(Relief relief, ThreadField field)
    {
        field.Change(relief.Taken, relief.Laid);
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

    private IEnumerable<Relief> Reliefs(int i)
    {
        var (before, here, next) = (_chain[_chain.Before(i)], _chain[i], _chain.After(i));
        var after = _chain[next];
        foreach (var draw in Draws)
        {
            var to = Point.Lerp(here, Point.Lerp(before, after, 0.5), draw);
            if (Math.Min(to.DistanceTo(before), to.DistanceTo(after)) >= 2 * StitchDefaults.ShortestStitch)
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
