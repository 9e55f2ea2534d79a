using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Patches what no column's strokes reach: a short column along the rest's longer axis.</summary>
internal static class ColumnRests
{
    /// <summary>Smaller or thinner rests are left bare, mm² and mm: neighbouring thread closes over them.</summary>
    private const double LeastArea = 0.12;

    private const double LeastWidth = 0.25;

    /// <summary>A patch reaches so far over the strokes beside it, mm.</summary>
    private const double Over = 0.15;

    internal static IEnumerable<SatinColumn> Of(ColumnMesh mesh, RegionEdges region, IEnumerable<SatinColumn> columns)
    {
        var reached = new ReachedCells(Box.Of(mesh.Points));
        reached.Begin();
        foreach (var column in columns)
        {
            reached.Add(column.Places);
        }
        var bare = reached.Bare(region);
        while (bare.Count > 0)
        {
            var rest = Connected(bare);
            bare.ExceptWith(rest);
            if (rest.Count * reached.Cell * reached.Cell >= LeastArea && Patch(rest, reached, region) is { } patch)
            {
                yield return patch;
            }
        }
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

    private static SatinColumn? Patch(List<(int X, int Y)> rest, ReachedCells reached, RegionEdges region)
    {
        var cell = reached.Cell;
        var spots = rest.ConvertAll(at => reached.Middle(at.X, at.Y));
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
