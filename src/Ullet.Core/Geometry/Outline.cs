using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>One part of an outline: a shell clockwise on screen and its holes against it, as curves, mm.</summary>
public sealed record OutlinePart(Contour Shell, ImmutableArray<Contour> Holes)
{
    public IEnumerable<Contour> Contours => Holes.Prepend(Shell);

    public Region Flatten(double tolerance = Tolerance.Flatten) =>
        new(Shell.Flatten(tolerance), [.. Holes.Select(hole => hole.Flatten(tolerance))]);
}

/// <summary>A line that does not close: curves, each beginning where the one before it ends, mm.</summary>
public sealed record OpenPath(ImmutableArray<Curve> Curves)
{
    public Box Bounds() => Curves.Aggregate(Box.Empty, (box, curve) => box.Union(curve.Bounds()));

    public OpenPath Transform(Affine map) => new([.. Curves.Select(curve => curve.Transform(map))]);

    /// <summary>The line as points within the tolerance, mm.</summary>
    public ImmutableArray<Point> Flatten(double tolerance = Tolerance.Flatten)
    {
        var points = new List<Point> { Curves[0].Start };
        foreach (var curve in Curves)
        {
            curve.Flatten(tolerance, points);
        }
        return [.. points];
    }
}

/// <summary>The outline of an element: its closed parts as curves, and its open lines, mm. Parts do not overlap.</summary>
public sealed record Outline(ImmutableArray<OutlinePart> Parts)
{
    public static readonly Outline Empty = new([]);

    /// <summary>Lines that do not close; none on anything made of cloth.</summary>
    public ImmutableArray<OpenPath> Lines { get; init; } = [];

    public bool IsEmpty => Parts.IsEmpty && Lines.IsEmpty;

    /// <summary>How many nodes its edges and lines have: one for each curve, and one more at the end of an open line.</summary>
    public int NodeCount => Contours.Sum(contour => contour.Curves.Length) + Lines.Sum(line => line.Curves.Length + 1);

    public IEnumerable<Contour> Contours => Parts.SelectMany(part => part.Contours);

    /// <summary>The exact box of all shells and lines, mm.</summary>
    public Box Bounds() =>
        Lines.Aggregate(
            Parts.Aggregate(Box.Empty, (box, part) => box.Union(part.Shell.Bounds())),
            (box, line) => box.Union(line.Bounds())
        );

    /// <summary>How far a place lies from the nearest edge, mm; infinite without edges.</summary>
    public double DistanceToEdge(Point place) =>
        Flatten()
            .SelectMany(region => region.Rings)
            .Select(ring =>
            {
                var along = new ArcLength([.. ring.Points, ring.Points[0]]);
                return along.At(along.Of(place)).DistanceTo(place);
            })
            .DefaultIfEmpty(double.PositiveInfinity)
            .Min();

    public ImmutableArray<Region> Flatten(double tolerance = Tolerance.Flatten) =>
        [.. Parts.Select(part => part.Flatten(tolerance))];

    /// <summary>Moved; every ring keeps its direction.</summary>
    public Outline Moved(double x, double y)
    {
        var map = Affine.Translate(x, y);
        return new Outline([
            .. Parts.Select(part => new OutlinePart(
                part.Shell.Transform(map),
                [.. part.Holes.Select(hole => hole.Transform(map))]
            )),
        ])
        {
            Lines = [.. Lines.Select(line => line.Transform(map))],
        };
    }

    public Outline Transform(Affine map) =>
        new([
            .. Parts.Select(part => new OutlinePart(
                part.Shell.Transform(map).Oriented(clockwise: true),
                [.. part.Holes.Select(hole => hole.Transform(map).Oriented(clockwise: false))]
            )),
        ])
        {
            Lines = [.. Lines.Select(line => line.Transform(map))],
        };
}
