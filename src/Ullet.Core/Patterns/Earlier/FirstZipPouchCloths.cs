using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>What the zip pouch of 0.6 was made of, and where its fill-ins went.</summary>
internal static class FirstZipPouchCloths
{
    internal static ImmutableArray<FillInPlace> Places(Box seam, double below)
    {
        // Decoration keeps 8 mm from seams and folds.
        var room = new Box(seam.MinX + 8, below + 8, seam.MaxX - 8, seam.MaxY - 8);
        var side = Math.Min(Math.Min(room.Height, room.Width / 4), 40);
        var motif = new Box(room.MinX, room.Centre.Y - (side / 2), room.MinX + side, room.Centre.Y + (side / 2));
        var tall = Math.Min(room.Height, 34);
        return
        [
            new FillInPlace("motif", "p-motif", motif, "p-front"),
            new FillInPlace(
                "name",
                "p-name",
                new Box(motif.MaxX + 8, room.Centre.Y - (tall / 2), room.MaxX, room.Centre.Y + (tall / 2)),
                "p-front"
            ),
        ];
    }

    /// <summary>What it is made of.</summary>
    /// <param name="stuff">The project's cloths.</param>
    /// <param name="seam">The closing seam, mm.</param>
    /// <param name="cut">What is laid for the pouch, mm.</param>
    /// <param name="panels">The lower and the upper panel once they are folded, mm.</param>
    /// <param name="tape">The least length of the zip's tape, mm.</param>
    /// <param name="motif">The motif's.</param>
    internal static ImmutableArray<ClothNeed> Of(
        PatternStuff stuff,
        Box seam,
        Box cut,
        (Box Lower, Box Upper) panels,
        double tape,
        IEnumerable<ClothNeed> motif
    )
    {
        ClothNeed Whole(Cloth cloth, string use) =>
            new(stuff.Of(cloth), use, cut.Width, cut.Height)
            {
                Lines = [new NeedLine(CutRole.Draw, "closing seam", Round(seam, 6))],
            };
        return
        [
            new(stuff.Of(PatternCloths.Stabiliser), "hooped alone", 0, 0),
            new(
                stuff.Of(PouchCloths.ZipTape),
                "zip",
                tape,
                ZipPouch.Tape,
                Advice: "nylon coil; longer is fine, it is cut off"
            ),
            Panel(stuff.Of(PouchCloths.Front), "front panel", seam, panels.Lower, ZipPouch.Allowance, isLower: true),
            Panel(stuff.Of(PouchCloths.Top), "top panel", seam, panels.Upper, ZipPouch.Allowance, isLower: false),
            Whole(PouchCloths.Back, "back"),
            Panel(stuff.Of(PouchCloths.Lining), "lower lining", seam, panels.Lower, ZipPouch.Allowance, isLower: true),
            Panel(stuff.Of(PouchCloths.Lining), "upper lining", seam, panels.Upper, ZipPouch.Allowance, isLower: false),
            Whole(PouchCloths.Lining, "back lining"),
            .. motif,
        ];
    }

    /// <summary>A panel beside the zip: folded there, sewn in by the closing seam on its other sides.</summary>
    private static ClothNeed Panel(Cloth cloth, string use, Box seam, Box area, double under, bool isLower)
    {
        var height = area.Height + under;
        var middle = isLower ? area.MaxY - (height / 2) : area.MinY + (height / 2);
        var (fold, far) = isLower ? (area.MinY - middle, seam.MaxY - middle) : (area.MaxY - middle, seam.MinY - middle);
        var (left, right) = (seam.MinX, seam.MaxX);
        return new ClothNeed(cloth, use, area.Width, height)
        {
            Lines =
            [
                new NeedLine(CutRole.Score, "fold along the zip", Straight(area.MinX, fold, area.MaxX, fold)),
                new NeedLine(
                    CutRole.Draw,
                    "closing seam",
                    [
                        .. Straight(left, fold, left, far),
                        .. Straight(left, far, right, far),
                        .. Straight(right, far, right, fold),
                    ]
                ),
            ],
        };
    }
}
