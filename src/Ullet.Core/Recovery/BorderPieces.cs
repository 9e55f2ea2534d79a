using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Recovery;

/// <summary>Pieces of which only the border is known, or only a closed line: the edge lies where the border's usual share is on the cloth.</summary>
public static class BorderPieces
{
    /// <summary>The pieces of one block; none where nothing of it closes.</summary>
    /// <param name="block">Its number.</param>
    /// <param name="reading">What was read off it.</param>
    public static ImmutableArray<RecoveredPiece> Of(int block, BlockReading reading) =>
        reading.Look switch
        {
            OpenedLook.Satin or OpenedLook.Zigzag => OfBand(block, reading),
            OpenedLook.Blanket => OfLines(
                block,
                reading,
                -StitchDefaults.BlanketSpine,
                new RecoveredCover(
                    block,
                    CoverKind.Blanket,
                    reading.Teeth,
                    reading.StitchLength,
                    StitchDefaults.BlanketSpine
                )
            ),
            OpenedLook.Run => OfLines(block, reading, 0, null),
            OpenedLook.Bean => OfLines(
                block,
                reading,
                StitchDefaults.BeanInset,
                new RecoveredCover(block, CoverKind.Bean, 0, reading.StitchLength, -StitchDefaults.BeanInset)
            ),
            OpenedLook.Fill or OpenedLook.Motif or OpenedLook.Mixed => [],
        };

    /// <summary>The middle line of a border, as areas; none where it does not close.</summary>
    public static ImmutableArray<OutlinePart> MiddleOf(StrokeBand band) => EdgeOf(band, 0.5);

    private static ImmutableArray<RecoveredPiece> OfBand(int block, BlockReading reading)
    {
        var band = reading.Band;
        if (band is null || !reading.IsRound)
        {
            return [];
        }
        var outside = (1 - StitchDefaults.CoverInsideShare) * band.Width;
        return
        [
            .. EdgeOf(band, StitchDefaults.CoverInsideShare)
                .Select(part => new RecoveredPiece(part, Method.CutBeforehand, [block])
                {
                    Cover = new RecoveredCover(
                        block,
                        reading.Look == OpenedLook.Satin ? CoverKind.Satin : CoverKind.Zigzag,
                        band.Width,
                        band.Spacing,
                        outside
                    ),
                }),
        ];
    }

    /// <summary>The edge that lies so far inside a border: a share of its width from its inner side.</summary>
    /// <remarks>Taken in from the outer side, corners that point outwards are sharp and those that point inwards rounded; taken out from
    /// the inner side it is the other way round. Of what lies between the two, what touches a tip of the first belongs to the edge.</remarks>
    private static ImmutableArray<OutlinePart> EdgeOf(StrokeBand band, double insideShare)
    {
        var parts = ImmutableArray.CreateBuilder<OutlinePart>();
        foreach (var region in band.Area.Where(region => !region.Holes.IsEmpty))
        {
            var outer = new Region(region.Shell, []);
            var takenIn = RegionOffset.By([outer], -(1 - insideShare) * band.Width);
            var inner = region.Holes.Select(hole => new Region(hole.Reversed(), [])).MaxBy(hole => hole.Area)!;
            var takenOut = RegionOffset.By([inner], insideShare * band.Width);
            if (takenIn.Length != 1)
            {
                continue;
            }
            var corners = RegionOverlay.Difference(takenIn, takenOut);
            var filled = corners.Where(corner => corner.Area > 0.05 && !HasTip(takenIn[0], corner));
            var edge = RegionOverlay.Difference(takenIn, filled);
            foreach (var found in edge.Where(each => each.Area > 1))
            {
                parts.Add(new OutlinePart(FewCurves.Of(found.Shell, 0.03), []));
            }
        }
        return parts.ToImmutable();
    }

    /// <summary>True where a corner that points outwards lies on the rest.</summary>
    private static bool HasTip(Region whole, Region rest)
    {
        var on = new SegmentIndex(rest.Rings);
        var points = whole.Shell.Points;
        for (var i = 0; i < points.Length; i++)
        {
            if (
                Math.Abs(whole.Shell.TurnAt(i)) > 25
                && whole.Shell.TurnAt(i) > 0
                && on.Nearest(points[i], 0.02) is not null
            )
            {
                return true;
            }
        }
        return false;
    }

    private static ImmutableArray<RecoveredPiece> OfLines(
        int block,
        BlockReading reading,
        double inset,
        RecoveredCover? cover
    ) =>
        [
            .. Rings
                .Parts(reading.Rings)
                .SelectMany(part => OutlineOffset.By(new Outline([part]), inset, CornerStyle.Sharp).Parts)
                .Select(part => new RecoveredPiece(part, Method.CutBeforehand, [block])
                {
                    Placement = cover is null ? block : null,
                    Cover = cover,
                }),
        ];
}
