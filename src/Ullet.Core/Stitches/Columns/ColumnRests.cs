using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Patches what no column's strokes reach: a short column along the rest's longer axis.</summary>
internal static class ColumnRests
{
    /// <summary>Side of a grid cell where the shape is small, mm.</summary>
    private const double LeastCell = 0.1;

    private const int MostCells = 300;

    /// <summary>Smaller or thinner rests are left bare, mm² and mm: neighbouring thread closes over them.</summary>
    private const double LeastArea = 0.12;

    private const double LeastWidth = 0.25;

    /// <summary>A patch reaches so far over the strokes beside it, mm.</summary>
    private const double Over = 0.15;

    internal static IEnumerable<SatinColumn> Of(ColumnMesh mesh, RegionEdges region, IEnumerable<SatinColumn> columns)
    {
        var box = Box.Of(mesh.Points);
        var cell = Math.Max(LeastCell, Math.Max(box.Width, box.Height) / MostCells);
        var reached = new ReachedCells(box);
        reached.Begin();
        foreach (var column in columns)
        {
            reached.Add(column.Places);
        }
        var bare = new HashSet<(int X, int Y)>();
        for (var t = 0; t < mesh.Count; t++)
        {
            Bare(mesh.At(t), box, cell, reached, bare);
        }
        while (bare.Count > 0)
        {
            var rest = Connected(bare);
            bare.ExceptWith(rest);
            if (rest.Count * cell * cell >= LeastArea && Patch(rest, box, cell, region) is { } patch)
            {
                yield return patch;
            }
        }
    }

    private static void Bare(
        (Point A, Point B, Point C) triangle,
        Box box,
        double cell,
        ReachedCells reached,
        HashSet<(int, int)> bare
    )
    {
        var around = Box.Of([triangle.A, triangle.B, triangle.C]);
        for (var y = (int)((around.MinY - box.MinY) / cell); y <= (int)((around.MaxY - box.MinY) / cell); y++)
        {
            for (var x = (int)((around.MinX - box.MinX) / cell); x <= (int)((around.MaxX - box.MinX) / cell); x++)
            {
                Budget.Spend();
                var spot = new Point(box.MinX + ((x + 0.5) * cell), box.MinY + ((y + 0.5) * cell));
                if (IsIn(spot, triangle) && !reached.Holds(spot))
                {
                    bare.Add((x, y));
                }
            }
        }
    }

    private static bool IsIn(Point spot, (Point A, Point B, Point C) triangle)
    {
        var (one, two, three) = (
            Point.Cross(triangle.B - triangle.A, spot - triangle.A),
            Point.Cross(triangle.C - triangle.B, spot - triangle.B),
            Point.Cross(triangle.A - triangle.C, spot - triangle.C)
        );
        return (one >= 0 && two >= 0 && three >= 0) || (one <= 0 && two <= 0 && three <= 0);
    }

    private static List<(int X, int Y)> Connected(HashSet<(int X, int Y)> bare)
    {
        var found = new List<(int X, int Y)> { bare.First() };
        var seen = new HashSet<(int, int)> { found[0] };
        for (var i = 0; i < found.Count; i++)
        {
            for (var dy = -1; dy <= 1; dy++)
            {
                for (var dx = -1; dx <= 1; dx++)
                {
                    Budget.Spend();
                    var next = (found[i].X + dx, found[i].Y + dy);
                    if (bare.Contains(next) && seen.Add(next))
                    {
                        found.Add(next);
                    }
                }
            }
        }
        return found;
    }

    private static SatinColumn? Patch(List<(int X, int Y)> rest, Box box, double cell, RegionEdges region)
    {
        var spots = rest.ConvertAll(at => new Point(
            box.MinX + ((at.X + 0.5) * cell),
            box.MinY + ((at.Y + 0.5) * cell)
        ));
        var centre = spots.Aggregate(Point.Zero, (sum, spot) => sum + spot) * (1.0 / spots.Count);
        var axis = MainAxis.Of(spots.Select(spot => (spot, 1.0)), centre);
        var across = axis.Outward();
        var ways = spots.ConvertAll(spot =>
            (Along: Point.Dot(spot - centre, axis), Aside: Point.Dot(spot - centre, across))
        );
        if (ways.Max(way => way.Aside) - ways.Min(way => way.Aside) + cell < LeastWidth)
        {
            return null;
        }
        var places = new List<StrokePlace>();
        var reach = (cell / 2) + Over;
        var end = ways.Max(way => way.Along);
        for (var at = ways.Min(way => way.Along); at <= end + (ColumnSpine.Step / 2); at += ColumnSpine.Step)
        {
            Budget.Spend();
            var near = ways.FindAll(way => Math.Abs(way.Along - at) <= cell);
            if (near.Count == 0)
            {
                continue;
            }
            var (low, high) = (near.Min(way => way.Aside), near.Max(way => way.Aside));
            var spot = near.MinBy(way => Math.Abs(way.Aside - ((low + high) / 2)) + Math.Abs(way.Along - at));
            var middle = centre + (axis * spot.Along) + (across * spot.Aside);
            var (down, up) = region.Free(middle, across);
            places.Add(
                new StrokePlace(
                    middle + (across * Math.Min(high - spot.Aside + reach, up)),
                    middle - (across * Math.Min(spot.Aside - low + reach, down))
                )
            );
        }
        return places.Count < 2 ? null : new SatinColumn(new MeshColumn { IsRest = true }, [.. places], false);
    }
}
