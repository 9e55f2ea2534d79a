namespace Ullet.Core.Geometry;

/// <summary>Regions seen through a map.</summary>
public static class RegionMap
{
    /// <summary>The region on the other side; its rings keep their sense.</summary>
    public static Region On(Region region, Affine map) =>
        new(
            Mapped(region.Shell, map, clockwise: true),
            [.. region.Holes.Select(hole => Mapped(hole, map, clockwise: false))]
        );

    private static Ring Mapped(Ring ring, Affine map, bool clockwise)
    {
        var mapped = new Ring([.. ring.Points.Select(map.Apply)]);
        return mapped.SignedArea > 0 == clockwise ? mapped : mapped.Reversed();
    }
}
