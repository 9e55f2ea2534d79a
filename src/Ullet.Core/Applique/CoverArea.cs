using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>The area that a piece's cover takes as sewn.</summary>
public static class CoverArea
{
    /// <summary>Ends of the cover lie this far inside its stretch, mm, so that no sliver of the covered part is left.</summary>
    private const double Hair = 0.05;

    /// <returns>Regions whose edges bound the band by the even-odd rule: its outer and inner sides; along covered stretches
    /// there is none.</returns>
    public static ImmutableArray<Region> Of(PieceAtWork piece, CoverNumbers cover)
    {
        if (!cover.LiesAcross)
        {
            return [];
        }
        var (outside, inside) = (cover.Outside, cover.Inside);
        if (piece.Visible is null)
        {
            return [.. piece.Offset(outside, true).Regions, .. piece.Offset(-inside, true).Regions];
        }
        var edge = piece.Edge.Flatten();
        var band = RegionOverlay.Difference(RegionOffset.By(edge, outside), RegionOffset.By(edge, -inside));
        var covered = piece.Stretches.Where(stretch => stretch.IsCovered).Select(stretch => stretch.Points);
        return RegionOverlay.Difference(band, RegionOffset.Around(covered, Math.Max(outside, inside) + Hair));
    }
}
