using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Drawings;

/// <summary>A drawing from elsewhere, as its file says it.</summary>
/// <param name="Paths">What it draws, in the file's units, x right, y down.</param>
/// <param name="MmPerUnit">True size of a unit, mm; null when the file gives no real length.</param>
/// <param name="LeftOut">What is not taken, a sentence each.</param>
public sealed record Drawing(ImmutableArray<DrawnPath> Paths, double? MmPerUnit, ImmutableArray<string> LeftOut)
{
    /// <summary>What a unit may be, the likeliest first, where the file gives no real length, mm.</summary>
    public ImmutableArray<double> LikelyUnits { get; init; } = LikelyUnit.OfPages;

    /// <summary>Takes a bare unit for this when nobody says otherwise: the pixel of CSS, 96 to the inch, mm.</summary>
    public const double UsualMmPerUnit = 25.4 / 96;

    /// <summary>About how many bytes it takes in memory.</summary>
    public long Bytes =>
        Paths.Sum(path =>
            Footprint.Thing
            + path.Closed.Sum(contour => Footprint.Of(contour.Curves))
            + path.Open.Sum(line => Footprint.Of(line.Curves))
        );

    /// <summary>The box of all that is drawn, units.</summary>
    public Box Bounds() =>
        Paths.Aggregate(
            Box.Empty,
            (box, path) =>
                path.Open.Aggregate(
                    path.Closed.Aggregate(box, (sum, contour) => sum.Union(contour.Bounds())),
                    (sum, line) => sum.Union(line.Bounds())
                )
        );
}

/// <summary>One path of a drawing.</summary>
/// <param name="Name">What the file calls it, or null.</param>
/// <param name="Closed">Its closed lines.</param>
/// <param name="Open">Its open lines; those of a filled path are closed by the filling, and stand among the closed ones.</param>
/// <param name="Rule">What the closed ones enclose.</param>
/// <param name="Fill">Its filling as the file names it; null for an outline without one.</param>
public sealed record DrawnPath(
    string? Name,
    ImmutableArray<Contour> Closed,
    ImmutableArray<OpenPath> Open,
    FillRule Rule,
    string? Fill
)
{
    public bool IsFilled => Fill is not null;
}

/// <summary>Finds drawings that were imported, by their token.</summary>
public interface IImportedDrawings
{
    /// <summary>The drawing, or null when the token is not known (any more).</summary>
    Drawing? Find(string token);
}

/// <summary>No imports.</summary>
public sealed class NoImports : IImportedDrawings
{
    public Drawing? Find(string token) => null;
}
