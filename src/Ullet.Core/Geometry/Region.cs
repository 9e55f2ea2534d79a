using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>A flat part of the plane: a shell that runs clockwise on screen and holes that run against it, mm.</summary>
public sealed record Region(Ring Shell, ImmutableArray<Ring> Holes)
{
    public IEnumerable<Ring> Rings => Holes.Prepend(Shell);

    /// <summary>Area without the holes, mm².</summary>
    public double Area => Rings.Sum(ring => ring.SignedArea);

    public Box Bounds() => Shell.Bounds();
}
