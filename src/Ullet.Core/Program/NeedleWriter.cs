using System.Collections.Immutable;
using Ullet.Core.Geometry;
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

    /// <summary>Writes one step.</summary>
    /// <param name="stitches">Its runs, in order.</param>
    /// <param name="showsOnTop">True for a cover, whose travel between edges would show: it is trimmed.</param>
    /// <param name="sectionEnds">True when the thread is cut after the step.</param>
    internal ImmutableArray<NeedleCommand> Write(StepStitches stitches, bool showsOnTop, bool sectionEnds)
    {
        _commands.Clear();
        _edge = -1;
        foreach (var group in InTravelOrder(stitches.Runs))
        {
            foreach (var run in group)
            {
                Travel(run, showsOnTop);
                Sew(run.Points);
            }
        }
        if (sectionEnds)
        {
            Cut();
        }
        return _commands.ToImmutable();
    }

    /// <summary>Edges in nearest-first order; the runs of one edge stay together and in order.</summary>
    private List<List<StitchRun>> InTravelOrder(ImmutableArray<StitchRun> runs)
    {
        var left = runs.Where(run => run.Points.Length > 1).GroupBy(run => run.Edge).Select(g => g.ToList()).ToList();
        var ordered = new List<List<StitchRun>>();
        var at = _needle ?? Point.Zero;
        while (left.Count > 0)
        {
            var next = left.MinBy(group => group[0].Points[0].DistanceTo(at))!;
            left.Remove(next);
            ordered.Add(next);
            at = next[^1].Points[^1];
        }
        return ordered;
    }

    private void Travel(StitchRun run, bool showsOnTop)
    {
        var target = run.Points[0].Rounded(Grid);
        var otherEdge = _edge >= 0 && run.Edge != _edge;
        _edge = run.Edge;
        if (_needle is { } at)
        {
            var distance = at.DistanceTo(target);
            if (distance <= StitchDefaults.TrimOver && !(otherEdge && showsOnTop))
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
        var pieces = Math.Max(1, (int)Math.Ceiling((distance / longest) - 1e-9));
        for (var i = 1; i <= pieces; i++)
        {
            Put(Point.Lerp(from, to, i / (double)pieces).Rounded(Grid));
        }
    }

    private void Put(Point at)
    {
        if (_needle is { } needle && needle.DistanceTo(at) < Grid / 2 && _commands is [.., { Kind: NeedleKind.Stitch }])
        {
            return;
        }
        _before = _needle ?? at;
        _commands.Add(new NeedleCommand(NeedleKind.Stitch, at));
        _needle = at;
    }
}
