using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;

namespace Ullet.Core.Moments;

/// <summary>The layers from the side, the nearest to the eye on top; where the work is turned, the way between them.</summary>
internal static class MomentSection
{
    /// <summary>A layer's bar, of the size of text.</summary>
    private const double Bar = 1.45;

    /// <summary>Names take so much of the room, of its width.</summary>
    private const double Named = 0.5;

    internal static IEnumerable<Ink> Of(Moment moment, Box room, double type, ITextMeasure measure)
    {
        type *= 0.86;
        if (room.Width < 60 || room.Height < 3 * type * Bar)
        {
            return [];
        }
        return moment.Section is { } section ? Turned(section, room, type, measure)
            : moment.Stack.Length > 1 ? Stack(moment.Stack, room, type, measure)
            : [];
    }

    private static IEnumerable<Ink> Stack(
        ImmutableArray<StackedLayer> stack,
        Box room,
        double type,
        ITextMeasure measure
    )
    {
        var most = (int)((room.Height - (1.5 * type)) / (type * Bar));
        var shown = stack.Reverse().Take(Math.Max(1, most)).ToList();
        var title =
            shown.Count < stack.Length ? "The top of the layers, from the side" : "From the side, nearest on top";
        yield return Title(title, room, type, measure);
        var whole = stack.SelectMany(layer => layer.Runs).Select(run => run.To).DefaultIfEmpty(1).Max();
        var bars = room with { MinX = room.MinX + (Named * room.Width) };
        var y = room.MinY + (1.5 * type);
        foreach (var layer in shown)
        {
            var colour = MomentColours.Tint(layer.Colour, layer.IsNew ? 0.55 : 0.25);
            foreach (var (from, to) in layer.Runs)
            {
                var bar = new Box(
                    bars.MinX + (from / whole * bars.Width),
                    y,
                    bars.MinX + (Math.Min(to, whole) / whole * bars.Width),
                    y + (type * (Bar - 0.25))
                );
                yield return MomentSheet.Rectangle(
                    bar,
                    colour,
                    layer.IsNew ? MomentColours.Ink : MomentColours.Pale,
                    layer.IsNew ? 1.4 : 0.7
                );
                if (layer.Face != SeenFace.Either)
                {
                    // The thick side is the right side.
                    var side = layer.Face == SeenFace.Right ? bar.MinY : bar.MaxY;
                    yield return MomentPaint.Lines(
                        [
                            [new Point(bar.MinX, side), new Point(bar.MaxX, side)],
                        ],
                        MomentColours.Ink,
                        2.4
                    );
                }
            }
            yield return new InkText(
                new TextLines(type, layer.IsNew, measure).Fitted(layer.Name, bars.MinX - room.MinX - 4),
                new Point(room.MinX, y + (type * 0.88)),
                type,
                InkAnchor.Start,
                layer.IsNew,
                MomentColours.Ink
            );
            y += type * Bar;
        }
    }

    /// <summary>The way from outside through gap and openings.</summary>
    private static IEnumerable<Ink> Turned(TurningSection section, Box room, double type, ITextMeasure measure)
    {
        yield return Title("From the side: the way out", room, type, measure);
        var count = section.Layers.Length;
        var step = Math.Min(type * Bar, (room.Height - (1.5 * type)) / Math.Max(1, count + 1));
        var bars = room with { MinX = room.MinX + (0.42 * room.Width) };
        double Along(double mm) => bars.MinX + (mm / Math.Max(1, section.Length) * bars.Width);
        double Height(double height) => room.MaxY - ((height + 0.75) * step);
        for (var i = 0; i < count; i++)
        {
            var layer = section.Layers[i];
            foreach (var (from, to) in layer.Runs)
            {
                var bar = new Box(Along(from), Height(i) - (step * 0.25), Along(to), Height(i) + (step * 0.25));
                yield return MomentSheet.Rectangle(
                    bar,
                    layer.Role == LayerRole.Lining ? MomentColours.Frame : MomentColours.White,
                    MomentColours.Ink,
                    0.8
                );
            }
        }
        for (var i = 0; i < count; i++)
        {
            yield return new InkText(
                new TextLines(type * 0.9, false, measure).Fitted(section.Layers[i].Name, bars.MinX - room.MinX - 4),
                new Point(room.MinX, Height(i) + (type * 0.3)),
                type * 0.9,
                InkAnchor.Start,
                false,
                MomentColours.Ink
            );
        }
        ImmutableArray<Point> way =
        [
            .. section.Way.Select(place => new Point(Along(place.Along), Height(place.Height))),
        ];
        if (way.Length > 1)
        {
            yield return MomentPaint.Lines([way], MomentColours.White, 4);
            yield return MomentPaint.Lines([way], MomentColours.Way, 2.2);
        }
    }

    private static InkText Title(string text, Box room, double type, ITextMeasure measure) =>
        new(
            new TextLines(type, false, measure).Fitted(text, room.Width),
            new Point(room.MinX, room.MinY + type),
            type,
            InkAnchor.Start,
            false,
            "#4c5968"
        );
}
