using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>A lined pouch with a zip in its front and hidden seams: turned through a gap in its lining, then through the zip.</summary>
/// <remarks>Only width, height and the zip's height above the bottom grow; seams, allowances and the zip keep their sizes.</remarks>
public sealed class ZipPouch : IPattern
{
    /// <summary>Cloth beyond the closing seam when it is laid, mm; trimmed to <see cref="Trimmed"/> afterwards.</summary>
    internal const double Beyond = 13;

    internal const double Trimmed = 6;

    /// <summary>Width of the tape of a nylon-coil zip, mm.</summary>
    internal const double Tape = 30;

    /// <summary>From the middle of the teeth to the folded edge of a panel, mm.</summary>
    internal const double FromTeeth = 7;

    /// <summary>Cloth between a panel's raw edge and its seam, mm.</summary>
    internal const double Allowance = 6;

    /// <summary>From a panel's fold to the line along it, which holds the lining behind, mm.</summary>
    private const double AlongFold = 5;

    /// <summary>The lining's pressed edge lies nearer to the panel's body than the panel's fold by this, mm: it does not peep out.</summary>
    internal const double LiningBack = 1;

    /// <summary>What is pressed under along an edge of a lining, mm.</summary>
    internal const double Pressed = 10;

    /// <summary>The tape reaches past the seam by this where the zip ends, mm.</summary>
    internal const double StopEnd = 15;

    /// <summary>The same at the slider's end: the slider, the presser foot's radius, a tail.</summary>
    internal const double SliderEnd = 45;

    /// <summary>The middle of the slider when the zip is shut lies this far past the seam, mm.</summary>
    private const double SliderShut = 27;

    /// <summary>How far the zip is opened before the closing layer goes on, share of the width: half to two thirds.</summary>
    internal const double Opened = 0.65;

    /// <summary>The slot in the stabiliser behind the teeth: how wide it is, and how far from the side seams it ends, mm.</summary>
    internal const double Slot = 10;

    /// <summary>What is left at the gap when the pouch is cut out, mm.</summary>
    internal const double LeftAtGap = 12;

    /// <summary>A gap ends at least this far from the side seams, mm.</summary>
    private const double GapFromSide = 20;

    /// <summary>Marks for the corners of the back begin this far outside of them and are so long, mm.</summary>
    private const double MarkOff = 1;
    private const double MarkLength = 3;

    /// <summary>The number that says how long the gap is.</summary>
    internal const string GapId = "gap";

    /// <summary>What the teeth take, mm.</summary>
    internal const double Teeth = 8;

    /// <summary>What the slider takes with the presser foot's radius of 6 round it, mm.</summary>
    internal static readonly (double Width, double Height) Slider = (26, 28);

    public int Making => 2;

    public string Id => "zip-pouch";

    public string Name => "Zip pouch";

    public string Summary => "A lined pouch with a zip across its front and no raw seam inside, sewn in one hooping.";

    public ImmutableArray<PatternNumberField> Numbers =>
        [
            new("width", "Width", 90, 310, 180),
            new("height", "Height", 80, 205, 120),
            new("drop", "Zip below the top edge", 22, 80, 30),
            new(GapId, "Gap in the lining, at most", 0, 120, 70),
        ];

    public ImmutableArray<PatternFillIn> FillIns =>
        [new("name", "Name on the front", "Seeds", []), new("motif", "Motif beside it", "Leaf", Motifs.Names)];

    public ImmutableArray<HardwareStart> Hardware => [new("zip", "A zip, length of its tape", 150, 370, 240)];

    public ImmutableArray<PatternNumber> FromHardware(string hardware, double size) =>
        [new("width", size - StopEnd - SliderEnd)];

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
        var pouch = new PouchSizes(
            numbers["width"],
            numbers["height"],
            numbers["drop"],
            Math.Min(numbers[GapId], numbers["width"] - (2 * GapFromSide))
        );
        return new PatternPlan(
            [.. Lines(pouch), .. Zones(pouch)],
            [.. ZipPouchSteps.Of(stuff, pouch)],
            [
                new PatternPanel("p-front", "front panel", ZipPouchParts.TopBaste.Line, Area(pouch.Lower)),
                new PatternPanel("p-top", "top panel", ZipPouchParts.TopBaste.Line, Area(pouch.Upper)),
            ],
            Places(pouch.Seam, pouch.Below),
            Cloths(
                stuff,
                pouch.Seam,
                pouch.Cut,
                (pouch.Lower, pouch.Upper),
                (pouch.LowerLining, pouch.UpperLining),
                pouch.Tape.Width,
                SoftStabiliser,
                Motifs.ClothOf(this, use, stuff)
            ),
            [
                "Stabiliser: a soft cut-away, larger than the hoop all round; what lies behind the panels stays in for good.",
                "Needle: 75/11 embroidery. Interface thin cotton with a light fusible before it is cut.",
                $"Press one long edge of both front linings under by {Pressed:0} mm, wrong sides together, before you begin.",
                $"Seam allowances: {Allowance:0} mm along the zip, {Trimmed:0} mm round the pouch once it is cut out, {LeftAtGap:0} mm at the gap.",
                "The zip must be nylon coil: the needle crosses its teeth. Its tape is measured, not its teeth.",
                "Tape: one that washes away or tears off without a trace, on the back of the hoop too.",
            ],
            pouch.Cut.Grown(MarkOff + MarkLength)
        )
        {
            ClosingSeamId = ZipPouchParts.ClosingSeam.ElementId,
        };
    }

    private static IEnumerable<Element> Lines(PouchSizes pouch)
    {
        var (seam, zip) = (pouch.Seam, pouch.Zip);
        ImmutableArray<Curve> Across(double y) => Straight(seam.MinX - 5, y, seam.MaxX + 5, y);
        ImmutableArray<Curve> Bar(double x) => Straight(x, zip - 6, x, zip + 6);
        yield return PatternLines.Line(
            ZipPouchParts.ZipPlace,
            "Zip",
            "placement",
            Mark,
            [Across(zip - (Tape / 2)), Across(zip), Across(zip + (Tape / 2)), .. CornerMarks(pouch.Cut)]
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipTack,
            "Zip",
            "tack-down with the panels' lines",
            Hold,
            Across(pouch.Above - Allowance),
            Across(pouch.Below + Allowance)
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipStop,
            "Zip",
            "bar at its closed end",
            new LineSettings { Kind = LineKind.Bean },
            Bar(seam.MinX - 4)
        );
        yield return PatternLines.Line(
            ZipPouchParts.FrontSeam,
            "Front panel",
            "seam along the zip",
            Seam,
            Across(pouch.Below)
        );
        yield return PatternLines.Line(
            ZipPouchParts.FrontBaste,
            "Front panel",
            "basting in its seam allowance",
            Mark,
            Basted(seam.Grown(BasteOutside), pouch.Below + Allowance, seam.MaxY + BasteOutside)
        );
        yield return PatternLines.Line(
            ZipPouchParts.TopSeam,
            "Top panel",
            "seam along the zip",
            Seam,
            Across(pouch.Above)
        );
        yield return PatternLines.Line(
            ZipPouchParts.TopBaste,
            "Top panel",
            "basting in its seam allowance",
            Mark,
            Basted(seam.Grown(BasteOutside), pouch.Above - Allowance, seam.MinY - BasteOutside)
        );
        yield return PatternLines.Line(
            ZipPouchParts.TopStitch,
            "Linings",
            "lines along the folds",
            new LineSettings { StitchLength = 2.8 },
            Across(pouch.Below + AlongFold),
            Across(pouch.Above - AlongFold)
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipEnds,
            "Zip",
            "bar at its open end",
            new LineSettings { Kind = LineKind.Bean },
            Bar(seam.MaxX + 4)
        );
        var once = Seam with { Passes = 1 };
        yield return PatternLines.Line(
            ZipPouchParts.ClosingSeam,
            "Pouch",
            "closing seam 1",
            once,
            pouch.Gap > 0
                ? [Round(seam, 6), Straight(-pouch.Gap / 2, seam.MaxY, pouch.Gap / 2, seam.MaxY)]
                : [Round(seam, 6)]
        );
        yield return PatternLines.Line(
            ZipPouchParts.LiningSeam,
            "Lining",
            "closing seam 2",
            once,
            Round(seam, 6, pouch.Gap)
        );
    }

    /// <summary>Basting runs this far outside the closing seam, mm: in the allowance, which holds it for good.</summary>
    private const double BasteOutside = 3;

    /// <summary>Along three sides of a panel: from its zip side outwards, along the far side and back.</summary>
    private static ImmutableArray<Curve> Basted(Box box, double near, double far) =>
        [
            .. Straight(box.MinX, near, box.MinX, far),
            .. Straight(box.MinX, far, box.MaxX, far),
            .. Straight(box.MaxX, far, box.MaxX, near),
        ];

    /// <summary>Two short lines outside each corner of the back, in line with its sides: they stay in sight beyond the panels.</summary>
    private static IEnumerable<ImmutableArray<Curve>> CornerMarks(Box cut)
    {
        foreach (var (x, outX) in new[] { (cut.MinX, -1.0), (cut.MaxX, 1.0) })
        {
            foreach (var (y, outY) in new[] { (cut.MinY, -1.0), (cut.MaxY, 1.0) })
            {
                var (near, far) = (MarkOff, MarkOff + MarkLength);
                yield return Straight(x + (outX * near), y, x + (outX * far), y);
                yield return Straight(x, y + (outY * near), x, y + (outY * far));
            }
        }
    }

    private static IEnumerable<Element> Zones(PouchSizes pouch)
    {
        var (seam, lay, open) = (pouch.Seam, ZipPouchHands.LayZip.Step, ZipPouchHands.OpenZip.Step);
        yield return Zone(
            "teeth",
            "Zip teeth",
            new Box(seam.MinX - 5, pouch.Zip - (Teeth / 2), seam.MaxX + 5, pouch.Zip + (Teeth / 2)),
            new ZoneMaking
            {
                From = lay,
                Allows =
                [
                    ZipPouchParts.ZipStop.ElementId,
                    ZipPouchParts.ZipEnds.ElementId,
                    ZipPouchParts.ClosingSeam.ElementId,
                    ZipPouchParts.LiningSeam.ElementId,
                ],
            }
        );
        var slider = Box.Centred(Slider.Width, Slider.Height);
        yield return Zone(
            "slider-shut",
            "Zip slider, shut",
            slider.Moved(seam.MaxX + SliderShut, pouch.Zip),
            new ZoneMaking { From = lay, Until = open }
        );
        yield return Zone(
            "slider-open",
            "Zip slider, open",
            slider.Moved(pouch.SliderOpen, pouch.Zip),
            new ZoneMaking { From = open }
        );
    }

    /// <summary>A zone of the zip.</summary>
    internal static Element Zone(string part, string name, Box box, ZoneMaking zone) =>
        new()
        {
            Id = $"p-{part}",
            PatternPart = part,
            Name = name,
            IsLocked = true,
            Box = new ElementBox(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0),
            Form = new ShapeForm(new RectangleShape()),
            Making = zone,
        };

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
    /// <param name="linings">The linings behind them, mm.</param>
    /// <param name="tape">The least length of the zip's tape, mm.</param>
    /// <param name="stabiliser">What is hooped.</param>
    /// <param name="motif">The motif's.</param>
    internal static ImmutableArray<ClothNeed> Cloths(
        PatternStuff stuff,
        Box seam,
        Box cut,
        (Box Lower, Box Upper) panels,
        (Box Lower, Box Upper) linings,
        double tape,
        Cloth stabiliser,
        IEnumerable<ClothNeed> motif
    )
    {
        var fold = panels == linings ? Allowance : Pressed;
        ClothNeed Whole(Cloth cloth, string use) =>
            new(stuff.Of(cloth), use, cut.Width, cut.Height)
            {
                Lines = [new NeedLine(CutRole.Draw, "closing seam", Round(seam, 6))],
            };
        return
        [
            new(stuff.Of(stabiliser), "hooped alone", 0, 0),
            new(stuff.Of(ZipTape), "zip", tape, Tape, Advice: "nylon coil; longer is fine, it is cut off"),
            Panel(stuff.Of(Front), "front panel", seam, panels.Lower, Allowance, isLower: true),
            Panel(stuff.Of(Top), "top panel", seam, panels.Upper, Allowance, isLower: false),
            Whole(Back, "back"),
            Panel(stuff.Of(Lining), "lower lining", seam, linings.Lower, fold, isLower: true),
            Panel(stuff.Of(Lining), "upper lining", seam, linings.Upper, fold, isLower: false),
            Whole(Lining, "back lining"),
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

    internal static readonly Cloth SoftStabiliser = PatternCloths.Of(
        "soft-stabiliser",
        "soft cut-away stabiliser",
        "#f6f6f3",
        ClothKind.Stabiliser,
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
}
