using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Quality;

/// <summary>What a good cover is measured against. Source: the stitching page of the handbook, "What makes it good".</summary>
internal static class QualityBounds
{
    internal const double LeastCovered = 0.995;
    internal const double WidestBare = 0.5;
    internal const double MostSpill = 0.1;
    internal const int MostInDisc = 12;
    internal const double MostLayers = 3;
    internal const double MostLayersInOverlap = 4;

    /// <summary>Longest closing overlap that is allowed, mm.</summary>
    private const double LongestOverlap = 2.0;

    /// <summary>Needle points that may belong to a closing overlap at either end of a run, corner caps counted in.</summary>
    internal static int OverlapPoints(double spacing) => (int)Math.Ceiling(1.65 * LongestOverlap / (spacing / 2));

    /// <summary>A sentence for every bound that is breached.</summary>
    internal static IEnumerable<string> Breaches(QualityRaster raster)
    {
        if (raster.Coverage < LeastCovered)
        {
            yield return $"{raster.Coverage:0.00%} covered, bare at {Text(raster.BareAt)}";
        }
        if (raster.WidestBare > WidestBare)
        {
            yield return $"bare spot {raster.WidestBare:0.00} wide at {Text(raster.BareAt)}";
        }
        if (raster.Spill > MostSpill)
        {
            yield return $"needle point {raster.Spill:0.00} outside the band";
        }
        if (raster.MostInDisc > MostInDisc)
        {
            yield return $"{raster.MostInDisc} needle points in a disc at {Text(raster.PiledAt)}";
        }
        if (raster.MostLayers > MostLayers)
        {
            yield return $"{raster.MostLayers:0.00} layers at {Text(raster.ThickAt)}";
        }
        if (raster.MostLayersInOverlap > MostLayersInOverlap)
        {
            yield return $"{raster.MostLayersInOverlap:0.00} layers in an overlap";
        }
    }

    private static string Text(Point? at) => at is { } place ? $"({place.X:0.00}, {place.Y:0.00})" : "-";
}
