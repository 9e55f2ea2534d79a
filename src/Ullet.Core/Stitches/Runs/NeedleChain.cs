using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The needle points of several runs, which may be moved and left out without the others being renumbered.</summary>
internal sealed class NeedleChain
{
    private const int None = -1;

    private readonly Point[] _at;
    private readonly int[] _before;
    private readonly int[] _after;
    private readonly int[] _firsts;

    private readonly Point[] _ends;
    private readonly bool[] _isCrowded;

    /// <param name="runs">Runs of top thread.</param>
    internal NeedleChain(IReadOnlyList<TopThread> runs)
    {
        var count = runs.Sum(run => run.Count);
        (_at, _ends, _isCrowded) = (new Point[count], new Point[count], new bool[count]);
        (_before, _after, _firsts) = (new int[count], new int[count], new int[runs.Count]);
        var number = 0;
        for (var run = 0; run < runs.Count; run++)
        {
            _firsts[run] = number;
            var length = runs[run].Count;
            runs[run].Points.CopyTo(_at.AsSpan(number));
            runs[run].Ends.CopyTo(_ends.AsSpan(number));
            runs[run].IsCrowded.CopyTo(_isCrowded.AsSpan(number));
            for (var i = 0; i < length; i++, number++)
            {
                _before[number] = i > 0 ? number - 1 : None;
                _after[number] = i + 1 < length ? number + 1 : None;
            }
        }
    }

    /// <summary>How many points there were at first; each keeps its number.</summary>
    internal int Count => _at.Length;

    internal Point this[int number] => _at[number];

    /// <summary>Where a point would lie if its stroke had full length, mm.</summary>
    internal Point End(int number) => _ends[number];

    /// <summary>Whether strokes draw together or meet others near a point.</summary>
    internal bool IsCrowded(int number) => _isCrowded[number];

    /// <summary>The next needle point of the same run, or -1.</summary>
    internal int After(int number) => _after[number];

    /// <summary>The one before, or -1; also -1 for a point that was left out.</summary>
    internal int Before(int number) => _before[number];

    /// <summary>True for a point that has one before it and one after it.</summary>
    internal bool IsInside(int number) => _before[number] != None && _after[number] != None;

    internal void Move(int number, Point to) => _at[number] = to;

    /// <summary>Leaves out a point that is neither a run's first nor its last.</summary>
    internal void LeaveOut(int number)
    {
        (_after[_before[number]], _before[_after[number]]) = (_after[number], _before[number]);
        (_before[number], _after[number]) = (None, None);
    }

    /// <summary>What is left of a run.</summary>
    internal Point[] Run(int run)
    {
        var count = 0;
        for (var number = _firsts[run]; number != None; number = _after[number])
        {
            count++;
        }
        var points = new Point[count];
        var at = _firsts[run];
        for (var i = 0; i < count; i++, at = _after[at])
        {
            points[i] = _at[at];
        }
        return points;
    }
}
