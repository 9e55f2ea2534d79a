using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Moments;

/// <summary>The parts of a moment as lines in mm: what is new strong, the rest pale.</summary>
internal static class MomentPaint
{
    /// <summary>The hoop's frame is so wide, mm.</summary>
    internal const double FrameWidth = 11;

    /// <summary>Distance of textures' lines, page units.</summary>
    private const double Texture = 8;

    internal static ImmutableArray<InkLines> Of(Moment moment, Box shown, double scale)
    {
        var ink = ImmutableArray.CreateBuilder<InkLines>();
        var isHooped = moment.View is MomentView.Front or MomentView.Back;
        var last = moment.Parts.LastOrDefault(part => part is LayerPart { IsHooped: true });
        foreach (var part in moment.Parts)
        {
            Budget.Spend();
            ink.AddRange(
                part switch
                {
                    LayerPart layer => Layer(layer, moment, shown, scale),
                    ThreadPart thread => Thread(thread),
                    ZipPart zip => Zip(zip),
                    AlignedPart aligned =>
                    [
                        Lines(aligned.Lines, MomentColours.White, 3.6),
                        Lines(aligned.Lines, MomentColours.Guide, 2.2, [0.1, 4]),
                    ],
                    EdgePart { IsPressed: true } edge => [Lines(edge.Lines, MomentColours.Ink, 3.4)],
                    EdgePart edge => RawEdge(edge, scale),
                    RolledPart rolled => Rolled(rolled, scale),
                    FoldPart fold => Fold(fold, scale),
                    TapePart tape => [Area([tape.Strip], MomentColours.Tape, MomentColours.Ink, 0.9)],
                    PullPart pull => Pulled(pull, scale),
                    ScissorsPart cut => Cut(cut, shown, scale),
                    TakenOutPart taken => TakenOut(taken, scale),
                    GapPart gap => Gap(gap, scale),
                    WayPart way => Arrow([.. way.Way], scale, MomentColours.Way, 3),
                    NumberPart => [],
                    _ => throw new ArgumentException($"{part.GetType().Name} can't be drawn.", nameof(moment)),
                }
            );
            if (isHooped && part == last)
            {
                ink.AddRange(Frame(moment.Field));
            }
        }
        return ink.ToImmutable();
    }

    /// <summary>The hoop over everything that reaches under it, and its screw, by which one side is told from the other.</summary>
    private static IEnumerable<InkLines> Frame(Box field)
    {
        var (inner, outer) = (Rounded(field, 6), Rounded(field.Grown(FrameWidth), 12));
        yield return Area([outer, [.. inner.Reverse()]], MomentColours.Frame, MomentColours.Ink, 1.1);
        var screw = new Box(field.MaxX - 34, field.MaxY + FrameWidth - 7, field.MaxX - 12, field.MaxY + FrameWidth + 3);
        yield return Area(
            [
                [.. screw.Corners()],
            ],
            MomentColours.Metal,
            MomentColours.Ink,
            0.8
        );
    }

    private static ImmutableArray<Point> Rounded(Box box, double radius)
    {
        var middles = new[]
        {
            (new Point(box.MinX + radius, box.MinY + radius), 180),
            (new Point(box.MaxX - radius, box.MinY + radius), 270),
            (new Point(box.MaxX - radius, box.MaxY - radius), 0),
            (new Point(box.MinX + radius, box.MaxY - radius), 90),
        };
        return
        [
            .. middles.SelectMany(corner =>
                Enumerable
                    .Range(0, 5)
                    .Select(i => (corner.Item2 + (i * 22.5)) * Math.PI / 180)
                    .Select(turn => corner.Item1 + new Point(radius * Math.Cos(turn), radius * Math.Sin(turn)))
            ),
        ];
    }

    private static IEnumerable<InkLines> Layer(LayerPart part, Moment moment, Box shown, double scale)
    {
        var (colour, area) = (part.Layer.Cloth.Colour, part.Layer.Area);
        var rings = area.SelectMany(region => region.Rings).Select(Plain).ToImmutableArray();
        yield return Area(
            rings,
            MomentColours.Tint(colour, part.IsNew ? 0.55 : 0.2),
            part.IsNew ? MomentColours.Ink : MomentColours.Pale,
            part.IsNew ? 2 : 0.8
        );
        if (part.Face == SeenFace.Either || !part.IsNew)
        {
            yield break;
        }
        yield return Textured(area, part.Face, MomentScene.BoxOf(area), scale, 0.7);
        foreach (var corner in TurnedCorner.Of(part, moment, shown, scale))
        {
            yield return corner;
        }
    }

    /// <summary>Dots for a right side, slanted lines for a wrong one.</summary>
    internal static InkLines Textured(
        ImmutableArray<Region> area,
        SeenFace face,
        Box shown,
        double scale,
        double strength
    ) =>
        face == SeenFace.Right
            ? Lines(Hatching.Of(area, 30, Distance(scale), shown), MomentColours.Ink, 1.1 * strength, [0.1, 7])
            : Lines(Hatching.Of(area, -45, Distance(scale), shown), MomentColours.Ink, 0.7 * strength);

    /// <summary>Whole distances, so that drawings of one thing in several sizes share their lines, mm.</summary>
    private static double Distance(double scale) => Math.Max(1, Math.Pow(2, Math.Round(Math.Log2(Texture / scale))));

    private static ImmutableArray<Point> Plain(Ring ring) =>
        ring.Points.Length > 24
            ? [.. PlaneGeometry.Simplified(MomentScene.Closed(ring), 0.1).SkipLast(1)]
            : ring.Points;

    private static IEnumerable<InkLines> Thread(ThreadPart thread)
    {
        if (!thread.IsNew)
        {
            yield return Lines(thread.Lines, MomentColours.Pale, 0.8);
            yield break;
        }
        yield return Lines(thread.Lines, MomentColours.Ink, 2.6);
        yield return Lines(thread.Lines, MomentColours.Line(thread.Colour), 1.5);
    }

    private static IEnumerable<InkLines> Zip(ZipPart zip)
    {
        if (!zip.Slit.IsEmpty)
        {
            yield return Area(
                [.. zip.Slit.Select(region => region.Shell.Points)],
                MomentColours.White,
                zip.IsNew ? MomentColours.Ink : MomentColours.Pale,
                0.8
            );
        }
        yield return Lines(zip.Teeth, zip.IsNew ? MomentColours.Ink : MomentColours.Pale, 3.2, [1.1, 1.5]);
        if (!zip.Slider.IsEmpty)
        {
            yield return Area(
                [.. zip.Slider.Select(region => region.Shell.Points)],
                zip.IsNew ? MomentColours.Metal : MomentColours.Tint(MomentColours.Metal, 0.5),
                MomentColours.Ink,
                0.8
            );
        }
    }

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
                Hatching.Of(cut.Away, 75, Distance(scale), MomentScene.BoxOf(cut.Away)),
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
        var box = MomentScene.BoxOf(taken.Was);
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

    internal static InkLines Lines(
        ImmutableArray<ImmutableArray<Point>> lines,
        string colour,
        double width,
        ImmutableArray<double> dash = default
    ) =>
        new(
            lines,
            false,
            new InkStyle
            {
                Stroke = colour,
                Width = width,
                Dash = dash.IsDefault ? [] : dash,
            }
        );

    internal static InkLines Area(
        ImmutableArray<ImmutableArray<Point>> rings,
        string fill,
        string stroke,
        double width
    ) =>
        new(
            rings,
            true,
            new InkStyle
            {
                Fill = fill,
                Stroke = stroke,
                Width = width,
            }
        );
}
