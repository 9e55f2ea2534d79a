using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>Looks for cloth that shows where thread should lie.</summary>
internal static class BareSpots
{
    /// <summary>Smaller spots are not seen, mm.</summary>
    internal const double Narrowest = 0.5;

    /// <summary>The largest disc of what should be covered that lies without thread.</summary>
    internal static MeasuredPlace? Widest(ThreadRaster raster, bool[] isWanted)
    {
        var layers = raster.Layers;
        var radius = (int)Math.Round(Narrowest / 2 / raster.Cell);
        MeasuredPlace? widest = null;
        for (var row = radius; row + radius < raster.Rows; row++)
        {
            for (var column = radius; column + radius < raster.Columns; column++)
            {
                var at = (row * raster.Columns) + column;
                if (isWanted[at] && layers[at] == 0)
                {
                    while (IsBare(raster, isWanted, column, row, radius + 1))
                    {
                        radius++;
                        widest = new MeasuredPlace(raster.At(column, row), ((2 * radius) + 1) * raster.Cell);
                    }
                }
            }
        }
        return widest;
    }

    private static bool IsBare(ThreadRaster raster, bool[] isWanted, int column, int row, int radius)
    {
        if (column < radius || row < radius || column + radius >= raster.Columns || row + radius >= raster.Rows)
        {
            return false;
        }
        var layers = raster.Layers;
        for (var dy = -radius; dy <= radius; dy++)
        {
            for (var dx = -radius; dx <= radius; dx++)
            {
                var at = ((row + dy) * raster.Columns) + column + dx;
                if ((dx * dx) + (dy * dy) <= radius * radius && (layers[at] > 0 || !isWanted[at]))
                {
                    return false;
                }
            }
        }
        return true;
    }
}
