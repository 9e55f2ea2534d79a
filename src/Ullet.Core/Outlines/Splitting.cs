using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Divides an outline by a line into two pieces that share an edge.</summary>
/// <remarks>The side that is covered reaches under the other one, so that the stack's rules for overlaps hold along the
/// shared edge as along any other. It comes first, so that it is sewn first.</remarks>
internal static class Splitting
{
    /// <summary>How far the covered side goes on under the other one, mm.</summary>
    internal const double Underlap = 5;

    /// <summary>Parts of the right side have ordinals from here on for the first split, twice that for the next.</summary>
    private const int RightFrom = 1000;

    /// <summary>The line's ends are prolonged by this, mm: past anything on the wall.</summary>
    private const double Beyond = 6000;

    internal static ElementOutline Of(
        ElementOutline before,
        Split split,
        ImmutableArray<OperationSource> sources,
        ElementBox box
    )
    {
        var left = LeftOf(split, sources, box);
        var step = RightFrom;
        while (before.Parts.Any(part => part.Ordinal >= step))
        {
            step *= 2;
        }
        var parts = before.Parts.SelectMany(part => Sides(part, split, left, step)).ToImmutableArray();
        return parts.SequenceEqual(before.Parts) ? before : before with { Parts = parts };
    }

    private static ImmutableArray<PartOutline> Sides(PartOutline part, Split split, Outline left, int step)
    {
        var onLeft = part with
        {
            Outline = OutlineOverlay.Intersection(part.Outline, left),
            Side = part.Side is null ? "left" : $"{part.Side} left",
        };
        var onRight = part with
        {
            Ordinal = part.Ordinal + step,
            Outline = OutlineOverlay.Difference(part.Outline, left),
            ClothId = split.RightClothId ?? part.ClothId,
            Side = part.Side is null ? "right" : $"{part.Side} right",
        };
        if (onRight.Outline.IsEmpty)
        {
            return [part];
        }
        if (onLeft.Outline.IsEmpty)
        {
            return [part with { ClothId = onRight.ClothId }];
        }
        if (split.LeftCovers)
        {
            var under = OutlineOverlay.Difference(part.Outline, OutlineOffset.By(left, -Underlap));
            return [onRight with { Outline = under }, onLeft];
        }
        var below = OutlineOverlay.Intersection(part.Outline, OutlineOffset.By(left, Underlap));
        return [onLeft with { Outline = below }, onRight];
    }

    /// <summary>Everything to the left of the line, as it runs, as far as the wall reaches.</summary>
    private static Outline LeftOf(Split split, ImmutableArray<OperationSource> sources, ElementBox box)
    {
        ImmutableArray<Point> line;
        if (split.LineId is not null && Copies.LineOf(sources[0].Outline) is { IsEmpty: false } drawn)
        {
            line = drawn;
        }
        else
        {
            var (at, way) = Copies.Axis(box, split.Angle, split.Distance);
            line = [at, at - way];
        }
        var (into, outOf) = ((line[0] - line[1]).Unit(), (line[^1] - line[^2]).Unit());
        // Left of the way, on screen: a quarter turn anticlockwise.
        var side = outOf.Outward();
        var (start, end) = (line[0] + (into * Beyond), line[^1] + (outOf * Beyond));
        ImmutableArray<Point> around =
        [
            start,
            .. line,
            end,
            end + (side * Beyond),
            start + ((into * -1).Outward() * Beyond),
        ];
        return FilledOutline.Of([Contour.Polygon(around)], FillRule.NonZero);
    }
}
