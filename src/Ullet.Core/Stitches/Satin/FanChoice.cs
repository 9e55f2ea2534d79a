using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>How strokes are thinned round one tight curve.</summary>
/// <param name="Room">How much thicker than on a straight edge thread may lie.</param>
/// <param name="Phase">Added to the number of each hole, so that other strokes are the long ones.</param>
internal readonly record struct Thinning(double Room, int Phase);

/// <summary>Tries a few ways to thin a fan of strokes and takes the one that lies best.</summary>
internal static class FanChoice
{
    private const double Cell = 0.1;

    /// <summary>Layers are averaged over squares of this many cells.</summary>
    private const int Place = 9;

    /// <summary>Thicker than this a fan is thinned more, layers; a little under what is promised.</summary>
    private const double MostLayers = 2.74;

    /// <summary>Barer than this a fan is thinned less, share of it.</summary>
    private const double MostBare = 0.004;

    /// <summary>Counted with thread a little narrower, so that slits narrower than a cell show, a fan barer than this is looked
    /// at again with all that lies about it.</summary>
    private const double Doubtful = 0.004;

    private const double NarrowThread = 0.9 * StitchDefaults.ThreadWidth;

    private static readonly double[] Rooms = [1.12, 1.25, 1.04, 1.35, 0.95, 0.86];

    private const int Phases = 6;

    /// <summary>The thinning under which neither too much thread lies anywhere nor too little, and whether some doubt is left
    /// that it lies well.</summary>
    /// <param name="strokes">The fan with some strokes to either side.</param>
    /// <param name="first">The fan's first stroke among all; its evenness says which end is sewn.</param>
    /// <param name="endOf">Where a stroke's needle point falls under a thinning, by the stroke's number among all.</param>
    internal static (Thinning Thinning, bool IsDoubtful) Best(
        ReadOnlySpan<Stroke> strokes,
        int first,
        Func<int, Thinning, Point> endOf
    )
    {
        var box = Box.Empty;
        foreach (ref readonly var stroke in strokes)
        {
            box = box.Including(stroke.Place.Outer).Including(stroke.Place.Inner);
        }
        var raster = new ThreadRaster(box.Grown(2 * Cell), Cell);
        var isBand = Band(strokes, raster);
        var (best, least) = (new Thinning(Rooms[0], 0), double.MaxValue);
        foreach (var room in Rooms)
        {
            for (var phase = 0; phase < Phases; phase++)
            {
                Budget.Spend();
                var tried = new Thinning(room, phase);
                Sew(tried, strokes.Length, first, endOf, raster);
                var cost = Cost(raster, isBand);
                if (cost <= 0)
                {
                    var narrow = new ThreadRaster(raster.Box, Cell, NarrowThread);
                    Sew(tried, strokes.Length, first, endOf, narrow);
                    return (tried, BareShare(narrow.Layers, isBand) > Doubtful);
                }
                if (cost < least)
                {
                    (best, least) = (tried, cost);
                }
            }
        }
        return (best, true);
    }

    private static void Sew(
        Thinning thinning,
        int count,
        int first,
        Func<int, Thinning, Point> endOf,
        ThreadRaster raster
    )
    {
        raster.Clear();
        for (var i = 1; i < count; i++)
        {
            raster.Draw(endOf(first + i - 1, thinning), endOf(first + i, thinning));
        }
    }

    /// <summary>The cells between the fan's first and last stroke, a thread's width from either.</summary>
    private static bool[] Band(ReadOnlySpan<Stroke> strokes, ThreadRaster raster)
    {
        var isBand = new bool[raster.Columns * raster.Rows];
        for (var i = 3; i + 3 < strokes.Length; i++)
        {
            var (here, next) = (strokes[i - 1].Place, strokes[i].Place);
            var across = (int)Math.Ceiling(Math.Max(here.Length, next.Length) / (Cell * 0.7));
            var along = (int)
                Math.Ceiling(
                    Math.Max(here.Outer.DistanceTo(next.Outer), here.Inner.DistanceTo(next.Inner)) / (Cell * 0.7)
                );
            for (var a = 0; a <= along; a++)
            {
                var outer = Point.Lerp(here.Outer, next.Outer, a / (double)Math.Max(1, along));
                var inner = Point.Lerp(here.Inner, next.Inner, a / (double)Math.Max(1, along));
                for (var b = 0; b <= across; b++)
                {
                    var at = Point.Lerp(outer, inner, b / (double)Math.Max(1, across));
                    var column = (int)Math.Round((at.X - raster.Box.MinX) / Cell);
                    var row = (int)Math.Round((at.Y - raster.Box.MinY) / Cell);
                    isBand[(row * raster.Columns) + column] = true;
                }
            }
        }
        return isBand;
    }

    private static double BareShare(ReadOnlySpan<byte> layers, bool[] isBand)
    {
        var (bare, band) = (0, 0);
        for (var at = 0; at < isBand.Length; at++)
        {
            band += isBand[at] ? 1 : 0;
            bare += isBand[at] && layers[at] == 0 ? 1 : 0;
        }
        return band == 0 ? 0 : bare / (double)band;
    }

    private static double Cost(ThreadRaster raster, bool[] isBand)
    {
        var thick = 0.0;
        var layers = raster.Layers;
        var columns = new int[raster.Columns];
        for (var row = 0; row < raster.Rows; row++)
        {
            var sum = 0;
            for (var column = 0; column < raster.Columns; column++)
            {
                var at = (row * raster.Columns) + column;
                columns[column] += layers[at] - (row >= Place ? layers[at - (Place * raster.Columns)] : 0);
                sum += columns[column] - (column >= Place ? columns[column - Place] : 0);
                thick = Math.Max(thick, sum / (double)(Place * Place));
            }
        }
        return Math.Max(0, (BareShare(layers, isBand) - MostBare) * 20) + Math.Max(0, thick - MostLayers);
    }
}
