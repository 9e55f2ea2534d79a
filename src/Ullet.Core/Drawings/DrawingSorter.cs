using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Drawings;

/// <summary>How a drawing is taken.</summary>
/// <param name="MmPerUnit">True size of a unit, mm.</param>
/// <param name="Crossing">What a line encloses that crosses itself: null as the file says, nonzero for the whole outside,
/// even-odd to leave what is gone round twice open.</param>
/// <param name="InnerAreHoles">True: an outline inside another of the same filling (or as unfilled as it) is its hole, since it
/// could not be seen as a piece. False: a piece of its own.</param>
public sealed record DrawingWish(double MmPerUnit, FillRule? Crossing = null, bool InnerAreHoles = true);

/// <summary>A drawing's closed pieces and open lines, mm.</summary>
/// <param name="Pieces">Each with its holes, in the drawing's order.</param>
/// <param name="Lines">What does not close.</param>
/// <param name="Crossing">How many of its paths cross themselves.</param>
/// <param name="Tangled">How many paths were left out for crossing themselves beyond all use.</param>
/// <param name="TooSmall">How many pieces and lines were left out for being under <see cref="DrawingSorter.LeastSize"/>.</param>
public sealed record SortedDrawing(
    ImmutableArray<(string? Name, OutlinePart Outline)> Pieces,
    ImmutableArray<(string? Name, OpenPath Path)> Lines,
    int Crossing,
    int TooSmall,
    int Tangled
)
{
    public Box Bounds() =>
        Lines.Aggregate(
            Pieces.Aggregate(Box.Empty, (box, piece) => box.Union(piece.Outline.Shell.Bounds())),
            (box, line) => box.Union(line.Path.Bounds())
        );
}

/// <summary>Sorts a drawing into pieces and lines.</summary>
public static class DrawingSorter
{
    /// <summary>Smaller things are dust, not pieces, mm.</summary>
    public const double LeastSize = 1;

    /// <summary>Steps that sorting takes for each point of flattened lines: they are flattened and looked at several times.</summary>
    private const double PerPoint = 40;

    public static SortedDrawing Sort(Drawing drawing, DrawingWish wish)
    {
        var scale = Affine.Scale(wish.MmPerUnit, wish.MmPerUnit);
        var pieces = new List<(string? Name, OutlinePart Outline, string? Fill)>();
        var lines = ImmutableArray.CreateBuilder<(string? Name, OpenPath Path)>();
        var (crossing, small, tangled) = (0, 0, 0);
        Budget.SpendAhead(
            PerPoint * drawing.Paths.Sum(path => path.Closed.Sum(closed => PointsOf(closed, wish.MmPerUnit)))
        );
        foreach (var path in drawing.Paths)
        {
            Budget.Spend();
            ImmutableArray<Contour> closed = [.. path.Closed.Select(contour => contour.Transform(scale))];
            if (Crosses(closed))
            {
                crossing++;
                if (FilledOutline.IsTangle(closed))
                {
                    tangled++;
                    continue;
                }
            }
            foreach (var part in OutlineOf(closed, path, wish).Parts)
            {
                Budget.Spend();
                var box = part.Shell.Bounds();
                if (Math.Min(box.Width, box.Height) < LeastSize)
                {
                    small++;
                    continue;
                }
                pieces.Add((path.Name, part, path.Fill));
            }
            foreach (var line in path.Open.Select(line => line.Transform(scale)))
            {
                Budget.Spend();
                var box = line.Bounds();
                if (Math.Max(box.Width, box.Height) < LeastSize)
                {
                    small++;
                    continue;
                }
                lines.Add((path.Name, line));
            }
        }
        var nested = wish.InnerAreHoles ? Nested(pieces) : [.. pieces.Select(piece => (piece.Name, piece.Outline))];
        return new SortedDrawing(nested, lines.ToImmutable(), crossing, small, tangled);
    }

    /// <summary>What one path's closed lines enclose.</summary>
    public static Outline OutlineOf(ImmutableArray<Contour> closed, DrawnPath path, DrawingWish wish) =>
        FilledOutline.Of(closed, Crosses(closed) ? wish.Crossing ?? path.Rule : path.Rule);

    private static double PointsOf(Contour closed, double mmPerUnit) =>
        closed.Curves.Sum(curve => (double)curve.PiecesWithin(Tolerance.Flatten / mmPerUnit));

    private static bool Crosses(ImmutableArray<Contour> closed)
    {
        var rings = closed.Select(contour => contour.Flatten()).Where(ring => ring.Points.Length > 2).ToList();
        return rings.Count > 0 && !Crossings.AreFree(rings);
    }

    /// <summary>Outlines that lie wholly inside another of the same filling become its holes; within a hole a piece begins anew.</summary>
    private static ImmutableArray<(string? Name, OutlinePart Outline)> Nested(
        List<(string? Name, OutlinePart Outline, string? Fill)> pieces
    )
    {
        var regions = pieces.Select(piece => piece.Outline.Flatten()).ToList();
        var around = NestedIn.Of(
            regions,
            (i, j) => pieces[i].Fill == pieces[j].Fill && IsWithin(regions[i], regions[j])
        );
        var holes = new Dictionary<int, List<Contour>>();
        for (var i = 0; i < pieces.Count; i++)
        {
            Budget.Spend();
            if (around[i] is { Depth: var depth, Parent: var parent } && depth % 2 == 1)
            {
                var own = holes.TryGetValue(parent, out var list) ? list : holes[parent] = [];
                own.Add(pieces[i].Outline.Shell.Oriented(clockwise: false));
            }
        }
        return
        [
            .. Enumerable
                .Range(0, pieces.Count)
                .Where(i => around[i].Depth % 2 == 0)
                .Select(i =>
                    (
                        pieces[i].Name,
                        pieces[i].Outline with
                        {
                            Holes = [.. pieces[i].Outline.Holes, .. holes.GetValueOrDefault(i, [])],
                        }
                    )
                ),
        ];
    }

    private static bool IsWithin(Region inner, Region outer) =>
        inner.Shell.Points.All(place =>
            outer.Shell.Winding(place) != 0 && outer.Holes.All(hole => hole.Winding(place) == 0)
        ) && Crossings.AreFree([inner.Shell, .. outer.Rings]);
}
