using System.Collections.Immutable;

namespace Ullet.Core.Stitches;

/// <summary>A decorative unit that is repeated along an edge.</summary>
/// <param name="Id">Names it in documents.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Length">Its usual length along the edge, mm.</param>
/// <param name="Places">Its needle points from one end to the other: along the unit from 0 to 1, and across it from -1 (inner
/// side) to 1 (outer side). It begins and ends on the edge.</param>
public sealed record StitchUnit(
    string Id,
    string Name,
    double Length,
    ImmutableArray<(double Along, double Across)> Places
)
{
    /// <summary>The units that there are; all of them our own drawing.</summary>
    public static readonly ImmutableArray<StitchUnit> All =
    [
        new(
            "ripple",
            "Ripple",
            4,
            [(0, 0), (0.12, 0.6), (0.25, 1), (0.38, 0.6), (0.5, 0), (0.62, -0.6), (0.75, -1), (0.88, -0.6), (1, 0)]
        ),
        new(
            "picket",
            "Picket",
            4.5,
            [(0, 0), (0.2, -0.8), (0.2, 0.6), (0.37, 1), (0.54, 0.6), (0.54, -0.8), (0.74, 0), (1, 0)]
        ),
        new("fern", "Fern", 3.5, [(0, 0), (0.55, 0), (0.15, 1), (0.55, 0), (0.15, -1), (0.55, 0), (1, 0)]),
        new("cobble", "Cobble", 5, [(0, 0), (0, 0.8), (0.5, 0.8), (0.5, -0.8), (1, -0.8), (1, 0)]),
        new(
            "seed",
            "Seed",
            5,
            [(0, 0), (0.25, 0.7), (0.55, 0.9), (0.8, 0), (0.55, -0.9), (0.25, -0.7), (0, 0), (0.8, 0), (1, 0)]
        ),
        new(
            "bramble",
            "Bramble",
            4.5,
            [(0, 0), (0.2, -1), (0.5, 0), (0.8, 1), (0.5, 0), (0.2, 1), (0.5, 0), (0.8, -1), (1, 0)]
        ),
        new("trellis", "Trellis", 4, [(0, 0), (0.5, 1), (1, 0), (0.5, -1), (0, 0), (0.5, 0), (1, 0)]),
        new(
            "tendril",
            "Tendril",
            5,
            [(0, 0), (0.3, -0.5), (0.65, -0.3), (0.8, 0.4), (0.5, 1), (0.2, 0.5), (0.4, -0.2), (0.75, -0.6), (1, 0)]
        ),
        new("thorn", "Thorn", 4, [(0, 0), (0.35, 0), (0.5, 1), (0.65, 0), (0.75, -0.7), (0.85, 0), (1, 0)]),
        new("furrow", "Furrow", 4, [(0, 0), (0.1, 1), (0.35, -1), (0.5, 0), (0.6, 1), (0.85, -1), (1, 0)]),
    ];

    /// <summary>The unit with an id; the first one for an id that is not known.</summary>
    public static StitchUnit Of(string? id) => All.FirstOrDefault(unit => unit.Id == id) ?? All[0];
}
