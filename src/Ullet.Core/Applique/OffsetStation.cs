using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Applique;

/// <summary>An outline whose edge is to be moved.</summary>
/// <param name="Outline">The outline, mm.</param>
/// <param name="OutlineKey">Stands for it in the key.</param>
/// <param name="Distance">Outwards when positive, mm.</param>
/// <param name="KeepHoles">False to fill the holes first, and any that arise.</param>
public sealed record OffsetInput(Outline Outline, ContentHash OutlineKey, double Distance, bool KeepHoles);

/// <summary>A set of regions as one value.</summary>
public sealed record Area(ImmutableArray<Region> Regions);

/// <summary>Outline to the area that a cloth takes when it is laid or trimmed.</summary>
public sealed class OffsetStation : IStation<OffsetInput, Area>
{
    public int Version => 1;

    public long Bytes(Area output) => Footprint.Of(output.Regions);

    public ContentHash Key(OffsetInput input) =>
        ContentHash.Of(new { input.Distance, input.KeepHoles }, $"offset-{Version}-{input.OutlineKey}");

    public Area Compute(OffsetInput input, CancellationToken cancellation)
    {
        var regions = input.Outline.Flatten();
        if (input.KeepHoles)
        {
            return new Area(RegionOffset.By(regions, input.Distance));
        }
        var filled = RegionOffset.By([.. regions.Select(Filled)], input.Distance);
        return new Area([.. filled.Select(Filled)]);
    }

    private static Region Filled(Region region) => region with { Holes = [] };
}
