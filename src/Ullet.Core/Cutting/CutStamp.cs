using System.Globalization;
using Ullet.Core.Geometry;

namespace Ullet.Core.Cutting;

/// <summary>Stands for what a cut file holds: forms and sizes, mirror and roles, not the places on the mat.</summary>
/// <remarks>A line for each shape: its key, role and lying, then width, height, area, length of the edge, and where its centre of
/// mass lies in its box, mm. Two stamps agree when all of these do within <see cref="Slack"/>.</remarks>
public static class CutStamp
{
    /// <summary>Differences up to this are no difference, mm (for an area: along the whole edge).</summary>
    public const double Slack = 0.03;

    /// <summary>The stamp of a sheet, or of one shape of it.</summary>
    public static string Of(CutSheet sheet, PlacedShape? alone = null) =>
        string.Join('\n', (alone is null ? sheet.Shapes : [alone]).Select(placed => Line(placed, sheet)));

    /// <summary>True when two stamps stand for the same cuts.</summary>
    public static bool Agree(string first, string second)
    {
        var (a, b) = (first.Split('\n'), second.Split('\n'));
        return a.Length == b.Length
            && a.Order(StringComparer.Ordinal).Zip(b.Order(StringComparer.Ordinal), Same).All(same => same);
    }

    private static string Line(PlacedShape placed, CutSheet sheet)
    {
        var shape = placed.Shape;
        var box = shape.Bounds();
        var (area, length, mass) = RegionOverlay.Measures(shape.Outline.Flatten(0.02));
        var off = mass - box.Centre;
        var numbers = new[] { box.Width, box.Height, area, length, off.X, off.Y };
        return $"{shape.Key} {placed.Copy} {placed.Role} {sheet.Setup.Cut.Lies} "
            + string.Join(' ', numbers.Select(number => number.ToString("0.000", CultureInfo.InvariantCulture)));
    }

    private static bool Same(string first, string second)
    {
        var (a, b) = (first.Split(' '), second.Split(' '));
        const int Names = 4;
        if (
            a.Length != b.Length
            || a.Length < Names + 6
            || !a.AsSpan(0, a.Length - 6).SequenceEqual(b.AsSpan(0, b.Length - 6))
        )
        {
            return false;
        }
        var (x, y) = (a.TakeLast(6).Select(Number).ToList(), b.TakeLast(6).Select(Number).ToList());
        const int Area = 2;
        const int Length = 3;
        return Enumerable
            .Range(0, 6)
            .All(i =>
                Math.Abs(x[i] - y[i])
                <= Slack
                    * (
                        i == Area ? Math.Max(1, x[Length])
                        : i == Length ? 10
                        : 1
                    )
            );
    }

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
