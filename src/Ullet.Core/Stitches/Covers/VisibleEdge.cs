using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The part of an outline's edge that gets a cover.</summary>
/// <param name="WholeRings">Rings that are covered all round, by their number: part by part, shell before holes.</param>
/// <param name="Stretches">Stretches of the other rings.</param>
public sealed record VisibleEdge(ImmutableArray<int> WholeRings, ImmutableArray<OpenStretch> Stretches);

/// <summary>A stretch of a ring, in the ring's direction.</summary>
/// <param name="Ring">The ring's number.</param>
/// <param name="Points">At least two places, mm.</param>
public sealed record OpenStretch(int Ring, ImmutableArray<Point> Points);
