using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>About how many bytes geometry takes in memory, for caches that are bounded in bytes.</summary>
/// <remarks>Counts what grows with the input (points, curves) and a round sum for each object; exact to a fifth or so.</remarks>
public static class Footprint
{
    /// <summary>An object with its fields and its place in a list.</summary>
    public const long Thing = 96;

    private const long PerPoint = 16;

    private const long PerCurve = 72;

    public static long Of(ImmutableArray<Point> points) => Thing + (PerPoint * points.Length);

    public static long Of(ImmutableArray<Curve> curves) => Thing + (PerCurve * curves.Length);

    public static long Of(Outline outline) =>
        Thing
        + outline.Contours.Sum(contour => Thing + Of(contour.Curves))
        + outline.Lines.Sum(line => Thing + Of(line.Curves));

    public static long Of(Region region) => Thing + region.Rings.Sum(ring => Thing + Of(ring.Points));

    public static long Of(ImmutableArray<Region> regions) => Thing + regions.Sum(Of);
}
