using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Quality;

/// <summary>Looks plainly at how strokes lie in columns, what crosses gaps, and what is hidden: nothing of how they were made.</summary>
internal sealed class ColumnDirections
{
    private const double Cell = 0.1;

    /// <summary>Strokes may turn so far from straight across, degrees.</summary>
    private const double Lean = 25;

    /// <summary>Strokes may turn so far from the last that ran the same way where the outer edge's radius is 2 mm or more, degrees.</summary>
    private const double Turn = 12;

    private const double Wide = 2;

    /// <summary>Nearer than this to the outline counts as inside, mm.</summary>
    private const double Near = 2 * Cell;

    /// <summary>No way between runs is so long, mm.</summary>
    private const double Gap = 0.6;

    /// <summary>No stitch lies outside over so long a way: the gap, less what counts as inside on both of its sides, mm.</summary>
    private const double Crossed = Gap - (2 * (Near - Cell));

    /// <summary>A later stitch so near hides a run, mm.</summary>
    private const double Hides = 0.3;

    private readonly PlainGrid _grid;
    private readonly bool[] _inside;
    private readonly List<Flaw> _flaws = [];

    /// <param name="regions">The outline, compensation included, mm.</param>
    /// <param name="stitches">What was sewn.</param>
    internal ColumnDirections(ImmutableArray<Region> regions, StepStitches stitches)
    {
        _grid = new PlainGrid(regions, Cell);
        // Needle points may lie 0.1 mm outside, and a cell more for the raster.
        bool[] outside = [.. _grid.Filled(regions).Select(isIn => !isIn)];
        _inside = [.. _grid.Distances(outside).Select(away => away <= Near)];
        var skeleton = new PlainSkeleton(_grid, regions);
        foreach (var run in stitches.Runs.Where(run => run.Kind == RunKind.Top))
        {
            Directions(run.Points, skeleton);
        }
        foreach (var (from, to) in stitches.Runs.SelectMany(Stitches).Where(stitch => Outside(stitch) > Crossed))
        {
            _flaws.Add(new Flaw(FlawKind.Crossing, from, to));
        }
        for (var i = 1; i < stitches.Runs.Length; i++)
        {
            var (from, to) = (stitches.Runs[i - 1].Points[^1], stitches.Runs[i].Points[0]);
            if (stitches.Runs[i - 1].Edge == stitches.Runs[i].Edge && from.DistanceTo(to) > Gap)
            {
                _flaws.Add(new Flaw(FlawKind.Trim, from, to));
            }
        }
        Hidden = HiddenShare(stitches);
    }

    internal enum FlawKind
    {
        /// <summary>A stroke that does not lie straight across.</summary>
        Lean,

        /// <summary>A stroke that turns from the last that ran the same way.</summary>
        Turn,

        /// <summary>A stitch that lies outside over more than 0.6 mm.</summary>
        Crossing,

        /// <summary>A way between the runs of one connected shape that is not sewn.</summary>
        Trim,
    }

    /// <summary>What is not as good satin is, and where, mm.</summary>
    internal sealed record Flaw(FlawKind Kind, Point From, Point To);

    internal IReadOnlyList<Flaw> Flaws => _flaws;

    /// <summary>Length of the strokes across clear columns, mm.</summary>
    internal double Length { get; private set; }

    /// <summary>Length of those that lean, mm.</summary>
    internal double Leaning { get; private set; }

    /// <summary>How many strokes were compared with the last that ran the same way.</summary>
    internal int Pairs { get; private set; }

    /// <summary>Share of what is sewn underneath that later strokes lie on.</summary>
    internal double Hidden { get; }

    internal int Count(FlawKind kind) => _flaws.Count(flaw => flaw.Kind == kind);

    /// <summary>What no single shape may have, in words.</summary>
    internal IEnumerable<string> Breaches()
    {
        if (Count(FlawKind.Crossing) is > 0 and var crossings)
        {
            yield return $"{crossings} stitches across a gap";
        }
        if (Hidden < 0.95)
        {
            yield return $"{Hidden:P1} of the ways hidden";
        }
        if (Count(FlawKind.Trim) is > 0 and var trims)
        {
            yield return $"{trims} trims inside";
        }
    }

    private void Directions(ImmutableArray<Point> points, PlainSkeleton skeleton)
    {
        Point? last = null;
        Point? before = null;
        for (var i = 1; i < points.Length; i++)
        {
            var stroke = points[i] - points[i - 1];
            var spot = stroke.Length < 0.5 ? null : skeleton.Crossed(points[i - 1], points[i]);
            if (spot is not null)
            {
                Length += stroke.Length;
                if (Across(stroke, spot.Along) > Lean)
                {
                    Leaning += stroke.Length;
                    _flaws.Add(new Flaw(FlawKind.Lean, points[i - 1], points[i]));
                }
                if (before is { } same && Point.Dot(same, stroke) > 0)
                {
                    Pairs++;
                    if (Math.Abs(Point.Turn(same, stroke)) > (spot.OuterRadius >= Wide ? Turn : Lean))
                    {
                        _flaws.Add(new Flaw(FlawKind.Turn, points[i - 1], points[i]));
                    }
                }
            }
            (before, last) = (last, spot is null ? null : stroke);
        }
    }

    private static double Across(Point stroke, Point along)
    {
        var dot = Math.Abs(Point.Dot(stroke.Unit(), along));
        return Math.Asin(Math.Min(1, dot)) * 180 / Math.PI;
    }

    private static IEnumerable<(Point From, Point To)> Stitches(StitchRun run) =>
        Enumerable.Range(1, run.Points.Length - 1).Select(i => (run.Points[i - 1], run.Points[i]));

    /// <summary>The longest way over which a stitch lies outside, mm.</summary>
    private double Outside((Point From, Point To) stitch)
    {
        var looks = Math.Max(2, (int)(stitch.From.DistanceTo(stitch.To) / 0.05));
        var step = stitch.From.DistanceTo(stitch.To) / looks;
        var (longest, now) = (0.0, 0.0);
        for (var i = 0; i <= looks; i++)
        {
            var isIn = _grid.At(Point.Lerp(stitch.From, stitch.To, i / (double)looks)) is { } cell && _inside[cell];
            now = isIn ? 0 : now + step;
            longest = Math.Max(longest, now);
        }
        return longest;
    }

    private double HiddenShare(StepStitches stitches)
    {
        var sewn = new int[_grid.Columns * _grid.Rows];
        for (var i = 0; i < stitches.Runs.Length; i++)
        {
            var number = i + 1;
            foreach (var (from, to) in stitches.Runs[i].Kind == RunKind.Top ? Stitches(stitches.Runs[i]) : [])
            {
                _grid.Draw(from, to, Hides, isRound: true, cell => sewn[cell] = number);
            }
        }
        var (all, hidden) = (0, 0);
        for (var i = 0; i < stitches.Runs.Length; i++)
        {
            foreach (var (from, to) in stitches.Runs[i].Kind == RunKind.Underlay ? Stitches(stitches.Runs[i]) : [])
            {
                var looks = Math.Max(1, (int)(from.DistanceTo(to) / 0.1));
                for (var k = 0; k < looks; k++)
                {
                    all++;
                    hidden +=
                        _grid.At(Point.Lerp(from, to, (k + 0.5) / looks)) is { } cell && sewn[cell] > i + 1 ? 1 : 0;
                }
            }
        }
        return all > 0 ? hidden / (double)all : 1;
    }
}
