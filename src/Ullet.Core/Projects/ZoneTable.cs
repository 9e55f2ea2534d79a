using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What is known of a kind of zone.</summary>
/// <param name="Role">What it is for.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Sentence">What it does, for somebody who has to choose.</param>
public sealed record ZoneRow(ZoneRole Role, string Name, string Sentence);

/// <summary>All kinds of zones, a row each.</summary>
public static class ZoneTable
{
    public static readonly ImmutableArray<ZoneRow> All =
    [
        new(ZoneRole.KeepClear, "Keep clear", "No needle may enter: a snap, a pocket, a magnet."),
        new(ZoneRole.StayWithin, "Stay within", "Every stitch must lie inside: what a frame leaves free."),
        new(ZoneRole.Guide, "Only to see", "For your eyes alone; never stitched."),
    ];
}
