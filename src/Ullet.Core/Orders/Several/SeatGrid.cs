using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Seats in rows, all of one size, about the middle of a hoop's field.</summary>
/// <param name="Across">Seats in a row.</param>
/// <param name="Down">Rows.</param>
/// <param name="Width">Of one seat, mm.</param>
/// <param name="Height">Of one seat, mm.</param>
public sealed record SeatGrid(int Across, int Down, double Width, double Height)
{
    /// <summary>Between neighbours, mm: scissors and a presser foot go between.</summary>
    public const double Apart = 10;

    public int Count => Across * Down;

    /// <summary>The most seats that a field takes; none of it where not even one fits.</summary>
    /// <param name="width">What one order takes with all its stitching, mm.</param>
    /// <param name="height">mm.</param>
    /// <param name="hoop">The hoop.</param>
    public static SeatGrid Of(double width, double height, Hoop hoop)
    {
        var field = hoop.Usable;
        return new SeatGrid(
            (int)Math.Floor((field.Width + Apart + 1e-6) / (width + Apart)),
            (int)Math.Floor((field.Height + Apart + 1e-6) / (height + Apart)),
            width,
            height
        );
    }

    /// <summary>The same for fewer orders: as few rows as they need, and those even.</summary>
    public SeatGrid For(int count)
    {
        var down = (int)Math.Ceiling(count / (double)Across);
        return this with { Down = down, Across = (int)Math.Ceiling(count / (double)down) };
    }

    /// <summary>The middles of seats, row by row; a last row that is not full stands in the middle.</summary>
    /// <param name="count">How many are taken.</param>
    public ImmutableArray<Point> Middles(int count)
    {
        var middles = ImmutableArray.CreateBuilder<Point>();
        for (var row = 0; row < Down; row++)
        {
            var inRow = Math.Min(Across, count - (row * Across));
            for (var column = 0; column < inRow; column++)
            {
                middles.Add(
                    new Point(
                        (column - ((inRow - 1) / 2.0)) * (Width + Apart),
                        (row - ((Down - 1) / 2.0)) * (Height + Apart)
                    )
                );
            }
        }
        return middles.ToImmutable();
    }
}
