using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>A lined pouch with a zip in its front, sewn face to face and turned through the open zip.</summary>
/// <remarks>Only width, height and the zip's height above the bottom grow; seams, allowances and the zip keep their sizes.</remarks>
public sealed class ZipPouch : IPattern
{
    /// <summary>Cloth beyond the closing seam when it is laid, mm; trimmed to <see cref="Trimmed"/> afterwards.</summary>
    private const double Beyond = 13;

    internal const double Trimmed = 6;

    /// <summary>Width of the tape of a nylon-coil zip, mm.</summary>
    internal const double Tape = 30;

    /// <summary>From the middle of the teeth to the folded edge of a panel, mm.</summary>
    private const double FromTeeth = 7;

    /// <summary>Cloth between a panel's raw edge and its seam, mm.</summary>
    internal const double Allowance = 6;

    /// <summary>From a fold to the line sewn along it, mm.</summary>
    private const double AlongFold = 2.5;

    /// <summary>The tape must reach past the seams by this on both sides, mm.</summary>
    internal const double ZipEnds = 20;

    /// <summary>How far the zip is opened before the closing layer goes on, share of the width: half to two thirds.</summary>
    internal const double Opened = 0.6;

    /// <summary>What the teeth and the slider take, mm.</summary>
    private const double Teeth = 8;
    private static readonly (double Width, double Height) Slider = (14, 16);

    public string Id => "zip-pouch";

    public string Name => "Zip pouch";

    public string Summary =>
        "A lined pouch with a zip across its front, sewn in one hooping and turned through the zip.";

    public ImmutableArray<PatternNumberField> Numbers =>
        [
            new("width", "Width", 90, 310, 180),
            new("height", "Height", 80, 220, 120),
            new("drop", "Zip below the top edge", 22, 80, 30),
        ];

    public ImmutableArray<PatternFillIn> FillIns =>
        [new("name", "Name on the front", "Seeds", []), new("motif", "Motif beside it", "Leaf", Motifs.Names)];

    public ImmutableArray<HardwareStart> Hardware => [new("zip", "A zip, length of its tape", 130, 350, 220)];

    public ImmutableArray<PatternNumber> FromHardware(string hardware, double size) =>
        [new("width", size - (2 * ZipEnds))];

    public Refusal? Check(PatternNumbers numbers) =>
        numbers["height"] - numbers["drop"] < 50
            ? new Refusal(
                "zip-too-low",
                "drop",
                $"The zip lies {numbers["drop"]:0.#} mm below the top edge of a pouch {numbers["height"]:0.#} mm high: at least 50 mm "
                    + $"must be left below it, so it may lie up to {numbers["height"] - 50:0.#} mm down."
            )
            : null;

    public PatternPlan Make(PatternNumbers numbers, PatternUse use, PatternStuff stuff)
    {
        var (width, height) = (numbers["width"], numbers["height"]);
        var seam = Box.Centred(width, height);
        var cut = seam.Grown(Beyond);
        var zip = seam.MinY + numbers["drop"];
        var (below, above) = (zip + FromTeeth, zip - FromTeeth);
        var lower = new Box(cut.MinX, below, cut.MaxX, cut.MaxY);
        var upper = new Box(cut.MinX, cut.MinY, cut.MaxX, above);
        return new PatternPlan(
            [.. Lines(seam, zip, below, above), .. Zones(seam, zip)],
            [.. ZipPouchSteps.Of(stuff, seam, cut, zip, lower, upper)],
            [
                new PatternPanel("p-front", "front panel", ZipPouchParts.TopStitchUpper.Line, Area(lower)),
                new PatternPanel("p-top", "top panel", ZipPouchParts.TopStitchUpper.Line, Area(upper)),
            ],
            Places(seam, below),
            Cloths(stuff, seam, cut, lower, upper, Motifs.ClothOf(this, use, stuff)),
            [
                "Stabiliser: medium tear-away, larger than the hoop all round; it is torn away at the end.",
                "Needle: 75/11 embroidery. Interface thin cotton with a light fusible before it is cut.",
                $"Seam allowances: {Allowance:0} mm along the zip, {Trimmed:0} mm round the pouch once it is cut out.",
                "The zip must be nylon coil: the needle crosses its teeth.",
            ],
            seam.Grown(8)
        )
        {
            IsTurned = true,
            ClosingSeamId = ZipPouchParts.ClosingSeam.ElementId,
        };
    }

    private static IEnumerable<Element> Lines(Box seam, double zip, double below, double above)
    {
        var (left, right) = (seam.MinX - 5, seam.MaxX + 5);
        ImmutableArray<Curve> Across(double y) => Straight(left, y, right, y);
        yield return PatternLines.Line(
            ZipPouchParts.ZipPlace,
            "Zip",
            "placement",
            Mark,
            Across(zip - (Tape / 2)),
            Across(zip + (Tape / 2))
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipTack,
            "Zip",
            "tack-down",
            Hold,
            Across(zip - (Tape / 2) + 3),
            Across(zip + (Tape / 2) - 3)
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipEnds,
            "Zip",
            "joining of the tape ends",
            new LineSettings { Kind = LineKind.Bean },
            Straight(seam.MinX - 4, zip - 6, seam.MinX - 4, zip + 6),
            Straight(seam.MaxX + 4, zip - 6, seam.MaxX + 4, zip + 6)
        );
        yield return PatternLines.Line(
            ZipPouchParts.FrontSeam,
            "Front panel",
            "seam along the zip",
            Seam,
            Across(below)
        );
        yield return PatternLines.Line(
            ZipPouchParts.TopStitchLower,
            "Front panel",
            "line along the fold",
            Mark,
            Across(below + AlongFold)
        );
        yield return PatternLines.Line(ZipPouchParts.TopSeam, "Top panel", "seam along the zip", Seam, Across(above));
        yield return PatternLines.Line(
            ZipPouchParts.TopStitchUpper,
            "Top panel",
            "line along the fold",
            Mark,
            Across(above - AlongFold)
        );
        yield return PatternLines.Line(
            ZipPouchParts.LiningSeam,
            "Lining",
            "seams along the zip",
            Seam,
            Across(below),
            Across(above)
        );
        yield return PatternLines.Line(ZipPouchParts.ClosingSeam, "Pouch", "closing seam", Seam, Round(seam, 6));
    }

    private static IEnumerable<Element> Zones(Box seam, double zip)
    {
        Element Keep(string part, string name, double x, double width, double height, ZoneMaking zone) =>
            new()
            {
                Id = $"p-{part}",
                PatternPart = part,
                Name = name,
                IsLocked = true,
                Box = new ElementBox(x, zip, width, height, 0),
                Form = new ShapeForm(new RectangleShape()),
                Making = zone,
            };
        var lay = ZipPouchHands.LayZip.Step;
        var open = ZipPouchHands.OpenZip.Step;
        yield return Keep(
            "teeth",
            "Zip teeth",
            0,
            seam.Width + 10,
            Teeth,
            new ZoneMaking
            {
                From = lay,
                Allows = [ZipPouchParts.ZipEnds.ElementId, ZipPouchParts.ClosingSeam.ElementId],
            }
        );
        yield return Keep(
            "slider-shut",
            "Zip slider, shut",
            seam.MaxX + 14,
            Slider.Width,
            Slider.Height,
            new ZoneMaking { From = lay, Until = open }
        );
        yield return Keep(
            "slider-open",
            "Zip slider, open",
            seam.MaxX - (Opened * seam.Width),
            Slider.Width,
            Slider.Height,
            new ZoneMaking { From = open }
        );
    }

    private static ImmutableArray<FillInPlace> Places(Box seam, double below)
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

    private static ImmutableArray<ClothNeed> Cloths(
        PatternStuff stuff,
        Box seam,
        Box cut,
        Box lower,
        Box upper,
        IEnumerable<ClothNeed> motif
    )
    {
        ClothNeed Below(Cloth cloth, string use) => Panel(stuff.Of(cloth), use, seam, lower, isLower: true);
        ClothNeed Above(Cloth cloth, string use) => Panel(stuff.Of(cloth), use, seam, upper, isLower: false);
        ClothNeed Whole(Cloth cloth, string use) =>
            new(stuff.Of(cloth), use, cut.Width, cut.Height)
            {
                Lines = [new NeedLine(CutRole.Draw, "closing seam", Round(seam, 6))],
            };
        return
        [
            new(stuff.Of(PatternCloths.Stabiliser), "hooped alone", 0, 0),
            new(
                stuff.Of(ZipTape),
                "zip",
                seam.Width + (2 * ZipEnds),
                Tape,
                Advice: "nylon coil; longer is fine, it is cut off"
            ),
            Below(Front, "front panel"),
            Above(Top, "top panel"),
            Whole(Back, "back"),
            Below(Lining, "lower lining"),
            Above(Lining, "upper lining"),
            Whole(Lining, "back lining"),
            .. motif,
        ];
    }

    /// <summary>A panel beside the zip: folded at its seam there, sewn in by the closing seam on its other sides.</summary>
    private static ClothNeed Panel(Cloth cloth, string use, Box seam, Box area, bool isLower)
    {
        var height = area.Height + Allowance;
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
}
