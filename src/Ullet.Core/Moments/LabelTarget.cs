using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>The place of a part that a label's line ends on.</summary>
internal static class LabelTarget
{
    /// <summary>A place on the part that is seen, mm; null where none is.</summary>
    internal static Point? Of(MomentPart part, Moment moment, Box shown)
    {
        var seen = moment.View is MomentView.Front or MomentView.Back ? shown.Overlap(moment.Field) : shown;
        return part switch
        {
            LayerPart layer => Inside(layer.Layer.Area, seen, moment.IsMirrored),
            TakenOutPart taken => Inside(taken.Was, seen, moment.IsMirrored),
            ThreadPart thread => Middle(thread.Lines, seen),
            AlignedPart aligned => Middle(aligned.Lines, seen),
            EdgePart edge => Middle(edge.Lines, seen),
            RolledPart rolled => Point.Lerp(rolled.From, rolled.To, 0.7),
            FoldPart fold => Point.Lerp(fold.From, fold.To, 0.82),
            TapePart tape => Box.Of(tape.Strip).Centre is var at && seen.Grown(8).Contains(at) ? at : null,
            ZipPart zip => zip.Slider.IsEmpty || !seen.Contains(Box.Of(zip.Slider).Centre)
                ? null
                : Box.Of(zip.Slider).Centre,
            PullPart pull => Point.Lerp(pull.From, pull.To, 0.4) + ((pull.To - pull.From).Unit().Outward() * 11),
            ScissorsPart cut => Middle(cut.Lines, seen),
            GapPart gap => Point.Lerp(gap.From, gap.To, 0.5),
            WayPart way => way.Way[way.Way.Length / 3],
            NumberPart number => number.At,
            SeatPart seat => seat.At,
            _ => throw new ArgumentException($"No place is known of {part.GetType().Name}.", nameof(part)),
        };
    }

    /// <summary>A place in an area, towards the labels: a third in from its seen side.</summary>
    private static Point? Inside(ImmutableArray<Region> area, Box seen, bool isMirrored)
    {
        var within = RegionOverlay.Intersection(area, seen.Area());
        if (within.MaxBy(region => region.Area) is not { } region)
        {
            return null;
        }
        var box = region.Bounds();
        foreach (var share in new[] { 0.78, 0.5, 0.9, 0.3, 0.1 })
        {
            foreach (var down in new[] { 0.3, 0.5, 0.7, 0.15, 0.85 })
            {
                var at = new Point(
                    box.MinX + (box.Width * (isMirrored ? 1 - share : share)),
                    box.MinY + (box.Height * down)
                );
                if (region.Shell.Winding(at) != 0 && region.Holes.All(hole => hole.Winding(at) == 0))
                {
                    return at;
                }
            }
        }
        return region.Shell.Points[0];
    }

    private static Point? Middle(ImmutableArray<ImmutableArray<Point>> lines, Box seen)
    {
        var places = lines
            .SelectMany(line => Enumerable.Range(1, line.Length - 1).Select(i => Point.Lerp(line[i - 1], line[i], 0.5)))
            .Where(seen.Contains)
            .ToList();
        return places.Count == 0 ? null : places[places.Count / 3];
    }
}
