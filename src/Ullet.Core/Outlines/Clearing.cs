using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Takes remainders away, and bridges or cuts what is too thin.</summary>
internal static class Clearing
{
    /// <summary>A place by hand means what lies within this of it, mm: small changes of the outline do not lose it.</summary>
    private const double Near = 3;

    /// <summary>Widened bridges come out this much wider than asked, mm, so that they are not found thin again.</summary>
    private const double Hair = 0.05;

    internal static Outline Crumbs(Outline outline, ClearCrumbs clear, ElementBox box)
    {
        ImmutableArray<OutlinePart> left =
        [
            .. outline.Parts.Where(part =>
            {
                var form = part.Flatten();
                return !IsCrumb(form, clear.LeastArea, clear.LeastWidth) || !IsMeant(form, clear.Only, box);
            }),
        ];
        return left.Length == outline.Parts.Length ? outline : outline with { Parts = left };
    }

    /// <summary>The outline without the holes whose boxes are too narrow.</summary>
    internal static Outline Closed(Outline outline, CloseHoles close)
    {
        bool IsSmall(Contour hole) => hole.Bounds() is var box && Math.Min(box.Width, box.Height) < close.Width;
        return outline.Parts.Any(part => part.Holes.Any(IsSmall))
            ? outline with
            {
                Parts =
                [
                    .. outline.Parts.Select(part =>
                        part with
                        {
                            Holes = [.. part.Holes.Where(hole => !IsSmall(hole))],
                        }
                    ),
                ],
            }
            : outline;
    }

    internal static bool IsCrumb(Region form, double leastArea, double leastWidth) =>
        form.Area < leastArea || (leastWidth > 0 && ThinPlace.IsNowhereWide(form, leastWidth));

    internal static Outline Bridged(Outline outline, BridgeNecks bridge, ElementBox box)
    {
        foreach (
            var neck in ThinPlace
                .Of(outline, bridge.Width)
                .Where(place => (place.Ends > 1 || bridge.EndsToo) && IsMeant(place.Area, bridge.Only, box))
        )
        {
            // An end runs out to nothing: it is as wide as asked only where a whole circle lies in it.
            var more = ((bridge.Width - (bridge.EndsToo ? 0 : neck.Width)) / 2) + Hair;
            outline = OutlineOverlay.Union(outline, OutlineOffset.By(Shape(neck.Area), more));
        }
        return bridge.EndsToo ? Blunted(outline, bridge, box) : outline;
    }

    /// <summary>Points that run out far, blunted: what no disc of the width reaches is taken off. Usual corners stay.</summary>
    private static Outline Blunted(Outline outline, BridgeNecks bridge, ElementBox box)
    {
        var opened = OutlineOffset.By(OutlineOffset.By(outline, -bridge.Width / 2), bridge.Width / 2);
        foreach (var point in OutlineOverlay.Difference(outline, opened).Flatten())
        {
            var size = point.Bounds();
            if (Math.Max(size.Width, size.Height) > LongPoint * bridge.Width && IsMeant(point, bridge.Only, box))
            {
                outline = OutlineOverlay.Difference(outline, OutlineOffset.By(Shape(point), Hair));
            }
        }
        return outline;
    }

    /// <summary>A point longer than this, in widths, is a thin end and no corner.</summary>
    private const double LongPoint = 0.75;

    internal static Outline Cut(Outline outline, CutNecks cut, ElementBox box)
    {
        foreach (
            var place in ThinPlace
                .Of(outline, cut.Width)
                .Where(place => place.Ends > 0 && IsMeant(place.Area, cut.Only, box))
        )
        {
            outline = OutlineOverlay.Difference(outline, OutlineOffset.By(Shape(place.Area), Hair));
        }
        return outline;
    }

    private static Outline Shape(Region region) =>
        new([
            new OutlinePart(
                Contour.Polygon(region.Shell.Points),
                [.. region.Holes.Select(hole => Contour.Polygon(hole.Points))]
            ),
        ]);

    private static bool IsMeant(Region form, ImmutableArray<Spot> only, ElementBox box) =>
        only.IsDefaultOrEmpty
        || only.Any(spot => RegionOverlay.Distance([form], [Dot(BoxFit.OnWall(box, spot))]) < Near);

    private static Region Dot(Point at) => new(new Ring([at, at + new Point(0.01, 0), at + new Point(0.01, 0.01)]), []);
}
