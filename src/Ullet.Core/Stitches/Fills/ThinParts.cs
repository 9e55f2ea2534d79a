using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A narrow part of an area that hangs on the rest at one place.</summary>
/// <param name="Area">The part, a little of the rest included, mm.</param>
/// <param name="At">Where it hangs on the rest, mm.</param>
internal sealed record ThinPart(Region Area, Point At);

/// <summary>Parts an area into what rows fill and what is too narrow for them.</summary>
/// <param name="Body">What rows fill; nothing where all of it is narrow.</param>
/// <param name="Parts">Narrow parts that hang on it.</param>
internal sealed record ThinParts(ImmutableArray<Region> Body, ImmutableArray<ThinPart> Parts)
{
    /// <summary>Narrower parts are sewn in strokes, mm.</summary>
    internal const double Narrow = 1.5;

    /// <summary>Smaller or shorter ones are corners, which rows fill, mm² and mm.</summary>
    private const double LeastArea = 1.2;

    private const double LeastLength = 2.5;

    /// <summary>Strokes of a part reach so far over the rest, mm.</summary>
    private const double Over = 0.3;

    /// <summary>Edges nearer than this are the same, mm.</summary>
    private const double Same = 0.05;

    internal static ThinParts Of(Region region)
    {
        ImmutableArray<Region> whole = [region];
        var core = RegionOffset.Roughly(whole, -Narrow / 2);
        if (core.IsEmpty)
        {
            return new ThinParts([], []);
        }
        var wide = RegionOffset.Roughly(core, Narrow / 2);
        var parts = ImmutableArray.CreateBuilder<ThinPart>();
        var taken = new List<Region>();
        foreach (var rest in RegionOverlay.Difference(whole, RegionOffset.Roughly(wide, Same)))
        {
            Budget.Spend();
            var box = rest.Bounds();
            if (rest.Area < LeastArea || Math.Max(box.Width, box.Height) < LeastLength)
            {
                continue;
            }
            var hangs = RegionOverlay.Intersection(RegionOffset.Roughly([rest], 2 * Same), wide);
            // What joins two places of the rest is filled with it: rows come through.
            if (hangs.Length == 1)
            {
                var area = RegionOverlay.Intersection(RegionOffset.Roughly([rest], Over), whole);
                if (area.Length == 1)
                {
                    taken.AddRange(RegionOffset.Roughly([rest], Over / 2));
                    parts.Add(new ThinPart(area[0], RegionOverlay.Measures(hangs).Middle));
                }
            }
        }
        return parts.Count == 0
            ? new ThinParts(whole, [])
            : new ThinParts(RegionOverlay.Difference(whole, taken), parts.ToImmutable());
    }
}
