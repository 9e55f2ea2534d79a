using System.Collections.Immutable;
using Ullet.Core.Cutting;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>What a cut file holds, whatever its format: lines on a page, mm from its top left, y down.</summary>
/// <param name="Title">The project's title.</param>
/// <param name="Cloth">The cloth's name.</param>
/// <param name="Mirrored">Why it is mirrored; null when it is not.</param>
/// <param name="Width">mm.</param>
/// <param name="Height">mm.</param>
/// <param name="Paths">Its lines; holes before the shells that hold them, marks before outlines.</param>
public sealed record CutPage(
    string Title,
    string Cloth,
    string? Mirrored,
    double Width,
    double Height,
    ImmutableArray<CutPath> Paths
)
{
    /// <summary>Room around a single shape on its page, mm.</summary>
    public const double AloneMargin = 5;

    /// <summary>A whole sheet: the page is the mat, larger only when shapes do not fit it.</summary>
    public static CutPage Of(string title, CutSheet sheet)
    {
        var box = sheet.Bounds();
        return new CutPage(
            title,
            sheet.Cloth.Name,
            sheet.Setup.MirrorReason,
            Math.Max(sheet.MatWidth, box.MaxX + sheet.Setup.Mat.Margin),
            Math.Max(sheet.MatHeight, box.MaxY + sheet.Setup.Mat.Margin),
            // The frame is cut last: until then it holds everything.
            [.. sheet.Shapes.SelectMany(PathsOf), .. FrameOf(sheet)]
        ).Moved(Math.Max(0, -box.MinX), Math.Max(0, -box.MinY));
    }

    /// <summary>One shape alone, on a page just larger than it.</summary>
    public static CutPage Of(string title, CutSheet sheet, PlacedShape placed)
    {
        var box = placed.Outline.Bounds().Grown(AloneMargin);
        return new CutPage(
            title,
            sheet.Cloth.Name,
            sheet.Setup.MirrorReason,
            box.Width,
            box.Height,
            [.. PathsOf(placed)]
        ).Shifted(-box.MinX, -box.MinY);
    }

    /// <summary>Everything moved on a page of the same size.</summary>
    internal CutPage Shifted(double x, double y)
    {
        var map = Affine.Translate(x, y);
        return this with { Paths = [.. Paths.Select(path => path.Transform(map))] };
    }

    /// <summary>The page grown to the left and upwards, so that nothing lies outside it.</summary>
    private CutPage Moved(double x, double y) =>
        x == 0 && y == 0 ? this : Shifted(x, y) with { Width = Width + x, Height = Height + y };

    /// <summary>With the lines alone that a printed page shows.</summary>
    internal CutPage On(PaperTile tile, PaperSize paper) =>
        this with
        {
            Paths = [.. Paths.Where(path => tile.Shows(path, paper))],
        };

    /// <summary>The lines of one role.</summary>
    internal IEnumerable<CutPath> Of(CutRole role) => Paths.Where(path => path.Role == role);

    /// <summary>The box of all lines, mm.</summary>
    internal Box Bounds() => Paths.Aggregate(Box.Empty, (box, path) => box.Union(path.Bounds()));

    private static IEnumerable<CutPath> FrameOf(CutSheet sheet)
    {
        if (sheet.WeedingBox is { } box)
        {
            var corners = box.Corners();
            yield return new CutPath(
                CutRole.Cut,
                "weeding box",
                [.. corners.Select((corner, i) => Curve.Line(corner, corners[(i + 1) % corners.Length]))],
                true
            );
        }
    }

    private static IEnumerable<CutPath> PathsOf(PlacedShape placed)
    {
        foreach (var line in placed.Lines)
        {
            yield return new CutPath(line.Role, $"{placed.Shape.Name} {line.Name}", line.Curves, false);
        }
        // Holes first: what lies inside is cut before what holds it.
        foreach (var part in placed.Outline.Parts)
        {
            foreach (var contour in part.Holes.Append(part.Shell))
            {
                var name = contour == part.Shell ? placed.Shape.Name : $"{placed.Shape.Name} {placed.Shape.HoleName}";
                yield return new CutPath(placed.Role, name, contour.Curves, true)
                {
                    Part = part,
                    IsHole = contour != part.Shell,
                };
            }
        }
    }
}

/// <summary>One line of a page.</summary>
/// <param name="Role">What it is for.</param>
/// <param name="Name">What it belongs to.</param>
/// <param name="Curves">mm.</param>
/// <param name="IsClosed">True for an outline or a hole.</param>
public sealed record CutPath(CutRole Role, string Name, ImmutableArray<Curve> Curves, bool IsClosed)
{
    /// <summary>The part of an outline that it belongs to, the same object for a shell and its holes; null for a mark.</summary>
    internal OutlinePart? Part { get; init; }

    /// <summary>True for a hole of its part.</summary>
    internal bool IsHole { get; init; }

    internal CutPath Transform(Affine map) => this with { Curves = [.. Curves.Select(curve => curve.Transform(map))] };

    internal Box Bounds() => Curves.Aggregate(Box.Empty, (box, curve) => box.Union(curve.Bounds()));
}
