using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>A pouch with a zip in its front: lined with hidden seams, lined in a quick way, or unlined.</summary>
/// <remarks>Only width, height and the zip's height above the bottom grow; seams, allowances and the zip keep their sizes.</remarks>
public sealed class ZipPouch : IPattern
{
    /// <summary>Cloth beyond the closing seam when it is laid, mm; trimmed to <see cref="Trimmed"/> afterwards.</summary>
    internal const double Beyond = 13;

    internal const double Trimmed = 6;

    /// <summary>Radius of the corners of a rounded pouch, mm.</summary>
    internal const double Corner = 6;

    /// <summary>The same where the allowance stays inside and is not clipped, mm.</summary>
    internal const double RawCorner = 15;

    /// <summary>A zigzag over the raw allowance runs this far outside the closing seam, mm: its middle.</summary>
    internal const double ZigzagOutside = 3.5;

    /// <summary>Width of the tape of a nylon-coil zip, mm.</summary>
    internal const double Tape = 30;

    /// <summary>From the middle of the teeth to the folded edge of a panel, mm.</summary>
    internal const double FromTeeth = 7;

    /// <summary>Cloth between a panel's raw edge and its seam, mm.</summary>
    internal const double Allowance = 6;

    /// <summary>From a panel's fold to the line along it, which holds the lining behind, mm.</summary>
    internal const double AlongFold = 5;

    /// <summary>The lining's pressed edge lies nearer to the panel's body than the panel's fold by this, mm: it does not peep out.</summary>
    internal const double LiningBack = 1;

    /// <summary>What is pressed under along an edge of a lining, mm.</summary>
    internal const double Pressed = 10;

    /// <summary>The tape reaches past the seam by this where the zip ends, mm.</summary>
    internal const double StopEnd = 15;

    /// <summary>The same at the slider's end: the slider, the presser foot's radius, a tail.</summary>
    internal const double SliderEnd = 45;

    /// <summary>The teeth reach past the seam by this where the zip ends, mm: the metal stop lies clear of the bar.</summary>
    private const double TeethStopEnd = 8;

    /// <summary>The same at the slider's end, up to the top of the closed slider.</summary>
    private const double TeethSliderEnd = 40;

    /// <summary>The middle of the slider when the zip is shut lies this far past the seam, mm.</summary>
    internal const double SliderShut = 27;

    /// <summary>How far the zip is opened before the closing layer goes on, share of the width: half to two thirds.</summary>
    internal const double Opened = 0.65;

    /// <summary>The slot in the stabiliser behind the teeth: how wide it is, and how far from the side seams it ends, mm.</summary>
    internal const double Slot = 10;

    /// <summary>What is left at the gap when the pouch is cut out, mm.</summary>
    internal const double LeftAtGap = 12;

    /// <summary>Marks for the corners of the back begin this far outside of them and are so long, mm.</summary>
    internal const double MarkOff = 1;
    internal const double MarkLength = 3;

    /// <summary>Basting runs this far outside the closing seam, mm: in the allowance, which holds it for good.</summary>
    internal const double BasteOutside = 3;

    /// <summary>Decoration keeps this far from seams and folds, mm.</summary>
    private const double Inside = 8;

    /// <summary>The number that says how long the gap is.</summary>
    internal const string GapId = "gap";

    /// <summary>What the teeth take, mm.</summary>
    internal const double Teeth = 8;

    /// <summary>What the slider takes with the presser foot's usual radius round it, mm.</summary>
    internal static readonly Box Slider = ZipSlider.Taken.Grown(Hooping.UsualFootRadius);

    public int Making => 2;

    public string Id => "zip-pouch";

    public string Name => "Zip pouch";

    public string Summary =>
        "A pouch with a zip across its front, sewn in one hooping: lined with no raw seam inside, quick, or unlined.";

    public ImmutableArray<PatternNumberField> Numbers =>
        [
            new("width", "Width", 90, 310, 180),
            new("height", "Height", 80, 205, 120),
            new("drop", "Zip below the top edge", 22, 80, 30),
            new(GapId, "Gap in the lining, at most", 0, 120, 70)
            {
                Only = new PatternCondition(PouchVariant.ChoiceId, [PouchVariant.Lined.Id]),
            },
        ];

    public ImmutableArray<PatternChoice> Choices =>
        [
            PouchVariant.Choice,
            SeamForms.Choice(SeamForms.Rounded, SeamForms.Bell, SeamForms.Scalloped, SeamForms.HalfRound),
            PouchLoop.Choice,
        ];

    public ImmutableArray<PatternFillIn> FillIns =>
        [new("name", "Name on the front", "Seeds", []), new("motif", "Motif beside it", "Leaf", Motifs.Names)];

    public ImmutableArray<HardwareStart> Hardware =>
        [
            new("zip", "A zip, its tape measured", 150, 370, 240),
            new("zip-teeth", "A zip, its teeth measured, stop to slider", 140, 355, 200),
        ];

    /// <summary>The greatest width at whose zip the tape, or the teeth, reach far enough past the seams.</summary>
    public ImmutableArray<PatternNumber> FromHardware(string hardware, double size, PatternNumbers asked)
    {
        var atZip = size - (hardware == "zip" ? StopEnd + SliderEnd : TeethStopEnd + TeethSliderEnd);
        var (low, high) = (atZip, 2 * atZip);
        for (var i = 0; i < 40; i++)
        {
            Budget.Spend();
            var width = (low + high) / 2;
            var fits =
                PouchSizes.Of(asked.With("width", width)) is { IsOk: true } pouch
                && pouch.Value.Band.Right - pouch.Value.Band.Left <= atZip + 1e-9;
            (low, high) = fits ? (width, high) : (low, width);
        }
        // Down to a tenth: the tape is then a hair longer than it must be.
        return [new("width", Math.Floor((low * 10) + 1e-6) / 10)];
    }

    public Refusal? Check(PatternNumbers numbers) => PouchSizes.Of(numbers).Refusal;

    public PatternPlan Make(PatternNumbers numbers, PatternUse use, PatternStuff stuff)
    {
        var pouch = PouchSizes.Of(numbers).Value;
        return new PatternPlan(
            [.. PouchLines.Of(pouch), .. PouchZones.Of(pouch)],
            [.. ZipPouchSteps.Of(stuff, pouch)],
            [
                new PatternPanel("p-front", "front panel", ZipPouchParts.TopBaste.Line, Area(pouch.Lower)),
                new PatternPanel("p-top", "top panel", ZipPouchParts.TopBaste.Line, Area(pouch.Upper)),
            ],
            Places(pouch),
            PouchCloths.Of(stuff, pouch, Motifs.ClothOf(this, use, stuff)),
            [.. Advice(pouch)],
            pouch.Cut.Grown(MarkOff + MarkLength)
        )
        {
            ClosingSeamId = ZipPouchParts.ClosingSeam.ElementId,
            SeenLineIds = [ZipPouchParts.TopStitch.ElementId],
        };
    }

    private static IEnumerable<string> Advice(PouchSizes pouch)
    {
        yield return pouch.Variant.HasLining
            ? "Stabiliser: a soft cut-away, larger than the hoop all round; what lies behind the panels stays in for good."
            : "Stabiliser: a medium tear-away, larger than the hoop all round; it is torn away before the pouch is turned.";
        yield return "Needle: 75/11 embroidery.";
        if (pouch.Variant.HasLining)
        {
            yield return $"Press one long edge of both front linings under by {Pressed:0} mm, wrong sides together, before you begin.";
        }
        yield return $"Seam allowances: {Allowance:0} mm along the zip, {Trimmed:0} mm round the pouch once it is cut out"
            + (pouch.Gap is null ? "." : $", {LeftAtGap:0} mm at the gap.");
        yield return "The zip must be nylon coil: the needle crosses its teeth.";
        yield return "Tape: one that washes away or tears off without a trace, on the back of the hoop too.";
    }

    /// <summary>The motif at the left and the name beside it, in the largest room that the front panel has.</summary>
    private static ImmutableArray<FillInPlace> Places(PouchSizes pouch)
    {
        var room = pouch.Form.Grown(-Inside).Room(pouch.Below + Inside, pouch.Form.Bounds.MaxY - Inside);
        if (pouch.Loop is { } loop)
        {
            // What is sewn there would lie under the folded ribbon.
            room = loop.IsLeft
                ? room with
                {
                    MinX = Math.Max(room.MinX, loop.Area.MaxX + (Inside / 2)),
                }
                : room with
                {
                    MaxX = Math.Min(room.MaxX, loop.Area.MinX - (Inside / 2)),
                };
        }
        var side = Math.Min(Math.Min(room.Height, room.Width / 4), 40);
        var motif = new Box(room.MinX, room.Centre.Y - (side / 2), room.MinX + side, room.Centre.Y + (side / 2));
        var tall = Math.Min(room.Height, 34);
        return
        [
            new FillInPlace("motif", "p-motif", motif, PouchCloths.Front.Id),
            new FillInPlace(
                "name",
                "p-name",
                new Box(motif.MaxX + 8, room.Centre.Y - (tall / 2), room.MaxX, room.Centre.Y + (tall / 2)),
                PouchCloths.Front.Id
            ),
        ];
    }
}
