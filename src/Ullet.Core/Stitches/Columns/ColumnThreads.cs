using System.Collections.Immutable;
using System.Runtime.InteropServices;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Makes the top thread of columns' stretches; all of a shape's are relieved together where they meet.</summary>
internal sealed class ColumnThreads(ColumnNumbers numbers)
{
    /// <summary>A ring's strokes run on to so many of its first ones.</summary>
    private const int Closing = 2;

    /// <summary>Where one column ends under another no more thread lies than on a straight stretch.</summary>
    private const double Much = 0.8;

    /// <summary>Shorter strokes keep their length in gentle bends, mm.</summary>
    private const double Narrow = 2;

    /// <summary>Strokes that run the same way turn by no more from one to the next in gentle bends, degrees.</summary>
    private const double MostTurn = 12;

    private readonly ShortStrokes _short = new(numbers.Spacing, StitchDefaults.CrowdedShare, narrow: Narrow);
    private readonly List<TopThread> _tops = [];

    /// <summary>The runs of every stretch, in the order in which they were asked for; a run that needs no relief is there already.</summary>
    private readonly List<ImmutableArray<Point>?> _runs = [];

    private readonly List<Point?> _ends = [];

    /// <summary>Lays the thread of a stretch from one place to another, either way.</summary>
    /// <param name="column">The column.</param>
    /// <param name="part">The stretch.</param>
    /// <param name="isReversed">True to sew it from its last place to its first.</param>
    /// <param name="closes">True for a ring, whose strokes run on over their start.</param>
    /// <param name="back">Where the needle goes from there, mm: the last stroke ends on that side; null for where it does not matter.</param>
    /// <param name="start">Where the needle stands, mm: the first stroke begins on that side; null for where that does not matter.</param>
    /// <returns>The number by which its run is asked for.</returns>
    internal int Add(
        SatinColumn column,
        ColumnPart part,
        bool isReversed,
        bool closes,
        Point? back,
        Point? start = null
    )
    {
        var places = column.Places.AsSpan()[part.From..(part.To + 1)];
        switch (part.Kind)
        {
            case ColumnKind.Run:
                _runs.Add(Line(places, isReversed));
                break;
            case ColumnKind.Rows:
                _runs.Add(ColumnRows.Of(places, numbers.Spacing, isReversed));
                break;
            case ColumnKind.Strokes:
                var strokes = new List<Stroke>();
                StrokeSpread.Add(places, numbers.Spacing, isSmooth: false, strokes, MostTurn);
                var thread = new TopThread(0, null, strokes.Count + 8) { IsClosing = false };
                var end = isReversed == start is null ? 0 : strokes.Count - 1;
                var isOutside =
                    (start ?? back) is { } spot && IsNearer(strokes[end].Place.Outer, strokes[end].Place.Inner, spot);
                var beginsOutside = (start ?? back) is null || end % 2 == 0 == isOutside;
                _short.Sew(CollectionsMarshal.AsSpan(strokes), thread, beginsOutside);
                if (closes)
                {
                    var again = Math.Min(strokes.Count, Closing);
                    new ShortStrokes(numbers.Spacing, StitchDefaults.CrowdedShare, ShortStrokes.OverlapRoom).Sew(
                        CollectionsMarshal.AsSpan(strokes)[..again],
                        thread,
                        strokes.Count % 2 == 0 == beginsOutside
                    );
                }
                if (isReversed)
                {
                    thread.Reverse();
                }
                if (thread.Count < 2)
                {
                    _runs.Add([]);
                    break;
                }
                _tops.Add(thread);
                _runs.Add(null);
                break;
        }
        _ends.Add(_runs[^1] is { } made ? (made.IsEmpty ? null : made[^1]) : _tops[^1].Points[^1]);
        return _runs.Count - 1;
    }

    /// <summary>Where the needle stands after a run, mm; null where nothing is sewn.</summary>
    internal Point? EndOf(int number) => _ends[number];

    /// <summary>All runs by their numbers, relieved.</summary>
    internal List<ImmutableArray<Point>> Runs(CancellationToken cancellation)
    {
        var band = new SatinNumbers(0, numbers.Spacing, 0.5, 0) { NeedleLimit = numbers.NeedleLimit };
        var relieved = new Queue<StitchRun>(_tops.Count == 0 ? [] : ThreadRelief.Of(_tops, band, cancellation, Much));
        var splits = new StrokeSplits();
        return _runs.ConvertAll(run => Merged(splits.Of(run ?? relieved.Dequeue().Points)));
    }

    private static bool IsNearer(Point one, Point other, Point to) => one.DistanceTo(to) <= other.DistanceTo(to);

    /// <summary>Without stitches that no machine sews well; the last point stays.</summary>
    private static ImmutableArray<Point> Merged(ImmutableArray<Point> points)
    {
        var kept = new List<Point>(points.Length);
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            if (kept.Count == 0 || points[i].DistanceTo(kept[^1]) >= StitchDefaults.ShortestStitch)
            {
                kept.Add(points[i]);
            }
        }
        return kept.Count == points.Length ? points : [.. kept];
    }

    private static ImmutableArray<Point> Line(ReadOnlySpan<StrokePlace> places, bool isReversed)
    {
        var line = new List<Point>(places.Length);
        foreach (var place in places)
        {
            Budget.Spend();
            line.Add(Point.Lerp(place.Outer, place.Inner, 0.5));
        }
        if (isReversed)
        {
            line.Reverse();
        }
        return RunStitch.Along([.. line], StitchDefaults.FineRunLength);
    }
}
