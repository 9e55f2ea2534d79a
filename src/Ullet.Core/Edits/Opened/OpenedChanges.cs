using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Changes of layers in another frame.</summary>
internal static class OpenedChanges
{
    /// <summary>A change moved, mm.</summary>
    internal static OpenedChange Moved(OpenedChange change, Point by) =>
        by == Point.Zero ? change : Mapped(change, Affine.Translate(by.X, by.Y));

    /// <summary>A change seen through a map.</summary>
    internal static OpenedChange Mapped(OpenedChange change, Affine map) =>
        change switch
        {
            OpenedLaid laid => laid with
            {
                Area = Mapped(laid.Area, map),
                Slider = laid.Slider is { } slider ? map.Apply(slider) : null,
            },
            OpenedCutBack cut => cut with { Area = Mapped(cut.Area, map) },
            OpenedWindow window => window with { Area = Mapped(window.Area, map) },
            OpenedFold fold => fold with { Area = Mapped(fold.Area, map) },
            OpenedParted parted => parted with { From = map.Apply(parted.From), To = map.Apply(parted.To) },
            OpenedCutOut cutOut => cutOut with { Area = Mapped(cutOut.Area, map) },
            OpenedRemoved => change,
            _ => throw new InvalidOperationException($"{change.GetType().Name} is no change of layers."),
        };

    private static ImmutableArray<OpenedArea> Mapped(ImmutableArray<OpenedArea> areas, Affine map) =>
        [.. areas.Select(area => new OpenedArea([.. area.Rings.Select(ring => Mapped(ring, map))]))];

    private static ImmutableArray<double> Mapped(ImmutableArray<double> ring, Affine map) =>
        [
            .. Enumerable
                .Range(0, ring.Length / 2)
                .Select(i => map.Apply(new Point(ring[2 * i], ring[(2 * i) + 1])))
                .SelectMany(at => new[] { Math.Round(at.X, 3), Math.Round(at.Y, 3) }),
        ];
}
