using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>The cells of a grid that lie in an area.</summary>
internal static class AreaCells
{
    /// <summary>Marks every cell whose middle lies in the area: between an odd crossing of its edges and the next.</summary>
    internal static bool[] Mark(ImmutableArray<Region> area, ThreadRaster raster)
    {
        var marked = new bool[raster.Columns * raster.Rows];
        var crossings = new List<double>[raster.Rows];
        foreach (var ring in area.SelectMany(region => region.Rings))
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                var (a, b) = (ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]);
                var (low, high) = (Math.Min(a.Y, b.Y), Math.Max(a.Y, b.Y));
                var first = Math.Max(0, (int)Math.Ceiling((low - raster.At(0, 0).Y) / raster.Cell));
                for (var row = first; row < raster.Rows && raster.At(0, row).Y <= high; row++)
                {
                    Budget.Spend();
                    var y = raster.At(0, row).Y;
                    if (a.Y > y != b.Y > y)
                    {
                        (crossings[row] ??= []).Add(a.X + ((y - a.Y) / (b.Y - a.Y) * (b.X - a.X)));
                    }
                }
            }
        }
        for (var row = 0; row < raster.Rows; row++)
        {
            var line = crossings[row] ?? [];
            line.Sort();
            for (var k = 0; k + 1 < line.Count; k += 2)
            {
                var from = Math.Max(0, (int)Math.Ceiling((line[k] - raster.At(0, row).X) / raster.Cell));
                var to = Math.Min(
                    raster.Columns - 1,
                    (int)Math.Floor((line[k + 1] - raster.At(0, row).X) / raster.Cell)
                );
                for (var column = from; column <= to; column++)
                {
                    marked[(row * raster.Columns) + column] = true;
                }
            }
        }
        return marked;
    }
}
