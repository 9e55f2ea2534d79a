using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The line along a column's middle, smooth, with the directions in which it goes on beyond its ends.</summary>
/// <param name="Points">Places at even steps, mm.</param>
/// <param name="Tangents">The line's direction at each, length 1.</param>
/// <param name="IsClosed">True when the last place is followed by the first.</param>
internal sealed record ColumnSpine(Point[] Points, Point[] Tangents, bool IsClosed)
{
    /// <summary>How far along the column each place lies, mm; null where that means nothing, as the column is hardly longer than wide.</summary>
    internal double[]? Ways { get; init; }

    /// <summary>Distance of the places, mm.</summary>
    internal const double Step = 0.15;

    /// <summary>Middles nearer to a node than this share of its mouth bend towards the other branches.</summary>
    private const double Bent = 0.5;

    /// <summary>The line is smoothed over this share of the width.</summary>
    private const double Smooth = 0.2;

    internal static ColumnSpine Of(ColumnMesh mesh, MeshColumn column)
    {
        var rungs = column.Rungs;
        if (rungs.Count < 2)
        {
            return Straight(mesh, column);
        }
        var widths = rungs.ConvertAll(mesh.Length);
        var kept = Enumerable.Range(0, rungs.Count).ToList();
        foreach (var (_, at) in column.Passed)
        {
            var (one, two) = (Math.Clamp(at - 1, 0, rungs.Count - 1), Math.Clamp(at, 0, rungs.Count - 1));
            var centre = Point.Lerp(mesh.Middle(rungs[one]), mesh.Middle(rungs[two]), 0.5);
            var within = Bent * Math.Max(widths[one], widths[two]);
            var left = kept.FindAll(i => mesh.Middle(rungs[i]).DistanceTo(centre) > within);
            kept = left.Count >= 2 ? left : kept;
        }
        var line = kept.ConvertAll(i => mesh.Middle(rungs[i]));
        if (line.Count < 2)
        {
            return Straight(mesh, column);
        }
        if (column.IsClosed)
        {
            line.Add(line[0]);
        }
        var along = new ArcLength([.. line]);
        var width = Median(kept.ConvertAll(i => widths[i]));
        if (along.Total < 0.3 * width)
        {
            return Straight(mesh, column);
        }
        var (from, to) = (0.0, along.Total);
        if (!column.IsClosed)
        {
            from = Cut(widths, column.Start is not null, column.Groups[0].Count > 1, along.Total);
            widths.Reverse();
            to -= Cut(widths, column.End is not null, column.Groups[^1].Count > 1, along.Total);
        }
        var count = Math.Max(2, (int)Math.Ceiling((to - from) / Step));
        var places = new Point[column.IsClosed ? count : count + 1];
        var ways = new double[places.Length];
        for (var i = 0; i < places.Length; i++)
        {
            Budget.Spend();
            ways[i] = from + ((to - from) * i / count);
            places[i] = along.At(ways[i]);
        }
        var reach = Math.Min(Smooth * width, (to - from) / 4);
        var window = (int)Math.Round(reach / Step);
        for (var pass = 0; pass < 3; pass++)
        {
            places = Smoothed(places, window, column.IsClosed);
        }
        return new ColumnSpine(places, Directions(places, column.IsClosed), column.IsClosed) { Ways = ways };
    }

    /// <summary>How much of an end bends and is left out, mm.</summary>
    private static double Cut(List<double> widths, bool isUnder, bool isBlunt, double length)
    {
        var width = widths[0];
        for (var i = 0; i < Math.Min(6, widths.Count); i++)
        {
            width = Math.Min(width, widths[i]);
        }
        return Math.Min(
            isUnder ? 0.5 * widths[0]
                : isBlunt ? 0.3 * width
                : 0,
            0.3 * length
        );
    }

    /// <summary>A straight line for what is hardly longer than wide.</summary>
    private static ColumnSpine Straight(ColumnMesh mesh, MeshColumn column)
    {
        Point[] corners =
        [
            .. column.Triangles.SelectMany(t => (Point[])[mesh.At(t).A, mesh.At(t).B, mesh.At(t).C]).Distinct(),
        ];
        var mouth =
            column.Start is not null ? mesh.Middle(column.Rungs[0])
            : column.End is not null ? mesh.Middle(column.Rungs[^1])
            : (Point?)null;
        var centre = mesh.Centre(column.Triangles);
        var direction = mouth is { } from
            ? (column.Start is not null ? centre - from : from - centre).Unit()
            : MainAxis.Of(column.Triangles.Select(t => (mesh.Centre(t), mesh.Area(t))), centre);
        if (direction == Point.Zero)
        {
            direction = new Point(0, 1);
        }
        var ways = corners.Select(corner => Point.Dot(corner - centre, direction)).ToList();
        var (low, high) = (ways.Min() / 2, ways.Max() / 2);
        var count = Math.Max(2, (int)Math.Ceiling((high - low) / Step));
        var places = Enumerable
            .Range(0, count + 1)
            .Select(i => centre + (direction * (low + ((high - low) * i / count))))
            .ToArray();
        return new ColumnSpine(places, Directions(places, isClosed: false), false);
    }

    private static double Median(List<double> values)
    {
        var sorted = values.Order().ToList();
        return sorted[sorted.Count / 2];
    }

    /// <summary>Means over so many places to either side; ends stay where they are.</summary>
    private static Point[] Smoothed(Point[] places, int window, bool isClosed)
    {
        if (window < 1)
        {
            return places;
        }
        var n = places.Length;
        var sums = new Point[n + (2 * window) + 1];
        for (var i = 0; i < n + (2 * window); i++)
        {
            sums[i + 1] = sums[i] + At(i - window);
        }
        var smooth = new Point[n];
        for (var i = 0; i < n; i++)
        {
            Budget.Spend();
            smooth[i] = (sums[i + (2 * window) + 1] - sums[i]) * (1.0 / ((2 * window) + 1));
        }
        return smooth;

        Point At(int i)
        {
            if (isClosed)
            {
                return places[((i % n) + n) % n];
            }
            // Beyond its ends the line goes on as mirrored about them.
            return i < 0 ? (places[0] * 2) - places[Math.Min(n - 1, -i)]
                : i >= n ? (places[^1] * 2) - places[Math.Max(0, (2 * n) - 2 - i)]
                : places[i];
        }
    }

    private static Point[] Directions(Point[] places, bool isClosed)
    {
        var n = places.Length;
        var directions = new Point[n];
        for (var i = 0; i < n; i++)
        {
            var before = isClosed ? places[(i + n - 1) % n] : places[Math.Max(0, i - 1)];
            var after = isClosed ? places[(i + 1) % n] : places[Math.Min(n - 1, i + 1)];
            directions[i] = (after - before).Unit();
        }
        return directions;
    }
}
