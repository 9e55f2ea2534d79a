using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>Edges, rolls, folds, scissors' lines, gaps and arrows.</summary>
internal static partial class MomentPaint
{
    /// <summary>A strong line with short threads hanging out of it.</summary>
    private static IEnumerable<InkLines> RawEdge(EdgePart edge, double scale)
    {
        yield return Lines(edge.Lines, MomentColours.Ink, 2.6);
        var ticks = ImmutableArray.CreateBuilder<ImmutableArray<Point>>();
        foreach (var line in edge.Lines)
        {
            for (var i = 1; i < line.Length; i++)
            {
                var (along, step) = ((line[i] - line[i - 1]).Unit(), 5 / scale);
                for (var far = step / 2; far < line[i].DistanceTo(line[i - 1]); far += step)
                {
                    var at = line[i - 1] + (along * far);
                    ticks.Add([at, at + (along.Outward() * (4 / scale))]);
                }
            }
        }
        yield return Lines(ticks.ToImmutable(), MomentColours.Ink, 0.9);
    }

    /// <summary>A roll seen from above, its cloth's end in a spiral.</summary>
    private static IEnumerable<InkLines> Rolled(RolledPart rolled, double scale)
    {
        var along = (rolled.To - rolled.From).Unit();
        var side = along.Outward() * 3.6;
        yield return Area(
            [
                [rolled.From - side, rolled.To - side, rolled.To + side, rolled.From + side],
            ],
            MomentColours.White,
            MomentColours.Ink,
            1.6
        );
        yield return Lines(
            [
                [rolled.From - (side * 0.3), rolled.To - (side * 0.3)],
            ],
            MomentColours.Ink,
            0.6
        );
        yield return Lines(
            [
                [rolled.From + (side * 0.4), rolled.To + (side * 0.4)],
            ],
            MomentColours.Ink,
            0.6
        );
        yield return Lines(
            [
                [
                    .. Enumerable
                        .Range(0, 26)
                        .Select(i =>
                            rolled.To
                            + new Point(Math.Cos(i * 0.5) * (3.6 - (i * 0.13)), Math.Sin(i * 0.5) * (3.6 - (i * 0.13)))
                        ),
                ],
            ],
            MomentColours.Ink,
            Math.Min(1, 0.4 * scale)
        );
    }

    private static IEnumerable<InkLines> Fold(FoldPart fold, double scale) =>
        [
            Lines(
                [.. fold.Before.SelectMany(region => region.Rings).Select(MomentScene.Closed)],
                MomentColours.Ink,
                0.9,
                [6, 4]
            ),
            Lines(
                [
                    [fold.From, fold.To],
                ],
                MomentColours.Guide,
                2.2,
                [9, 3, 1, 3]
            ),
            .. Arrow(Bowed(fold.Start, fold.End), scale, MomentColours.Way, 2.6),
        ];

    /// <summary>A bow from one place to another, as a hand goes over a fold.</summary>
    private static ImmutableArray<Point> Bowed(Point from, Point to)
    {
        var side = (to - from).Outward() * 0.22;
        return
        [
            .. Enumerable
                .Range(0, 13)
                .Select(i => i / 12.0)
                .Select(share => Point.Lerp(from, to, share) + (side * (4 * share * (1 - share)))),
        ];
    }

    /// <summary>An arrow beside the teeth.</summary>
    private static IEnumerable<InkLines> Pulled(PullPart pull, double scale)
    {
        var beside = (pull.To - pull.From).Unit().Outward() * 11;
        return Arrow([pull.From + beside, pull.To + beside], scale, MomentColours.Way, 2.6);
    }

    private static IEnumerable<InkLines> Cut(ScissorsPart cut, Box shown, double scale)
    {
        if (!cut.Away.IsEmpty)
        {
            yield return Lines(
                Hatching.Of(cut.Away, 75, Distance(scale), Box.Of(cut.Away)),
                MomentColours.Scissors,
                0.6
            );
        }
        yield return Lines(cut.Lines, MomentColours.White, 3.4);
        yield return Lines(cut.Lines, MomentColours.Scissors, 2.1, [7, 3.5]);
        if (cut.Lines.FirstOrDefault(line => line.Length > 1) is { IsDefault: false } line)
        {
            foreach (var blade in ScissorsMark.At(line, shown, scale))
            {
                yield return blade;
            }
        }
    }

    private static IEnumerable<InkLines> TakenOut(TakenOutPart taken, double scale)
    {
        var box = Box.Of(taken.Was);
        return
        [
            Lines(
                [.. taken.Was.SelectMany(region => region.Rings).Select(MomentScene.Closed)],
                MomentColours.Ink,
                1.1,
                [6, 4]
            ),
            .. Arrow(
                [box.Centre, box.Centre + new Point(0, -Math.Min(box.Height, 60) / 2)],
                scale,
                MomentColours.Way,
                2.6
            ),
        ];
    }

    private static IEnumerable<InkLines> Gap(GapPart gap, double scale)
    {
        var along = (gap.To - gap.From).Unit();
        var tick = along.Outward() * (7 / scale);
        yield return Lines(
            [
                [gap.From, gap.To],
            ],
            MomentColours.White,
            4
        );
        yield return Lines(
            [
                [gap.From - tick, gap.From + tick],
                [gap.To - tick, gap.To + tick],
            ],
            MomentColours.Ink,
            2.4
        );
        yield return Lines(
            [
                [gap.From, gap.To],
            ],
            MomentColours.Way,
            1.4,
            [3, 3]
        );
    }

    private static IEnumerable<InkLines> Arrow(ImmutableArray<Point> line, double scale, string colour, double width)
    {
        yield return Lines([line], MomentColours.White, width + 2);
        yield return Lines([line], colour, width);
        var (end, before) = (line[^1], line.Reverse().FirstOrDefault(at => at.DistanceTo(line[^1]) > 2 / scale));
        var along = (end - before).Unit();
        if (along.Length < 0.5)
        {
            yield break;
        }
        var (long_, side) = (along * (11 / scale), along.Outward() * (5.5 / scale));
        yield return Area(
            [
                [end + (along * (3 / scale)), end - long_ + side, end - long_ - side],
            ],
            colour,
            colour,
            0.6
        );
    }
}
