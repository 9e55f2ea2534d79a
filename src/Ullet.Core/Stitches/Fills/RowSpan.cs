namespace Ullet.Core.Stitches;

/// <summary>A stretch of a row, in the rows' own frame.</summary>
/// <param name="Row">The row's number.</param>
/// <param name="Y">Where the row lies, mm.</param>
/// <param name="Low">Where it begins, mm.</param>
/// <param name="High">Where it ends, mm.</param>
internal readonly record struct RowSpan(int Row, double Y, double Low, double High)
{
    internal double Length => High - Low;

    /// <summary>A place of it, not nearer to its ends than asked where it has room, mm.</summary>
    internal double Within(double x, double inset) =>
        Length <= 2 * inset ? (Low + High) / 2 : Math.Clamp(x, Low + inset, High - inset);

    internal double Gap(double x) =>
        x < Low ? Low - x
        : x > High ? x - High
        : 0;

    internal bool Overlaps(in RowSpan other) => Math.Min(High, other.High) - Math.Max(Low, other.Low) > 0;
}
