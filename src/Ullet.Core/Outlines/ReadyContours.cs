using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>The forms without numbers: a row each.</summary>
internal static class ReadyContours
{
    private sealed record Row(ReadyForm Kind, string Name, Func<Contour> Make);

    private static readonly ImmutableArray<Row> All =
    [
        new(ReadyForm.Arch, "Arch", () => new PathPen(-40, 0).Arc(0, 0, 180).Line(40, 70).Line(-40, 70).Close()),
        new(ReadyForm.HalfCircle, "Half circle", () => new PathPen(-50, 0).Arc(0, 0, 180).Close()),
        new(
            ReadyForm.Egg,
            "Egg",
            () =>
                new PathPen(0, -60)
                    .Cubic(24, -60, 44, -18, 44, 10)
                    .Cubic(44, 36, 24, 54, 0, 54)
                    .Cubic(-24, 54, -44, 36, -44, 10)
                    .Cubic(-44, -18, -24, -60, 0, -60)
                    .Close()
        ),
        new(ReadyForm.Cross, "Cross", Cross),
        new(
            ReadyForm.Arrow,
            "Arrow",
            () =>
                new PathPen(-60, -16)
                    .Line(6, -16)
                    .Line(6, -40)
                    .Line(60, 0)
                    .Line(6, 40)
                    .Line(6, 16)
                    .Line(-60, 16)
                    .Close()
        ),
        new(
            ReadyForm.Cloud,
            "Cloud",
            () =>
                Bulges(
                    [new(-42, 30), new(-46, -8), new(-14, -26), new(24, -22), new(46, -4), new(44, 30)],
                    [1.02, 1.0, 1.0, 1.0, 1.02]
                )
        ),
        new(ReadyForm.Flower, "Flower", () => Round(6, 30, 1.3)),
        new(ReadyForm.Scallops, "Scalloped circle", () => Round(14, 46, 1)),
        new(
            ReadyForm.Tag,
            "Tag",
            () => new PathPen(-60, 0).Line(-34, -30).Line(60, -30).Line(60, 30).Line(-34, 30).Close()
        ),
        new(
            ReadyForm.Pennant,
            "Pennant",
            () => new PathPen(-32, -60).Line(32, -60).Line(32, 60).Line(0, 32).Line(-32, 60).Close()
        ),
    ];

    internal static string NameOf(ReadyForm kind) => Of(kind).Name;

    internal static Contour Make(ReadyForm kind) => Of(kind).Make();

    private static Row Of(ReadyForm kind) => All.First(row => row.Kind == kind);

    private static Contour Cross()
    {
        const double arm = 50;
        const double half = 17;
        return new PathPen(-half, -arm)
            .Line(half, -arm)
            .Line(half, -half)
            .Line(arm, -half)
            .Line(arm, half)
            .Line(half, half)
            .Line(half, arm)
            .Line(-half, arm)
            .Line(-half, half)
            .Line(-arm, half)
            .Line(-arm, -half)
            .Line(-half, -half)
            .Close();
    }

    /// <summary>Bulges all round a circle.</summary>
    /// <param name="count">How many.</param>
    /// <param name="radius">Where they meet.</param>
    /// <param name="out">How far out their middles lie: 1 for halves of circles, more for fuller ones.</param>
    private static Contour Round(int count, double radius, double @out)
    {
        ImmutableArray<Point> meetings =
        [
            .. Enumerable
                .Range(0, count + 1)
                .Select(i => Math.SinCos((((i % count) - 0.5) * 2 * Math.PI / count) - (Math.PI / 2)))
                .Select(turn => new Point(radius * turn.Cos, radius * turn.Sin)),
        ];
        return Bulges(meetings, [.. Enumerable.Repeat(@out, count)]);
    }

    /// <summary>Arcs from place to place, clockwise on screen and bulging outwards; a straight line closes what is left open.</summary>
    private static Contour Bulges(ImmutableArray<Point> meetings, ImmutableArray<double> @out)
    {
        var pen = new PathPen(meetings[0].X, meetings[0].Y);
        for (var i = 1; i < meetings.Length; i++)
        {
            var (from, to) = (meetings[i - 1], meetings[i]);
            var middle = (from + to) * (@out[i - 1] / 2);
            var (a, b) = (from - middle, to - middle);
            var turn = (Math.Atan2(b.Y, b.X) - Math.Atan2(a.Y, a.X)) * 180 / Math.PI;
            pen.Arc(middle.X, middle.Y, turn > 0 ? turn : turn + 360);
        }
        return pen.Close();
    }
}
