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

    private static readonly double[] Rooms = [1.2, 1.3, 1.12];

    private const int Phases = 4;

    /// <summary>The needle points under which least too much thread lies anywhere and least too little.</summary>
    /// <param name="strokes">The fan with some strokes to either side.</param>
    /// <param name="endsOf">Where the strokes' needle points fall under a thinning.</param>
    internal static Point[] Best(ReadOnlySpan<Stroke> strokes, Func<Thinning, Point[]> endsOf)
    {
        var box = Box.Empty;
        foreach (ref readonly var stroke in strokes)
        {
            box = box.Including(stroke.Place.Outer).Including(stroke.Place.Inner);
        }
        var raster = new ThreadRaster(box.Grown(2 * Cell), Cell);
        var isBand = Band(strokes, raster);
        var (best, least) = (Array.Empty<Point>(), double.MaxValue);
        foreach (var room in Rooms)
        {
            for (var phase = 0; phase < Phases; phase++)
            {
                Budget.Spend();
                var tried = endsOf(new Thinning(room, phase));
                Sew(tried, raster);
                var cost = Cost(raster, isBand);
                if (cost < least)
                {
                    (best, least) = (tried, cost);
                }
            }
        }
        return best;
    }

    private static void Sew(Point[] ends, ThreadRaster raster)
    {
        raster.Clear();
        for (var i = 1; i < ends.Length; i++)
        {
            raster.Draw(ends[i - 1], ends[i]);
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
        return Math.Max(0, (BareShare(layers, isBand) - MostBare) * 50) + Math.Max(0, thick - MostLayers);
    }
}
