using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The needle over one area: where it stands, what it has sewn, and its ways to what comes next.</summary>
/// <param name="graph">The area's stretches.</param>
/// <param name="frame">The rows' frame.</param>
/// <param name="stands">Where it stands, mm.</param>
internal sealed class FillNeedle(FillGraph graph, RowFrame frame, Point stands)
{
    private readonly bool[] _isSewn = new bool[graph.Spans.Count];
    private readonly ImmutableArray<StitchRun>.Builder _runs = ImmutableArray.CreateBuilder<StitchRun>();

    /// <summary>Where it stands, mm.</summary>
    internal Point Stands { get; private set; } = stands;

    internal ImmutableArray<StitchRun> Runs => _runs.ToImmutable();

    /// <summary>The stretch nearest to a place, and where on it, mm.</summary>
    internal (int Span, double X) Spot(Point place)
    {
        var at = frame.In(place);
        var span = graph.At(at);
        return (span, graph.Spans[span].Within(at.X, 0));
    }

    /// <summary>Sews a line underneath.</summary>
    internal void Lay(ImmutableArray<Point> line)
    {
        GoTo(Spot(Stands), Spot(line[0]), line[0]);
        if (line.Length > 1)
        {
            _runs.Add(new StitchRun(RunKind.Underlay, 0, line));
        }
        Stands = line[^1];
    }

    /// <summary>Sews runs that begin where the needle is brought.</summary>
    /// <param name="runs">At least one.</param>
    /// <param name="spans">The stretches that lie under them.</param>
    internal void Sew(IEnumerable<StitchRun> runs, IEnumerable<int> spans)
    {
        _runs.AddRange(runs);
        Stands = _runs[^1].Points[^1];
        foreach (var span in spans)
        {
            _isSewn[span] = true;
        }
    }

    /// <summary>Brings the needle from one stretch to another over what is not sewn yet.</summary>
    /// <param name="from">The stretch where it stands.</param>
    /// <param name="to">The stretch that it comes to.</param>
    /// <param name="place">The very place on the wall, mm.</param>
    internal void GoTo((int Span, double X) from, (int Span, double X) to, Point place)
    {
        // The first run begins where the area is entered.
        if (_runs.Count == 0 || Stands.DistanceTo(place) < StitchDefaults.ShortestStitch)
        {
            return;
        }
        var line = graph.Ways(from.Span, from.X, span => _isSewn[span], span => span == to.Span).Line(to.Span, to.X);
        var places = Spaced([Stands, .. line.Select(frame.Out), place]);
        if (places.Length > 1)
        {
            _runs.Add(new StitchRun(RunKind.Underlay, 0, RunStitch.Along(places, StitchDefaults.FineRunLength)));
        }
    }

    /// <summary>A line without corners nearer to each other than a stitch is long: the next stitch begins a little farther on instead, so
    /// that it does not cut the corner by more than that.</summary>
    private static ImmutableArray<Point> Spaced(List<Point> line)
    {
        const double Least = StitchDefaults.ShortestStitch + 0.01;
        var kept = ImmutableArray.CreateBuilder<Point>(line.Count);
        kept.Add(line[0]);
        for (var i = 1; i + 1 < line.Count; i++)
        {
            Budget.Spend();
            if (kept[^1].DistanceTo(line[i]) >= Least)
            {
                kept.Add(line[i]);
                continue;
            }
            var (on, length) = ((line[i + 1] - line[i]).Unit(), line[i].DistanceTo(line[i + 1]));
            for (var way = 0.1; way < Math.Min(length, 2 * Least); way += 0.1)
            {
                var place = line[i] + (on * way);
                if (kept[^1].DistanceTo(place) >= Least)
                {
                    kept.Add(place);
                    break;
                }
            }
        }
        while (kept.Count > 1 && kept[^1].DistanceTo(line[^1]) < Least)
        {
            kept.RemoveAt(kept.Count - 1);
        }
        kept.Add(line[^1]);
        return kept.ToImmutable();
    }
}
