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

    private const int MostRemembered = 64;

    /// <summary>Nearer than this the needle is there already, mm: no machine sews a stitch so short.</summary>
    private const double Here = 0.1;

    private readonly ImmutableArray<NeedleCommand>.Builder _commands = ImmutableArray.CreateBuilder<NeedleCommand>();
    private readonly ImmutableArray<NeedleRole>.Builder _roles = ImmutableArray.CreateBuilder<NeedleRole>();

    /// <summary>Where the needle went in since the thread was last cut, the newest last; as many as a lock may need.</summary>
    private readonly List<Point> _section = [];
    private NeedleRole _role;
    private Point? _needle;

    /// <summary>Writes one step: a block for each thread that it is sewn with, its own first.</summary>
    /// <param name="stitches">Its runs, in order.</param>
    /// <param name="mayTravel">Whether the needle may travel from one place to another without a trim, as the thread is hidden there;
    /// it is told which runs are sewn and which are still to come.</param>
    /// <param name="sectionEnds">True when the thread is cut after the step.</param>
    internal List<NeedleBlock> Write(StepStitches stitches, TravelJudge mayTravel, bool sectionEnds)
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
            _roles.Clear();
            var runs = threads.Count == 1 ? stitches.Runs : stitches.Runs.RemoveAll(run => run.ThreadId != threads[i]);
            StitchRun[] ordered = [.. InTravelOrder(runs).SelectMany(group => group)];
            for (var k = 0; k < ordered.Length; k++)
            {
                Budget.Spend();
                if (ordered[k].AsMade is null)
                {
                    Travel(ordered, k, mayTravel);
                }
                _role = ordered[k].Kind switch
                {
                    RunKind.Line => NeedleRole.Line,
                    RunKind.Underlay => NeedleRole.Underlay,
                    RunKind.Top => NeedleRole.Top,
                };
                if (ordered[k].AsMade is { } asMade)
                {
                    SewAsMade(ordered[k], asMade, isFirst: k == 0);
                }
                else
                {
                    Sew(ordered[k].Points);
                }
            }
            if (sectionEnds || i + 1 < threads.Count)
            {
                Cut();
            }
            blocks.Add(new NeedleBlock(threads[i], _commands.ToImmutable(), _roles.ToImmutable()));
        }
        return blocks;
    }

    /// <summary>Groups in an order of little travel; the runs of one group stay together and in order.</summary>
    private List<List<StitchRun>> InTravelOrder(ImmutableArray<StitchRun> runs)
    {
        var groups = new List<List<StitchRun>>();
        var known = new Dictionary<int, List<StitchRun>>();
        foreach (var run in runs)
        {
            Budget.Spend();
            if (run.Points.Length < 2 && run.AsMade is null)
            {
                continue;
            }
            if (!known.TryGetValue(run.Group, out var group))
            {
                known[run.Group] = group = [];
                groups.Add(group);
            }
            group.Add(run);
        }
        var parts = groups.ConvertAll(group => new SewnPart(group[0].Points[0], group[^1].Points[^1]));
        return [.. TravelOrder.Of(parts, _needle).Select(i => groups[i])];
    }

    private void Travel(StitchRun[] runs, int next, TravelJudge mayTravel)
    {
        var target = runs[next].Points[0].Rounded(Grid);
        if (_needle is { } at)
        {
            if (at.DistanceTo(target) < Here)
            {
                return;
            }
            var isShort = at.DistanceTo(target) <= StitchDefaults.TrimOver;
            if (isShort && mayTravel(at, target, runs.AsMemory(next), runs.AsMemory(0, next)))
            {
                _role = NeedleRole.Travel;
                Line(at, target, StitchDefaults.RunLength);
                return;
            }
            Cut();
        }
        Add(NeedleKind.Jump, target, NeedleRole.Travel);
        _needle = target;
        Lock(runs[next].Points);
    }

    /// <summary>Locks at the start of a section: to and fro along the first stitches.</summary>
    private void Lock(ImmutableArray<Point> points)
    {
        _role = NeedleRole.Lock;
        var start = points[0].Rounded(Grid);
        var ahead = LockEnds.PlaceOf(start, points).Rounded(Grid);
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
        _role = NeedleRole.Lock;
        var near = LockEnds.PlaceOf(end, _section.AsEnumerable().Reverse()).Rounded(Grid);
        for (var i = 0; i < StitchDefaults.LockCount; i++)
        {
            Put(i % 2 == 0 ? near : end);
        }
        Add(NeedleKind.Trim, near, NeedleRole.Lock);
        _needle = null;
        _section.Clear();
    }

    private void Sew(ImmutableArray<Point> points)
    {
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            var target = points[i].Rounded(Grid);
            var distance = target.DistanceTo(_needle!.Value);
            if (distance < (i + 1 < points.Length ? StitchDefaults.ShortestStitch : Here))
            {
                continue;
            }
            Line(_needle.Value, target, StitchDefaults.LongestStitch);
        }
    }

    /// <summary>Needle points as a file has them. Where the thread can't go on from what was sewn before, as it did in the file, it is
    /// cut there and locked here.</summary>
    private void SewAsMade(StitchRun run, AsMadeRun asMade, bool isFirst)
    {
        var (first, role) = (run.Points[0].Rounded(Grid), _role);
        var goesOn =
            asMade.JumpTo is null && _needle is { } needle && needle.DistanceTo(first) <= StitchDefaults.NeverLonger;
        if (!goesOn)
        {
            if (isFirst || asMade.JumpTo is null)
            {
                Cut();
            }
            var target = (asMade.JumpTo ?? run.Points[0]).Rounded(Grid);
            Add(NeedleKind.Jump, target, NeedleRole.Travel);
            _needle = target;
            if (asMade.JumpTo is null)
            {
                Lock(run.Points);
            }
        }
        _role = role;
        foreach (var point in run.Points)
        {
            Budget.Spend();
            var at = point.Rounded(Grid);
            Add(NeedleKind.Stitch, at, _role);
            _needle = at;
            Remember(at);
        }
        if (asMade.IsTrimmed)
        {
            Add(NeedleKind.Trim, _needle!.Value, NeedleRole.Lock);
            _needle = null;
            _section.Clear();
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

    private void Add(NeedleKind kind, Point at, NeedleRole role)
    {
        _commands.Add(new NeedleCommand(kind, at));
        _roles.Add(role);
    }

    private void Put(Point at)
    {
        if (_needle is { } needle && IsSame(needle, at) && _commands is [.., { Kind: NeedleKind.Stitch }])
        {
            return;
        }
        Add(NeedleKind.Stitch, at, _role);
        Remember(at);
        _needle = at;
    }

    private void Remember(Point at)
    {
        if (_section.Count == MostRemembered)
        {
            _section.RemoveRange(0, MostRemembered / 2);
        }
        _section.Add(at);
    }
}

/// <summary>What is sewn of a step with one thread.</summary>
/// <param name="ThreadId">A thread of its own; null for the step's.</param>
/// <param name="Commands">Jumps, needle points and trims.</param>
/// <param name="Roles">What each of them is for.</param>
internal readonly record struct NeedleBlock(
    string? ThreadId,
    ImmutableArray<NeedleCommand> Commands,
    ImmutableArray<NeedleRole> Roles
);

/// <summary>Whether the needle may travel from one place to another without a trim.</summary>
/// <param name="from">Where it stands, mm.</param>
/// <param name="to">Where it goes, mm.</param>
/// <param name="later">The runs that are still to be sewn, the next one first.</param>
/// <param name="sewn">Those that are sewn.</param>
internal delegate bool TravelJudge(
    Point from,
    Point to,
    ReadOnlyMemory<StitchRun> later,
    ReadOnlyMemory<StitchRun> sewn
);
