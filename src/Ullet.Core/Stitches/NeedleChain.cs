using System.Collections.Immutable;
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

    /// <param name="runs">Needle points, mm.</param>
    internal NeedleChain(IReadOnlyList<ImmutableArray<Point>> runs)
    {
        var count = runs.Sum(run => run.Length);
        (_at, _before, _after, _firsts) = (new Point[count], new int[count], new int[count], new int[runs.Count]);
        var number = 0;
        for (var run = 0; run < runs.Count; run++)
        {
            _firsts[run] = number;
            for (var i = 0; i < runs[run].Length; i++, number++)
            {
                _at[number] = runs[run][i];
                _before[number] = i > 0 ? number - 1 : None;
                _after[number] = i + 1 < runs[run].Length ? number + 1 : None;
            }
        }
    }

    /// <summary>How many points there were at first; each keeps its number.</summary>
    internal int Count => _at.Length;

    internal Point this[int number] => _at[number];

    /// <summary>The next needle point of the same run, or -1.</summary>
    internal int After(int number) => _after[number];

    /// <summary>The one before, or -1; also -1 for a point that was left out.</summary>
    internal int Before(int number) => _before[number];

    internal void Move(int number, Point to) => _at[number] = to;

    /// <summary>Leaves out a point that is neither a run's first nor its last.</summary>
    internal void LeaveOut(int number)
    {
        (_after[_before[number]], _before[_after[number]]) = (_after[number], _before[number]);
        (_before[number], _after[number]) = (None, None);
    }

    /// <summary>What is left of a run.</summary>
    internal ImmutableArray<Point> Run(int run)
    {
        var points = ImmutableArray.CreateBuilder<Point>();
        for (var number = _firsts[run]; number != None; number = _after[number])
        {
            points.Add(_at[number]);
        }
        return points.ToImmutable();
    }
}
