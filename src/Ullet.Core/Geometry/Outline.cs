using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>One part of an outline: a shell clockwise on screen and its holes against it, as curves, mm.</summary>
public sealed record OutlinePart(Contour Shell, ImmutableArray<Contour> Holes)
{
    public IEnumerable<Contour> Contours => Holes.Prepend(Shell);

    public Region Flatten(double tolerance = Tolerance.Flatten) =>
        new(Shell.Flatten(tolerance), [.. Holes.Select(hole => hole.Flatten(tolerance))]);
}

/// <summary>The outline of an element: its parts as curves, mm. Parts do not overlap.</summary>
public sealed record Outline(ImmutableArray<OutlinePart> Parts)
{
    public static readonly Outline Empty = new([]);

    public IEnumerable<Contour> Contours => Parts.SelectMany(part => part.Contours);

    /// <summary>The exact box of all shells, mm.</summary>
    public Box Bounds() => Parts.Aggregate(Box.Empty, (box, part) => box.Union(part.Shell.Bounds()));

    public ImmutableArray<Region> Flatten(double tolerance = Tolerance.Flatten) =>
        [.. Parts.Select(part => part.Flatten(tolerance))];

    public Outline Transform(Affine map) =>
        new([
            .. Parts.Select(part => new OutlinePart(
                part.Shell.Transform(map).Oriented(clockwise: true),
                [.. part.Holes.Select(hole => hole.Transform(map).Oriented(clockwise: false))]
            )),
        ]);
}
