using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>Labels in a column of their own, each with a thin line to what it names: none lies over another, none over the work.</summary>
internal static class MomentLabels
{
    /// <summary>Lines of a label stand so far apart, of its size.</summary>
    internal const double Leading = 1.22;

    /// <summary>Most labels of a drawing.</summary>
    private const int Most = 7;

    /// <summary>The section below keeps so much of the column, of it.</summary>
    private const double Kept = 0.42;

    /// <param name="moment">The moment.</param>
    /// <param name="frame">Where the work lies on the page.</param>
    /// <param name="shown">What is shown of it, mm.</param>
    /// <param name="column">The room for labels and section, page units.</param>
    /// <param name="isBeside">True where the column stands on the right of the work.</param>
    /// <param name="type">Size of text, page units.</param>
    /// <param name="measure">How wide text is.</param>
    /// <returns>The labels, and the room that is left.</returns>
    internal static (ImmutableArray<Ink> Labels, Box Room) Of(
        Moment moment,
        InkFrame frame,
        Box shown,
        Box column,
        bool isBeside,
        double type,
        ITextMeasure measure
    )
    {
        var needsSection = moment.Section is not null || moment.Stack.Length > 1;
        var room = new Box(
            column.MinX,
            column.MinY,
            isBeside ? column.MaxX : column.MinX + ((needsSection ? 0.52 : 1) * column.Width),
            isBeside && needsSection ? column.MaxY - (Kept * column.Height) : column.MaxY
        );
        var indent = isBeside ? 0 : type * 1.6;
        var labels = Wanted(moment, frame, shown)
            .Select(label =>
                label with
                {
                    Lines = new TextLines(type, true, measure).Broken(label.Text, room.Width - 2 - indent),
                }
            )
            .ToList();
        var view = new TextLines(type * 0.92, true, measure).Broken(MomentWords.View(moment.View), room.Width - 2);
        var viewHeight = view.Length * type * 0.92 * Leading;
        var gap = type * 0.5;
        double Height() => labels.Sum(label => (label.Lines.Length * type * Leading) + gap);
        while (labels.Count > 0 && Height() > room.Height - viewHeight - gap)
        {
            labels.RemoveAt(labels.Count - 1);
        }
        labels.Sort((one, other) => isBeside ? one.At.Y.CompareTo(other.At.Y) : one.At.X.CompareTo(other.At.X));
        var ink = ImmutableArray.CreateBuilder<Ink>();
        var y = room.MinY;
        foreach (var line in view)
        {
            y += type * 0.92 * Leading;
            ink.Add(
                new InkText(line, new Point(room.MinX, y - (0.3 * type)), type * 0.92, InkAnchor.Start, false, Quiet)
            );
        }
        y += gap;
        var taken = new List<Point>();
        foreach (var label in labels)
        {
            var start = new Point(room.MinX - 3, y + (type * 0.6));
            if (isBeside)
            {
                ink.AddRange(Leader(start, label.At));
            }
            else
            {
                // Below the work a letter stands for the thin line.
                var letter = $"{(char)('A' + labels.IndexOf(label))}";
                ink.AddRange(Lettered(letter, Free(label.At, taken, type, frame.Window), type));
                ink.AddRange(Lettered(letter, new Point(room.MinX + (type * 0.6), y + (type * 0.75)), type));
            }
            foreach (var line in label.Lines)
            {
                y += type * Leading;
                ink.Add(
                    new InkText(
                        line,
                        new Point(room.MinX + indent, y - (0.3 * type)),
                        type,
                        InkAnchor.Start,
                        true,
                        MomentColours.Ink
                    )
                );
            }
            y += gap;
        }
        return (
            ink.ToImmutable(),
            isBeside
                ? new Box(column.MinX, Math.Max(y + 2, column.MinY), column.MaxX, column.MaxY)
                : new Box(room.MaxX + 8, column.MinY, column.MaxX, column.MaxY)
        );
    }

    private const string Quiet = "#4c5968";

    /// <summary>A place for a letter beside those that stand already.</summary>
    private static Point Free(Point wish, List<Point> taken, double type, Box window)
    {
        var apart = type * 1.35;
        var inside = window.Grown(-type * 0.7);
        var free = Enumerable
            .Range(0, 60)
            .Select(i => wish + new Point(Math.Cos(i * 2.4), Math.Sin(i * 2.4)) * (apart * 0.35 * Math.Sqrt(i)))
            .Select(at => new Point(
                Math.Clamp(at.X, inside.MinX, inside.MaxX),
                Math.Clamp(at.Y, inside.MinY, inside.MaxY)
            ))
            .Where(at => taken.TrueForAll(other => other.DistanceTo(at) >= apart))
            .FirstOrDefault(wish);
        taken.Add(free);
        return free;
    }

    private static IEnumerable<Ink> Lettered(string letter, Point at, double type)
    {
        yield return new InkLines(
            [MomentSheet.Circle(at, type * 0.62)],
            true,
            new InkStyle
            {
                Fill = MomentColours.White,
                Stroke = MomentColours.Ink,
                Width = 1,
            }
        );
        yield return new InkText(
            letter,
            at + new Point(0, type * 0.28),
            type * 0.8,
            InkAnchor.Middle,
            true,
            MomentColours.Ink
        );
    }

    private static IEnumerable<Ink> Leader(Point from, Point to)
    {
        yield return MomentPaint.Lines(
            [
                [from, to],
            ],
            MomentColours.White,
            2.4
        );
        yield return MomentPaint.Lines(
            [
                [from, to],
            ],
            MomentColours.Ink,
            0.7
        );
        yield return new InkLines([MomentSheet.Circle(to, 2)], true, new InkStyle { Fill = MomentColours.Ink });
    }

    /// <summary>The labels in the order of their weight, each text once.</summary>
    private static List<Label> Wanted(Moment moment, InkFrame frame, Box shown)
    {
        var labels = new List<Label>();
        foreach (var part in moment.Parts.OrderBy(Weight))
        {
            if (MomentWords.Of(part) is not { } text || labels.Exists(known => known.Text == text))
            {
                continue;
            }
            if (LabelTarget.Of(part, moment, shown) is { } at && labels.Count < Most)
            {
                labels.Add(new Label(text, frame.OnPage(at), []));
            }
        }
        return labels;
    }

    private static int Weight(MomentPart part) =>
        part switch
        {
            LayerPart or TakenOutPart => 0,
            ScissorsPart or FoldPart or GapPart or WayPart or PullPart => 1,
            EdgePart or RolledPart => 2,
            AlignedPart => 3,
            ZipPart => 4,
            _ => 5,
        };

    /// <param name="Text">What it says.</param>
    /// <param name="At">What it names, page units.</param>
    /// <param name="Lines">The text in lines.</param>
    private sealed record Label(string Text, Point At, ImmutableArray<string> Lines);
}
