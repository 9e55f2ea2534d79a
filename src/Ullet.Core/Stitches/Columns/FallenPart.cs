using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>A stretch that can't be sewn in strokes from side to side, and how it is sewn instead.</summary>
/// <param name="IsTooWide">True for rows of short stitches, false for a run along what is too narrow.</param>
/// <param name="At">Its middle, mm.</param>
/// <param name="Length">Its length along the column, mm.</param>
/// <param name="Width">How wide it is at most, or at least, mm.</param>
public sealed record FallenPart(bool IsTooWide, Point At, double Length, double Width)
{
    internal static IEnumerable<FallenPart> Of(SatinColumn column, ColumnLimits limits)
    {
        foreach (var part in ColumnParts.Of(column, limits).Where(part => part.Kind != ColumnKind.Strokes))
        {
            var (way, width) = (0.0, column.Places[part.From].Length);
            for (var i = part.From + 1; i <= part.To; i++)
            {
                way += column.Middle(i).DistanceTo(column.Middle(i - 1));
                var here = column.Places[i].Length;
                width = part.Kind == ColumnKind.Rows ? Math.Max(width, here) : Math.Min(width, here);
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
