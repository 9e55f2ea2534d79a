using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Stitches;

/// <summary>Lays what lies under rows: a run along the edge, and rows across them.</summary>
internal sealed class FillUnder
{
    /// <summary>The run along the edge lies so far inside it, mm.</summary>
    private const double EdgeInset = 0.6;

    /// <summary>Rows underneath lie so far apart and end so far from the edge, mm.</summary>
    private const double Spacing = 2.5;

    private const double Inset = 0.5;

    /// <summary>A stitch underneath is looked at in steps of this, mm.</summary>
    private const double Look = 0.3;

    private readonly FillGraph _graph;
    private readonly RowFrame _frame;
    private readonly FillNeedle _needle;

    private FillUnder(FillGraph graph, RowFrame frame, FillNeedle needle) =>
        (_graph, _frame, _needle) = (graph, frame, needle);

    /// <param name="area">The area that rows fill, mm.</param>
    /// <param name="graph">Its stretches.</param>
    /// <param name="numbers">What is asked for.</param>
    /// <param name="frame">The rows' frame.</param>
    /// <param name="needle">Sews it.</param>
    /// <param name="cancellation">Stops the work.</param>
    internal static void Lay(
        ImmutableArray<Region> area,
        FillGraph graph,
        FillNumbers numbers,
        RowFrame frame,
        FillNeedle needle,
        CancellationToken cancellation
    )
    {
        var under = new FillUnder(graph, frame, needle);
        if (numbers.Underlay.Edge)
        {
            under.Edge(area, cancellation);
        }
        if (numbers.Underlay.Rows)
        {
            under.Rows(area, numbers, cancellation);
        }
    }

    private void Edge(ImmutableArray<Region> area, CancellationToken cancellation)
    {
        var rings = RegionOffset.Roughly(area, -EdgeInset).SelectMany(region => region.Rings).ToList();
        while (rings.Count > 0)
        {
            Budget.Spend();
            cancellation.ThrowIfCancellationRequested();
            var (ring, at) = rings
                .Select(ring => (Ring: ring, At: Nearest(ring)))
                .MinBy(pair => pair.Ring.Points[pair.At].DistanceTo(_needle.Stands));
            rings.Remove(ring);
            var line = RunStitch.Round(ring.StartingAt(at), StitchDefaults.RunLength);
            if (line.Length > 1)
            {
                _needle.Lay(line);
            }
        }
    }

    private void Rows(ImmutableArray<Region> area, FillNumbers numbers, CancellationToken cancellation)
    {
        var frame = _frame.Across();
        var rows = FillRows.Even(area, frame, Spacing);
        var graph = new FillGraph(FillRows.Of(area, frame, rows, -Inset), rows);
        var plain = numbers with { Pattern = RowPattern.FourRows, StitchLength = 4 };
        var chains = FillChain.Of(graph).ConvertAll(chain => FillThread.Of(graph, chain, plain, frame));
        chains.RemoveAll(chain => chain.Count < 2);
        while (chains.Count > 0)
        {
            Budget.Spend();
            cancellation.ThrowIfCancellationRequested();
            var stands = _needle.Stands;
            var next = chains.MinBy(chain => Math.Min(chain[0].DistanceTo(stands), chain[^1].DistanceTo(stands)))!;
            chains.Remove(next);
            if (next[^1].DistanceTo(stands) < next[0].DistanceTo(stands))
            {
                next.Reverse();
            }
            foreach (var part in Inside(next))
            {
                _needle.Lay(part);
            }
        }
    }

    /// <summary>A line underneath, cut where a stitch would leave the area.</summary>
    private IEnumerable<ImmutableArray<Point>> Inside(List<Point> line)
    {
        var part = ImmutableArray.CreateBuilder<Point>();
        part.Add(line[0]);
        for (var i = 1; i < line.Count; i++)
        {
            var looks = (int)Math.Ceiling(line[i].DistanceTo(line[i - 1]) / Look);
            for (var k = 1; k < looks; k++)
            {
                if (!_graph.Holds(_frame.In(Point.Lerp(line[i - 1], line[i], k / (double)looks))))
                {
                    yield return part.ToImmutable();
                    part.Clear();
                    break;
                }
            }
            part.Add(line[i]);
        }
        yield return part.ToImmutable();
    }

    private int Nearest(Ring ring)
    {
        var (best, nearest) = (0, double.MaxValue);
        for (var i = 0; i < ring.Points.Length; i++)
        {
            var away = ring.Points[i].DistanceTo(_needle.Stands);
            if (away < nearest)
            {
                (best, nearest) = (i, away);
            }
        }
        return best;
    }
}
