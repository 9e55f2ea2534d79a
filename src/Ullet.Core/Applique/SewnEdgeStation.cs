using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Applique;

/// <summary>An outline that stitches are to follow.</summary>
/// <param name="Outline">The outline as drawn, mm.</param>
/// <param name="OutlineKey">Stands for it in the key.</param>
/// <param name="Drift">How far stitches may lie from it where it is rough, mm.</param>
public sealed record SewnEdgeInput(Outline Outline, ContentHash OutlineKey, double Drift);

/// <summary>The line that stitches follow.</summary>
/// <param name="Smoothed">The outline without detail that thread can't follow, mm; null where it has none.</param>
/// <param name="Drift">How far it lies from the outline at most, mm; 0 where that has no such detail.</param>
/// <param name="At">Where that is, mm.</param>
public sealed record SewnEdge(Outline? Smoothed, double Drift, Point At);

/// <summary>Outline to the line that stitches follow.</summary>
public sealed class SewnEdgeStation : IStation<SewnEdgeInput, SewnEdge>
{
    public int Version => 1;

    public long Bytes(SewnEdge output) =>
        Footprint.Thing + (output.Smoothed is { } smoothed ? Footprint.Of(smoothed) : 0);

    public ContentHash Key(SewnEdgeInput input) =>
        ContentHash.Of(input.Drift, $"sewn-edge-{Version}-{input.OutlineKey}");

    public SewnEdge Compute(SewnEdgeInput input, CancellationToken cancellation)
    {
        var regions = input.Outline.Flatten();
        var smoothed = SmoothedRing.Of(regions, input.Drift);
        var (most, at, isSmoothed) = (0.0, Point.Zero, false);
        foreach (
            var (ring, sewn) in regions
                .SelectMany(region => region.Rings)
                .Zip(smoothed.SelectMany(region => region.Rings))
        )
        {
            Budget.Spend();
            isSmoothed |= !ReferenceEquals(ring, sewn);
            var (length, place) = SmoothedRing.DriftOf(ring, sewn);
            (most, at) = length > most ? (length, place) : (most, at);
        }
        return isSmoothed ? new SewnEdge(AsOutline(smoothed), most, at) : new SewnEdge(null, 0, at);
    }

    private static Outline AsOutline(ImmutableArray<Region> regions) =>
        new([
            .. regions.Select(region => new OutlinePart(
                Contour.Polygon(region.Shell.Points),
                [.. region.Holes.Select(hole => Contour.Polygon(hole.Points))]
            )),
        ]);
}
