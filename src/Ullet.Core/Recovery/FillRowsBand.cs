using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>Reads rows of stitches beside one another.</summary>
internal static class FillRowsBand
{
    /// <summary>A stitch turned this much against a row's direction is none of it, degrees.</summary>
    private const double Askew = 20;

    private const int FewestRows = 5;

    /// <summary>The share of the thread that lies in rows to and fro.</summary>
    internal static double Share(ImmutableArray<ImmutableArray<Point>> cores)
    {
        var total = cores.Sum(Length);
        if (total < 5)
        {
            return 0;
        }
        var (rows, axis) = Rows(cores);
        return InTurn(rows, axis).Sum(row => row.From.DistanceTo(row.To)) / total;
    }

    /// <summary>The area between rows that lie beside one another.</summary>
    internal static StrokeBand? Of(ImmutableArray<ImmutableArray<Point>> cores)
    {
        var (all, axis) = Rows(cores);
        var rows = InTurn(all, axis);
        if (rows.Count < FewestRows)
        {
            return null;
        }
        var apart = Apart(rows, axis);
        var parts = new List<NetTopologySuite.Geometries.Geometry>();
        foreach (var row in rows)
        {
            Budget.Spend();
            parts.Add(PlaneGeometry.Line([row.From, row.To]));
        }
        var lines = PlaneGeometry.Factory.BuildGeometry(parts);
        LibraryWork.Buffer(lines, apart);
        var grown = lines.Buffer(apart * 0.75, NetTopologySuite.Operation.Buffer.EndCapStyle.Flat);
        var across = new Point(-axis.Y, axis.X);
        var band = PlaneGeometry.ToRegions(grown.Buffer(0.02).Buffer(-0.02));
        // The outermost rows reach half a row too far to their sides.
        var area = RegionOverlay.Intersection(
            RegionOverlay.Intersection(band, Moved(band, across * (apart * 0.5))),
            Moved(band, across * (-apart * 0.5))
        );
        return new StrokeBand(area.IsEmpty ? band : area, rows.Max(row => row.From.DistanceTo(row.To)), apart);
    }

    private static ImmutableArray<Region> Moved(ImmutableArray<Region> regions, Point by) =>
        [.. regions.Select(region => RegionMap.On(region, Affine.Translate(by.X, by.Y)))];

    private static double Length(ImmutableArray<Point> core) =>
        core.Zip(core.Skip(1), (from, to) => from.DistanceTo(to)).Sum();

    /// <summary>Straight rows along the direction that most thread has, one after the other.</summary>
    private static (List<(Point From, Point To)> Rows, Point Axis) Rows(ImmutableArray<ImmutableArray<Point>> cores)
    {
        var (cos, sin) = (0.0, 0.0);
        foreach (var (from, to) in cores.SelectMany(core => core.Zip(core.Skip(1))))
        {
            Budget.Spend();
            var way = to - from;
            var twice = 2 * Math.Atan2(way.Y, way.X);
            (cos, sin) = (cos + (way.Length * Math.Cos(twice)), sin + (way.Length * Math.Sin(twice)));
        }
        var angle = Math.Atan2(sin, cos) / 2;
        var axis = new Point(Math.Cos(angle), Math.Sin(angle));
        var rows = new List<(Point From, Point To)>();
        var slack = Math.Cos(Askew * Math.PI / 180);
        foreach (var core in cores)
        {
            (Point From, Point To)? open = null;
            for (var i = 0; i + 1 < core.Length; i++)
            {
                Budget.Spend();
                var way = core[i + 1] - core[i];
                var isAlong = way.Length > 0.2 && Math.Abs(Point.Dot(way.Unit(), axis)) > slack;
                if (
                    isAlong
                    && open is { } row
                    && Point.Dot(row.To - row.From, way) > 0
                    && Math.Abs(Point.Cross(axis, way)) < 0.25
                )
                {
                    open = (row.From, core[i + 1]);
                    continue;
                }
                Close(ref open);
                open = isAlong ? (core[i], core[i + 1]) : null;
            }
            Close(ref open);
        }
        return (rows, axis);

        void Close(ref (Point From, Point To)? open)
        {
            if (open is { } row && row.From.DistanceTo(row.To) > 0.6)
            {
                rows.Add(row);
            }
            open = null;
        }
    }

    /// <summary>The rows that are sewn to and fro one beside the other, several in turn to the same side.</summary>
    private static List<(Point From, Point To)> InTurn(List<(Point From, Point To)> rows, Point axis)
    {
        var kept = new List<(Point From, Point To)>();
        var begin = 0;
        for (var i = 1; i <= rows.Count; i++)
        {
            Budget.Spend();
            if (i < rows.Count && GoesOn(i) && (i - begin < 2 || Math.Sign(Step(i)) == Math.Sign(Step(i - 1))))
            {
                continue;
            }
            if (i - begin >= FewestRows)
            {
                kept.AddRange(rows[begin..i]);
            }
            begin = i;
        }
        return kept;

        double Step(int i) => Point.Cross(axis, Middle(rows[i]) - Middle(rows[i - 1]));

        bool GoesOn(int i) =>
            Point.Dot(rows[i].To - rows[i].From, rows[i - 1].To - rows[i - 1].From) < 0
            && Math.Abs(Step(i)) is > 0.1 and < 6
            && rows[i].From.DistanceTo(rows[i - 1].To) < Math.Max(2.5, 3 * Math.Abs(Step(i)));
    }

    /// <summary>How far neighbouring rows lie apart, mm: the usual step from one row to the next.</summary>
    private static double Apart(List<(Point From, Point To)> rows, Point axis)
    {
        var steps = new List<double>();
        for (var i = 1; i < rows.Count; i++)
        {
            Budget.Spend();
            var step = Math.Abs(Point.Cross(axis, Middle(rows[i]) - Middle(rows[i - 1])));
            if (step is > 0.15 and < 6)
            {
                steps.Add(step);
            }
        }
        return steps.Count == 0 ? 0.4 : StrokeBands.Median(steps);
    }

    private static Point Middle((Point From, Point To) row) => Point.Lerp(row.From, row.To, 0.5);
}
