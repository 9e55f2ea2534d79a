using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Moments;

/// <summary>The parts of a moment as lines in mm: what is new strong, the rest pale.</summary>
internal static partial class MomentPaint
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
                    NumberPart or SeatPart => [],
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
        yield return Textured(area, part.Face, Box.Of(area), scale, 0.7);
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
