using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Shapes widened by the pull compensation; the same letter is widened once, wherever it stands.</summary>
internal static class CompensatedShapes
{
    private const int MostKept = 2000;

    private static readonly KeptWork<Region[]> Kept = new(MostKept);

    /// <param name="regions">The outline, mm.</param>
    /// <param name="by">Added on each side, mm.</param>
    internal static ImmutableArray<Region> Of(ImmutableArray<Region> regions, double by)
    {
        if (by <= 0)
        {
            return regions;
        }
        var boxes = regions.Select(region => region.Bounds().Grown(by)).ToList();
        for (var i = 0; i < boxes.Count; i++)
        {
            if (boxes.FindIndex(i + 1, other => other.Overlaps(boxes[i])) >= 0)
            {
                // They may run into each other.
                return RegionOffset.By(regions, by);
            }
        }
        return [.. regions.SelectMany((region, i) => Of(region, new Point(boxes[i].MinX, boxes[i].MinY), by))];
    }

    private static IEnumerable<Region> Of(Region region, Point from, double by)
    {
        var local = LocalShape.Of(region, from);
        return Kept.Of(new ShapeKey(local.Points, by), () => [.. RegionOffset.By([local.Region], by)])
            .Select(wide => new Region(Moved(wide.Shell, from), [.. wide.Holes.Select(hole => Moved(hole, from))]));
    }

    private static Ring Moved(Ring ring, Point by) => Ring.Of([.. ring.Points.Select(point => point + by)]);
}
