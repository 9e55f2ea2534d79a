using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Files.CutFiles;

/// <summary>What a PDF of cut shapes is printed on.</summary>
public enum Paper
{
    A4,
    Letter,

    /// <summary>One page as large as the sheet, for cutters and large printers.</summary>
    Sheet,
}

/// <summary>A paper's size and what of it is printed, mm.</summary>
/// <param name="Width">mm.</param>
/// <param name="Height">mm.</param>
internal readonly record struct PaperSize(double Width, double Height)
{
    /// <summary>Printers leave about this much of the paper white, mm.</summary>
    internal const double Margin = 12;

    internal double PrintedWidth => Width - (2 * Margin);

    internal double PrintedHeight => Height - (2 * Margin);

    internal static PaperSize Of(Paper paper) =>
        paper switch
        {
            Paper.A4 => new PaperSize(210, 297),
            Paper.Letter => new PaperSize(215.9, 279.4),
            _ => throw new ArgumentOutOfRangeException(nameof(paper)),
        };
}

/// <summary>One printed page of a larger sheet.</summary>
/// <param name="Column">From 1.</param>
/// <param name="Row">From 1.</param>
/// <param name="Columns">How many columns of tiles there are.</param>
/// <param name="Rows">How many rows of tiles there are.</param>
/// <param name="X">Left edge of what it shows, mm from the sheet's.</param>
/// <param name="Y">Top edge of what it shows, mm from the sheet's.</param>
internal readonly record struct PaperTile(int Column, int Row, int Columns, int Rows, double X, double Y)
{
    /// <summary>Neighbouring tiles show this much of the same, mm.</summary>
    internal const double Overlap = 10;

    /// <summary>Room around the shapes, mm.</summary>
    private const double Around = 2;

    /// <summary>The tiles that show all lines of a page, row by row; tiles on which nothing lies are left out.</summary>
    internal static ImmutableArray<PaperTile> Of(CutPage page, PaperSize paper)
    {
        var box = page.Bounds().Grown(Around);
        var (columns, rows) = (Count(box.Width, paper.PrintedWidth), Count(box.Height, paper.PrintedHeight));
        var tiles = ImmutableArray.CreateBuilder<PaperTile>();
        for (var row = 0; row < rows; row++)
        {
            for (var column = 0; column < columns; column++)
            {
                var (x, y) = (
                    box.MinX + (column * (paper.PrintedWidth - Overlap)),
                    box.MinY + (row * (paper.PrintedHeight - Overlap))
                );
                var tile = new PaperTile(column + 1, row + 1, columns, rows, x, y);
                if (page.Paths.Any(path => tile.Shows(path, paper)))
                {
                    tiles.Add(tile);
                }
            }
        }
        return tiles.ToImmutable();
    }

    /// <summary>What reaches less far into a tile is left to its neighbour, which shows it whole, mm.</summary>
    private const double Sliver = 0.3;

    /// <summary>True for a line of which the tile shows a part.</summary>
    internal bool Shows(CutPath path, PaperSize paper) =>
        path.Bounds().Overlaps(new Box(X, Y, X + paper.PrintedWidth, Y + paper.PrintedHeight).Grown(-Sliver));

    private static int Count(double length, double printed) =>
        Math.Max(1, (int)Math.Ceiling((length - Overlap - 1e-6) / (printed - Overlap)));
}
