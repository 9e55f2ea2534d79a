namespace Ullet.Core.Stitches;

/// <summary>How a stretch of a column is sewn.</summary>
internal enum ColumnKind
{
    /// <summary>Strokes from side to side.</summary>
    Strokes,

    /// <summary>A run along its middle: too narrow for strokes.</summary>
    Run,

    /// <summary>Rows of short stitches: too wide for strokes.</summary>
    Rows,
}

/// <summary>A stretch of a column.</summary>
/// <param name="Kind">How it is sewn.</param>
/// <param name="From">Its first place.</param>
/// <param name="To">Its last place.</param>
internal readonly record struct ColumnPart(ColumnKind Kind, int From, int To);

/// <summary>Divides a column by its width.</summary>
internal static class ColumnParts
{
    /// <summary>A stretch this short is sewn as those beside it, mm.</summary>
    private const double Shortest = 1.2;

    internal static List<ColumnPart> Of(SatinColumn column, ColumnLimits limits)
    {
        var places = column.Places;
        limits = column.Source.IsRest ? limits with { Narrowest = 0 } : limits;
        var parts = new List<ColumnPart>();
        for (var i = 0; i < places.Length; i++)
        {
            var kind = KindOf(places[i].Length, limits);
            var isApart = i > 0 && column.IsApart(i);
            if (parts.Count > 0 && parts[^1].Kind == kind && !isApart)
            {
                parts[^1] = parts[^1] with { To = i };
                continue;
            }
            parts.Add(new ColumnPart(kind, parts.Count == 0 || isApart ? i : i - 1, i));
        }
        while (parts.Count > 1)
        {
            var shortest = Enumerable.Range(0, parts.Count).MinBy(i => Way(column, parts[i]));
            // What has no length to speak of can't be sewn otherwise; strokes at narrow ends are left as they are.
            if (Way(column, parts[shortest]) >= Shortest)
            {
                break;
            }
            var beside =
                shortest == 0 ? 1
                : shortest == parts.Count - 1 ? shortest - 1
                : Longer(column, parts, shortest);
            var joined = new ColumnPart(
                parts[beside].Kind,
                Math.Min(parts[shortest].From, parts[beside].From),
                Math.Max(parts[shortest].To, parts[beside].To)
            );
            parts[Math.Min(shortest, beside)] = joined;
            parts.RemoveAt(Math.Max(shortest, beside));
            Join(parts);
        }
        return parts;
    }

    private static int Longer(SatinColumn column, List<ColumnPart> parts, int at) =>
        Way(column, parts[at - 1]) >= Way(column, parts[at + 1]) ? at - 1 : at + 1;

    private static void Join(List<ColumnPart> parts)
    {
        for (var i = parts.Count - 1; i > 0; i--)
        {
            if (parts[i].Kind == parts[i - 1].Kind && parts[i].From <= parts[i - 1].To)
            {
                parts[i - 1] = parts[i - 1] with { To = parts[i].To };
                parts.RemoveAt(i);
            }
        }
    }

    private static double Way(SatinColumn column, ColumnPart part) => column.Way(part.From, part.To);

    private static ColumnKind KindOf(double width, ColumnLimits limits) =>
        width < limits.Narrowest ? ColumnKind.Run
        : width > limits.Widest ? ColumnKind.Rows
        : ColumnKind.Strokes;
}

/// <summary>The widths between which a column is sewn in strokes, compensated, mm.</summary>
internal readonly record struct ColumnLimits(double Narrowest, double Widest);
