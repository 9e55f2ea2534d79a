using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A connected shape most of which is too wide for strokes from side to side is filled with rows as a whole: a few strokes
/// beside rows would lie in another direction for no reason that anybody sees.</summary>
internal static class WideShape
{
    /// <summary>Where strokes would lie on less of it, a shape is filled.</summary>
    private const double LeastInStrokes = 0.5;

    /// <summary>A shape's thread in rows; null where strokes lie on enough of it.</summary>
    /// <param name="task">The shape and how it is sewn.</param>
    /// <param name="columns">Its columns.</param>
    /// <param name="cancellation">Stops the work.</param>
    internal static ShapeThread? Filled(
        ShapeTask task,
        ImmutableArray<SatinColumn> columns,
        CancellationToken cancellation
    )
    {
        var wide = columns
            .SelectMany(column => FallenPart.Of(column, SatinColumns.Limits))
            .Where(part => part.IsTooWide)
            .ToImmutableArray();
        if (wide.IsEmpty || InStrokes(columns) >= LeastInStrokes * task.Region.Area)
        {
            return null;
        }
        var angle = task.Directions is [var line, ..]
            ? double.RadiansToDegrees(Math.Atan2(line.To.Y - line.From.Y, line.To.X - line.From.X))
            : Across(columns);
        var numbers = new FillNumbers(task.Numbers.Spacing, angle, 0);
        var sewn = FillRun.Of(task.Region, numbers, RowFrame.At(angle), task.Entry, task.Exit, cancellation);
        return new ShapeThread(
            [.. sewn.Runs.Select(run => new StitchRun(run.Kind, 0, run.Points))],
            [.. wide, .. sewn.Fallen]
        );
    }

    /// <summary>How much of a shape lies under strokes of proper columns, mm².</summary>
    private static double InStrokes(ImmutableArray<SatinColumn> columns)
    {
        var area = 0.0;
        foreach (var column in columns.Where(column => !column.Source.IsRest))
        {
            foreach (
                var part in ColumnParts.Of(column, SatinColumns.Limits).Where(part => part.Kind == ColumnKind.Strokes)
            )
            {
                for (var i = part.From + 1; i <= part.To; i++)
                {
                    Budget.Spend();
                    area += column.Way(i - 1, i) * (column.Places[i - 1].Length + column.Places[i].Length) / 2;
                }
            }
        }
        return area;
    }

    /// <summary>The direction in which most strokes would lie, degrees.</summary>
    private static double Across(ImmutableArray<SatinColumn> columns)
    {
        // Directions have no sign: their doubled angles are summed.
        var sum = Point.Zero;
        foreach (var place in columns.Where(column => !column.Source.IsRest).SelectMany(column => column.Places))
        {
            Budget.Spend();
            var doubled = 2 * Math.Atan2(place.Outer.Y - place.Inner.Y, place.Outer.X - place.Inner.X);
            sum += new Point(Math.Cos(doubled), Math.Sin(doubled)) * place.Length;
        }
        return Math.Round(double.RadiansToDegrees(Math.Atan2(sum.Y, sum.X) / 2));
    }
}
