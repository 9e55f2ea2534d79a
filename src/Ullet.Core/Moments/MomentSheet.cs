using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>A moment drawn on a piece of page: the work, beside or below it its labels and the layers from the side.</summary>
public static class MomentSheet
{
    /// <summary>Wider pages than this have the labels beside the work.</summary>
    private const double Wide = 1.2;

    /// <summary>Share of a page that labels take, and the most of it beside the work, page units.</summary>
    private const double Share = 0.36;

    private const double Most = 210;

    private const double Between = 12;

    /// <summary>Draws a moment.</summary>
    /// <param name="moment">The moment.</param>
    /// <param name="width">Page units; 120 at least.</param>
    /// <param name="height">Page units; 100 at least.</param>
    /// <param name="type">Size of labels, page units.</param>
    /// <param name="measure">How wide text is.</param>
    public static InkSheet Of(Moment moment, double width, double height, double type, ITextMeasure measure)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(width, 120);
        ArgumentOutOfRangeException.ThrowIfLessThan(height, 100);
        var isWide = width / height >= Wide;
        var beside = Math.Min(Share * width, Most * type / 10);
        var (work, column) = isWide
            ? (new Box(0, 0, width - beside - Between, height), new Box(width - beside, 0, width, height))
            : (new Box(0, 0, width, (height * (1 - Share)) - Between), new Box(0, height * (1 - Share), width, height));
        var shown = ShownOf(moment, work.Width / work.Height);
        var scale = Math.Min(work.Width / shown.Width, work.Height / shown.Height);
        var middle = moment.IsMirrored ? new Point(-shown.Centre.X, shown.Centre.Y) : shown.Centre;
        var frame = new InkFrame(work, scale, work.Centre - (middle * scale), moment.IsMirrored, []);
        var content = ImmutableArray.CreateBuilder<Ink>();
        content.Add(frame with { Content = MomentPaint.Of(moment, shown, scale) });
        content.AddRange(Badges(moment, frame, type));
        content.AddRange(Seats(moment, frame, type * 0.9));
        content.AddRange(Locator(moment, shown, work));
        var (labels, rest) = MomentLabels.Of(moment, frame, shown, column, isWide, type, measure);
        content.AddRange(labels);
        content.AddRange(MomentSection.Of(moment, rest, type, measure));
        return new InkSheet(width, height, content.ToImmutable(), MomentWords.Whole(moment));
    }

    /// <summary>What is shown, mm: the hoop with its frame, or closer where a step is about a small part of it.</summary>
    internal static Box ShownOf(Moment moment, double ratio)
    {
        var whole = moment.View is MomentView.Front or MomentView.Back
            ? moment.Field.Grown(MomentPaint.FrameWidth + 4)
            : moment
                .Parts.OfType<LayerPart>()
                .Select(part => Box.Of(part.Layer.Area))
                .Aggregate(moment.Focus, (all, one) => all.Union(one))
                .Grown(12);
        whole = whole.IsEmpty || whole.Width < 1 || whole.Height < 1 ? moment.Field.Grown(16) : whole;
        var focus = moment.Focus;
        if (
            focus.IsEmpty
            || focus.Width > Close * moment.Field.Width
            || focus.Height > Close * moment.Field.Height
            || moment.View is MomentView.Out or MomentView.OutInside
        )
        {
            return whole;
        }
        var near = focus.Grown(Math.Max(8 + (0.5 * Math.Max(focus.Width, focus.Height)), Least - focus.Width));
        var (width, height) = (Math.Max(near.Width, near.Height * ratio), Math.Max(near.Height, near.Width / ratio));
        return width >= whole.Width || height >= whole.Height
            ? whole
            : Box.Centred(width, height).Moved(near.Centre.X, near.Centre.Y);
    }

    /// <summary>A closer look shows at least so much round it, mm.</summary>
    private const double Least = 45;

    /// <summary>A step is looked at closer when it is about less than this share of the field.</summary>
    private const double Close = 0.4;

    private static IEnumerable<Ink> Badges(Moment moment, InkFrame frame, double type)
    {
        foreach (var number in moment.Parts.OfType<NumberPart>())
        {
            var at = frame.OnPage(number.At);
            if (!frame.Window.Contains(at))
            {
                continue;
            }
            yield return new InkLines(
                [Circle(at, type * 0.9)],
                true,
                new InkStyle
                {
                    Fill = MomentColours.White,
                    Stroke = MomentColours.Ink,
                    Width = 1.2,
                }
            );
            yield return new InkText(
                $"{number.Number}",
                at + new Point(0, type * 0.36),
                type,
                InkAnchor.Middle,
                true,
                MomentColours.Ink
            );
        }
    }

    /// <summary>The orders' numbers of a hooping for several, each over its own.</summary>
    private static IEnumerable<Ink> Seats(Moment moment, InkFrame frame, double type)
    {
        foreach (var seat in moment.Parts.OfType<SeatPart>())
        {
            var at = frame.OnPage(seat.At);
            if (!frame.Window.Contains(at))
            {
                continue;
            }
            // Where there is no room for the word the number alone is written; it is what tells one from the other.
            var room = at.DistanceTo(frame.OnPage(seat.At + new Point(seat.Width / 2, 0)));
            var words = HalfWidth($"order {seat.Number}") <= room ? $"order {seat.Number}" : seat.Number;
            var half = (HalfWidth(words), type * 0.75);
            yield return new InkLines(
                [
                    [.. new Box(at.X - half.Item1, at.Y - half.Item2, at.X + half.Item1, at.Y + half.Item2).Corners()],
                ],
                true,
                new InkStyle
                {
                    Fill = MomentColours.White,
                    Stroke = MomentColours.Ink,
                    Width = 0.8,
                }
            );
            yield return new InkText(
                words,
                at + new Point(0, type * 0.36),
                type,
                InkAnchor.Middle,
                true,
                MomentColours.Ink
            );
        }

        double HalfWidth(string text) => (text.Length * type * 0.28) + (type * 0.4);
    }

    /// <summary>A small hoop that tells where a closer look lies.</summary>
    private static IEnumerable<Ink> Locator(Moment moment, Box shown, Box work)
    {
        if (moment.View is MomentView.Out or MomentView.OutInside || shown.Contains(moment.Field, 1))
        {
            yield break;
        }
        var side = Math.Min(work.Width, work.Height) * 0.2;
        var scale = side / Math.Max(moment.Field.Width, moment.Field.Height);
        var (width, height) = (moment.Field.Width * scale, moment.Field.Height * scale);
        var box = new Box(work.MinX + 4, work.MinY + 4, work.MinX + 4 + width, work.MinY + 4 + height);
        Box Part(Box of) =>
            new(
                Math.Clamp(box.Centre.X + (of.MinX * scale), box.MinX, box.MaxX),
                Math.Clamp(box.Centre.Y + (of.MinY * scale), box.MinY, box.MaxY),
                Math.Clamp(box.Centre.X + (of.MaxX * scale), box.MinX, box.MaxX),
                Math.Clamp(box.Centre.Y + (of.MaxY * scale), box.MinY, box.MaxY)
            );
        var seen = moment.IsMirrored ? new Box(-shown.MaxX, shown.MinY, -shown.MinX, shown.MaxY) : shown;
        yield return Rectangle(box, MomentColours.White, MomentColours.Ink, 1.2);
        yield return Rectangle(Part(seen), MomentColours.Tint(MomentColours.Guide, 0.35), MomentColours.Guide, 1);
    }

    internal static InkLines Rectangle(Box box, string? fill, string? stroke, double width) =>
        new(
            [
                [.. box.Corners()],
            ],
            true,
            new InkStyle
            {
                Fill = fill,
                Stroke = stroke,
                Width = width,
            }
        );

    internal static ImmutableArray<Point> Circle(Point middle, double radius) =>
        [
            .. Enumerable
                .Range(0, 16)
                .Select(i => i * Math.PI / 8)
                .Select(turn => middle + new Point(radius * Math.Cos(turn), radius * Math.Sin(turn))),
        ];
}
