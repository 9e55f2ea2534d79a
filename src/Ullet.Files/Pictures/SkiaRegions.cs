using SkiaSharp;
using Ullet.Core.Geometry;

namespace Ullet.Files.Pictures;

/// <summary>Areas as paths to be painted.</summary>
internal static class SkiaRegions
{
    internal static SKPath Path(IEnumerable<Region> regions)
    {
        var path = new SKPath { FillType = SKPathFillType.EvenOdd };
        foreach (var ring in regions.SelectMany(region => region.Rings))
        {
            path.AddPoly([.. ring.Points.Select(p => new SKPoint((float)p.X, (float)p.Y))], close: true);
        }
        return path;
    }
}
