using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>What a zip pouch is made of.</summary>
internal static class PouchCloths
{
    private const string Interfaced = "iron a light fusible interfacing to its back before it is cut";

    /// <param name="stuff">The project's cloths.</param>
    /// <param name="pouch">Where its parts lie.</param>
    /// <param name="motif">The motif's.</param>
    internal static ImmutableArray<ClothNeed> Of(PatternStuff stuff, PouchSizes pouch, IEnumerable<ClothNeed> motif)
    {
        var isLined = pouch.Variant.HasLining;
        return
        [
            new(stuff.Of(StabiliserOf(pouch.Variant)), "hooped alone", 0, 0),
            new(
                stuff.Of(ZipTape),
                "zip",
                pouch.Tape.Width,
                ZipPouch.Tape,
                Advice: "nylon coil; longer is fine, it is cut off"
            ),
            Panel(stuff.Of(Front), "front panel", pouch, pouch.Lower, ZipPouch.Allowance, Interfaced),
            Panel(stuff.Of(Top), "top panel", pouch, pouch.Upper, ZipPouch.Allowance, Interfaced),
            Whole(stuff.Of(Back), "back", pouch, isLined ? null : Interfaced),
            .. isLined ? Linings(stuff, pouch) : [],
            .. pouch.Loop is null
                ? Array.Empty<ClothNeed>()
                :
                [
                    new(
                        stuff.Of(Ribbon),
                        "ribbon loop",
                        0,
                        0,
                        Advice: $"{PouchLoop.Width:0} mm wide, {2 * PouchLoop.Folded:0} mm long"
                    ),
                ],
            .. motif,
        ];
    }

    private static IEnumerable<ClothNeed> Linings(PatternStuff stuff, PouchSizes pouch) =>
        [
            Panel(stuff.Of(Lining), "lower lining", pouch, pouch.LowerLining, ZipPouch.Pressed, null),
            Panel(stuff.Of(Lining), "upper lining", pouch, pouch.UpperLining, ZipPouch.Pressed, null),
            Whole(stuff.Of(Lining), "back lining", pouch, null) with
            {
                Lines = [Seam(pouch.Form.Whole()), .. GapMarks(pouch)],
            },
        ];

    private static ClothNeed Whole(Cloth cloth, string use, PouchSizes pouch, string? advice) =>
        new(cloth, use, pouch.Cut.Width, pouch.Cut.Height, Advice: advice) { Lines = [Seam(pouch.Form.Whole())] };

    private static NeedLine Seam(ImmutableArray<Curve> curves) => new(CutRole.Draw, "closing seam", curves);

    private static IEnumerable<NeedLine> GapMarks(PouchSizes pouch) =>
        pouch.Gap is { } gap
            ? gap.Marks(ZipPouch.LeftAtGap).Select(mark => new NeedLine(CutRole.Draw, "end of the gap", mark))
            : [];

    /// <summary>A panel beside the zip: folded there, sewn in by the closing seam on its other sides.</summary>
    /// <param name="cloth">Its cloth.</param>
    /// <param name="use">What it becomes.</param>
    /// <param name="pouch">Where it lies.</param>
    /// <param name="area">Where it lies once it is folded, mm.</param>
    /// <param name="under">What lies under beyond its fold, mm.</param>
    /// <param name="advice">What else to know, or null.</param>
    private static ClothNeed Panel(Cloth cloth, string use, PouchSizes pouch, Box area, double under, string? advice)
    {
        var isLower = area.MinY > pouch.Zip;
        var height = area.Height + under;
        var middle = isLower ? area.MaxY - (height / 2) : area.MinY + (height / 2);
        var fold = isLower ? area.MinY : area.MaxY;
        var map = Affine.Translate(0, -middle);
        return new ClothNeed(cloth, use, area.Width, height, Advice: advice)
        {
            Lines =
            [
                new NeedLine(
                    CutRole.Score,
                    "fold along the zip",
                    PatternLines.Straight(area.MinX, fold - middle, area.MaxX, fold - middle)
                ),
                .. pouch
                    .Form.Beyond(fold, isLower)
                    .Select(stretch => Seam([.. stretch.Select(curve => curve.Transform(map))])),
            ],
        };
    }

    internal static Cloth StabiliserOf(PouchVariant variant) =>
        variant.HasLining ? SoftStabiliser : PatternCloths.Stabiliser;

    internal static readonly Cloth SoftStabiliser = PatternCloths.Of(
        "soft-stabiliser",
        "soft cut-away stabiliser",
        "#f6f6f3",
        ClothKind.CutAway,
        ClothTexture.Plain
    );

    internal static readonly Cloth ZipTape = PatternCloths.Of(
        "zip",
        "nylon-coil zip",
        "#3a4a5a",
        ClothKind.Zip,
        ClothTexture.Plain
    );

    internal static readonly Cloth Front = PatternCloths.Of(
        "front",
        "seed-packet cotton",
        "#e7d9b4",
        texture: ClothTexture.Dotted
    );

    internal static readonly Cloth Top = PatternCloths.Of("top", "shed green cotton", "#3f6b5c");

    internal static readonly Cloth Back = PatternCloths.Of("back", "potting-bench canvas", "#b88a5b");

    internal static readonly Cloth Lining = PatternCloths.Of("lining", "pale lining cotton", "#dfe6ea");

    internal static readonly Cloth Ribbon = PatternCloths.Of(
        "ribbon",
        "straw grosgrain ribbon",
        "#d9a93c",
        texture: ClothTexture.Plain
    );
}
