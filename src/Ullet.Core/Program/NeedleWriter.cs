using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Program;

/// <summary>Turns runs into needle commands, step after step: travel, trims, locks at both ends of every thread section,
/// long strokes split, short ones merged, all on the file's grid.</summary>
internal sealed class NeedleWriter
{
    /// <summary>Needle points are kept to this, mm.</summary>
    internal const double Grid = 0.01;

    private readonly ImmutableArray<NeedleCommand>.Builder _commands = ImmutableArray.CreateBuilder<NeedleCommand>();
    private Point? _needle;
    private Point _before;
    private int _edge = -1;

    /// <summary>Writes one step: a block for each thread that it is sewn with, its own first.</summary>
    /// <param name="stitches">Its runs, in order.</param>
    /// <param name="hidden">The longest travel between edges that does not show, mm; what is longer is trimmed.</param>
    /// <param name="sectionEnds">True when the thread is cut after the step.</param>
    internal List<NeedleBlock> Write(StepStitches stitches, double hidden, bool sectionEnds)
    {
        var blocks = new List<NeedleBlock>();
        var threads = stitches
            .Runs.Select(run => run.ThreadId)
            .Distinct(StringComparer.Ordinal)
            .OrderBy(id => id is not null)
            .ToList();
        if (threads.Count == 0)
        {
            threads.Add(null);
        }
        for (var i = 0; i < threads.Count; i++)
        {
            _commands.Clear();
            _edge = -1;
            var runs = threads.Count == 1 ? stitches.Runs : stitches.Runs.RemoveAll(run => run.ThreadId != threads[i]);
            foreach (var group in InTravelOrder(runs))
            {
                foreach (var run in group)
                {
                    Budget.Spend();
                    Travel(run, hidden);
                    Sew(run.Points);
                }
            }
            if (sectionEnds || i + 1 < threads.Count)
            {
                Cut();
            }
            blocks.Add(new NeedleBlock(threads[i], _commands.ToImmutable()));
        }
        return blocks;
    }

    /// <summary>Edges in an order of little travel; the runs of one edge stay together and in order.</summary>
    private List<List<StitchRun>> InTravelOrder(ImmutableArray<StitchRun> runs)
    {
        var groups = new List<List<StitchRun>>();
        foreach (var run in runs)
        {
            Budget.Spend();
            if (run.Points.Length < 2)
            {
                continue;
            }
            if (groups.Find(group => group[0].Edge == run.Edge) is { } known)
            {
                known.Add(run);
            }
            else
            {
                groups.Add([run]);
            }
        }
        var parts = groups.ConvertAll(group => new SewnPart(group[0].Points[0], group[^1].Points[^1]));
        return [.. TravelOrder.Of(parts, _needle).Select(i => groups[i])];
    }

    private void Travel(StitchRun run, double hidden)
    {
        var target = run.Points[0].Rounded(Grid);
        var otherEdge = _edge >= 0 && run.Edge != _edge;
        _edge = run.Edge;
        if (_needle is { } at)
        {
            var distance = at.DistanceTo(target);
            if (distance <= StitchDefaults.TrimOver && !(otherEdge && distance > hidden))
            {
                Line(at, target, StitchDefaults.RunLength);
                return;
            }
            Cut();
        }
        _commands.Add(new NeedleCommand(NeedleKind.Jump, target));
        _needle = target;
        Lock(run.Points);
    }

    /// <summary>Locks at the start of a section: to and fro along the first stitches.</summary>
    private void Lock(ImmutableArray<Point> points)
    {
        var start = points[0].Rounded(Grid);
        var ahead = new ArcLength(points).At(StitchDefaults.LockLength).Rounded(Grid);
        Put(start);
        for (var i = 0; i < StitchDefaults.LockCount; i++)
        {
            Put(i % 2 == 0 ? ahead : start);
        }
    }

    /// <summary>Locks at the end of a section, then the trim.</summary>
    private void Cut()
    {
        if (_needle is not { } end)
        {
            return;
        }
        var back = (_before - end).Unit() * Math.Min(StitchDefaults.LockLength, _before.DistanceTo(end));
        var near = (end + back).Rounded(Grid);
        for (var i = 0; i < StitchDefaults.LockCount; i++)
        {
            Put(i % 2 == 0 ? near : end);
        }
        _commands.Add(new NeedleCommand(NeedleKind.Trim, near));
        _needle = null;
    }

    private void Sew(ImmutableArray<Point> points)
    {
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            var target = points[i].Rounded(Grid);
            var distance = target.DistanceTo(_needle!.Value);
            if (distance < Grid / 2)
            {
                continue;
            }
            if (distance < StitchDefaults.ShortestStitch && i + 1 < points.Length)
            {
                continue;
            }
            Line(_needle.Value, target, StitchDefaults.LongestStitch);
        }
    }

    private void Line(Point from, Point to, double longest)
    {
        var distance = from.DistanceTo(to);
        if (distance <= longest)
        {
            // It lies on the grid already.
            Put(to);
            return;
        }
        var pieces = Math.Max(1, (int)Math.Ceiling((distance / longest) - 1e-9));
        for (var i = 1; i <= pieces; i++)
        {
            Budget.Spend();
            Put(Point.Lerp(from, to, i / (double)pieces).Rounded(Grid));
        }
    }

    private static bool IsSame(Point needle, Point at)
    {
        var away = needle - at;
        return Point.Dot(away, away) < Grid * Grid / 4;
    }

    private void Put(Point at)
    {
        if (_needle is { } needle && IsSame(needle, at) && _commands is [.., { Kind: NeedleKind.Stitch }])
        {
            return;
        }
        _before = _needle ?? at;
        _commands.Add(new NeedleCommand(NeedleKind.Stitch, at));
        _needle = at;
    }
}

/// <summary>What is sewn of a step with one thread.</summary>
/// <param name="ThreadId">A thread of its own; null for the step's.</param>
/// <param name="Commands">Jumps, needle points and trims.</param>
internal readonly record struct NeedleBlock(string? ThreadId, ImmutableArray<NeedleCommand> Commands);
