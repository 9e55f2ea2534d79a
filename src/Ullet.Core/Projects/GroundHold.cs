using System.Collections.Frozen;
using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What keeps the ground on the stabiliser.</summary>
public enum GroundHold
{
    /// <summary>Both lie between the rings.</summary>
    Hooped,
    Taped,
    Sprayed,

    /// <summary>A sticky stabiliser, its paper peeled off.</summary>
    Sticky,

    /// <summary>A box of long stitches that comes out again.</summary>
    Basted,
}

/// <summary>What is known of a way to hold the ground.</summary>
/// <param name="Id">The way.</param>
/// <param name="Name">What it is called where it is chosen.</param>
/// <param name="Hooping">What is done with the stabiliser while it is hooped, to go on after a comma; empty for nothing more.</param>
/// <param name="Laying">How the ground is laid on it, a sentence; empty where it is hooped.</param>
public sealed record GroundHoldRow(GroundHold Id, string Name, string Hooping, string Laying);

/// <summary>All ways to hold the ground, a row each.</summary>
public static class GroundHoldTable
{
    public static readonly ImmutableArray<GroundHoldRow> All =
    [
        new(GroundHold.Hooped, "hooped with the stabiliser", "", ""),
        new(
            GroundHold.Taped,
            "laid on it and taped",
            "",
            "Smooth it from the middle outwards and tape its edges outside everything that is sewn."
        ),
        new(GroundHold.Sprayed, "laid on it with basting spray", "", "Smooth it on from the middle outwards."),
        new(
            GroundHold.Sticky,
            "laid on sticky stabiliser",
            ", its paper up; score the paper inside the ring without cutting through and peel it off",
            "Smooth it on from the middle outwards; where it must be moved, lift it, do not pull it."
        ),
        new(
            GroundHold.Basted,
            "laid on it and basted",
            "",
            "Smooth it from the middle outwards and tape its corners; the basting holds it."
        ),
    ];

    private static readonly FrozenDictionary<GroundHold, GroundHoldRow> ById = All.ToFrozenDictionary(row => row.Id);

    public static GroundHoldRow Of(GroundHold hold) => ById[hold];
}
