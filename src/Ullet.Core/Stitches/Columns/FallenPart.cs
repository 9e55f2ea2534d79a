using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>A stretch that can't be sewn in strokes from side to side, and how it is sewn instead.</summary>
/// <param name="IsTooWide">True for rows of short stitches, false for a run along what is too narrow.</param>
/// <param name="At">Its middle, mm.</param>
/// <param name="Length">Its length along the column, mm.</param>
/// <param name="Width">How wide it is: at most where it is too wide, in most places where it is too narrow, mm.</param>
public sealed record FallenPart(bool IsTooWide, Point At, double Length, double Width)
{
    /// <summary>Shorter stretches are not worth a word, mm.</summary>
    private const double Short = 1.5;

    internal static IEnumerable<FallenPart> Of(SatinColumn column, ColumnLimits limits)
    {
        foreach (var part in ColumnParts.Of(column, limits).Where(part => part.Kind != ColumnKind.Strokes))
        {
            var way = column.Way(part.From, part.To);
            var widths = column.Places[part.From..(part.To + 1)].Select(place => place.Length).Order().ToList();
            var width = part.Kind == ColumnKind.Rows ? widths[^1] : widths[widths.Count / 2];
            if (way < Short)
            {
                continue;
            }
            yield return new FallenPart(
                part.Kind == ColumnKind.Rows,
                column.Middle((part.From + part.To) / 2),
                way,
                width
            );
        }
    }
}
