using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>A quilted rug for a mug and a biscuit, sewn face to face and turned through a gap in its edge.</summary>
/// <remarks>Width and height grow; the gap, the allowances and the distance of the quilting lines keep their sizes.</remarks>
public sealed class MugRug : IPattern
{
    internal const double Beyond = 13;

    internal const double Trimmed = 6;

    /// <summary>The filling is tacked down this far outside the seam, mm: the closing seam catches it.</summary>
    internal const double BattingTack = 1.5;

    /// <summary>What scissors leave of the filling outside the seam, mm.</summary>
    internal const double BattingLeft = 2.5;

    /// <summary>The front is held this far outside the seam, mm.</summary>
    internal const double FrontTack = 4;

    /// <summary>Quilting runs this far past the seam, mm: its ends lie in the allowance.</summary>
    private const double QuiltingPast = 2.5;

    /// <summary>Quilting keeps this far from words and motif, mm.</summary>
    internal const double QuiltingClear = 4;

    /// <summary>The seam turns outwards at both ends of the gap by this, mm: the allowance folds in there by itself, and the gap is
    /// marked on the back.</summary>
    private const double GapEnds = 9;

    /// <summary>Decoration keeps this far from the seam, mm.</summary>
    private const double DecorationInside = 12;

    public int Making => 2;

    public string? Gain =>
        "its seam catches the filling, its gap is marked on the back, and its quilting runs out under the seam";

    public string Id => "mug-rug";

    public string Name => "Mug rug";

    public string Summary =>
        "A small quilted mat with a soft filling, sewn in one hooping and turned through a gap in its edge.";

    public ImmutableArray<PatternNumberField> Numbers =>
        [
            new("width", "Width", 120, 330, 180),
            new("height", "Height", 90, 220, 130),
            new("radius", "Corner radius", 0, 40, 10)
            {
                Only = new PatternCondition(SeamForms.ChoiceId, [SeamForms.Rounded.Id]),
            },
            new("quilting", "Between quilting lines", 8, 60, 16),
            new("gap", "Turning gap", 60, 75, 65),
        ];

    public ImmutableArray<PatternChoice> Choices =>
        [
            SeamForms.Choice(
                SeamForms.Rounded,
                SeamForms.Oval,
                SeamForms.HalfRound,
                SeamForms.Scalloped,
                SeamForms.Bell,
                SeamForms.Hexagon,
                SeamForms.Heart
            ),
            PatternHold.Choice(PatternHold.Tape, PatternHold.Spray, PatternHold.Sticky),
        ];

    public ImmutableArray<PatternFillIn> FillIns =>
        [new("words", "Words", "Tea", []), new("motif", "Motif", "Beet", Motifs.Names)];

    public ImmutableArray<HardwareStart> Hardware => [new("mug", "A mug, across its foot", 60, 140, 80)];

    /// <summary>Room for the mug with a finger's width round it, and as much again for the biscuit.</summary>
    public ImmutableArray<PatternNumber> FromHardware(string hardware, double size, PatternNumbers asked) =>
        [new("width", Math.Max(120, (2 * size) + 30)), new("height", Math.Max(90, size + 40))];

    public Refusal? Check(PatternNumbers numbers) => RugForm(numbers).Refusal;

    /// <summary>The seam with its gap, or why it can't be had.</summary>
    private static Result<SeamGap> RugForm(PatternNumbers numbers) =>
        SeamForms
            .Of(numbers, numbers["width"], numbers["height"], numbers["radius"])
            .Then(form =>
                form.Gap(numbers["gap"], double.NegativeInfinity) is { } gap && gap.Length >= numbers["gap"] - 1e-6
                    ? (Result<SeamGap>)gap
                    : new Refusal(
                        "gap-too-long",
                        "gap",
                        $"A gap of {numbers["gap"]:0.#} mm with a little seam on both sides does not fit between the corners of this rug: "
                            + "make the rug larger, its corners smaller, or choose another outline."
                    )
            );

    public PatternPlan Make(PatternNumbers numbers, PatternUse use, PatternStuff stuff)
    {
        var gap = RugForm(numbers).Value;
        var form = gap.Form;
        var (cut, hold) = (form.Bounds.Grown(Beyond), PatternHold.Of(numbers));
        return new PatternPlan(
            [.. Lines(gap, numbers)],
            [.. MugRugSteps.Of(stuff, gap, cut, hold)],
            [new PatternPanel("p-front", "front", MugRugParts.FrontTack.Line, form.Area)],
            Places(form),
            [
                new(stuff.Of(MugRugSteps.Stabiliser(hold)), "hooped alone", 0, 0),
                new(
                    stuff.Of(PatternCloths.Batting),
                    "filling",
                    MugRugSteps.Filling(form).Width,
                    MugRugSteps.Filling(form).Height,
                    Advice: "trimmed in the hoop"
                )
                {
                    Lines = [SeamOn(form)],
                },
                new(
                    stuff.Of(Front),
                    "front",
                    cut.Width,
                    cut.Height,
                    Advice: "thin cotton takes a light fusible interfacing before it is cut"
                )
                {
                    Lines = [SeamOn(form)],
                },
                new(stuff.Of(Back), "back", cut.Width, cut.Height)
                {
                    Lines =
                    [
                        new(CutRole.Draw, "closing seam", gap.Sewn),
                        .. gap.Marks(Beyond).Select(mark => new NeedLine(CutRole.Draw, "end of the gap", mark)),
                    ],
                },
                .. Motifs.ClothOf(this, use, stuff),
            ],
            [
                $"Stabiliser: {(hold == PatternHold.Sticky ? "sticky" : "medium")} tear-away, larger than the hoop all round; what lies in the filling may stay.",
                "Needle: 75/11 embroidery.",
                $"Seam allowance {Trimmed:0} mm once it is cut out; leave {Beyond:0} mm at the turning gap, it turns in more easily.",
            ],
            form.Grown(GapEnds).Bounds
        )
        {
            ClosingSeamId = MugRugParts.ClosingSeam.ElementId,
            KeepsOut = [new PatternKeepOut(MugRugParts.Quilting.ElementId, QuiltingClear)],
        };
    }

    private static NeedLine SeamOn(SeamForm form) => new(CutRole.Draw, "closing seam", form.Whole());

    private static IEnumerable<Element> Lines(SeamGap gap, PatternNumbers numbers)
    {
        var form = gap.Form;
        yield return PatternLines.Line(MugRugParts.BattingPlace, "Filling", "placement", Mark, form.Whole());
        yield return PatternLines.Line(
            MugRugParts.BattingTack,
            "Filling",
            "tack-down",
            Mark,
            form.Grown(BattingTack).Whole()
        );
        yield return PatternLines.Line(
            MugRugParts.FrontTack,
            "Front",
            "tack-down",
            Mark,
            form.Grown(FrontTack).Whole()
        );
        yield return PatternLines.Line(
            MugRugParts.Quilting,
            "Front",
            "quilting",
            new LineSettings { StitchLength = 2.8 },
            [.. QuiltingLines.Of(form.Grown(QuiltingPast), numbers["quilting"])]
        );
        var ends = gap.Marks(GapEnds).Select(mark => mark[0]).ToList();
        yield return PatternLines.Line(
            MugRugParts.ClosingSeam,
            "Mug rug",
            "closing seam",
            Seam,
            [ends[1].Reversed(), .. gap.Sewn, ends[0]]
        );
    }

    private static ImmutableArray<FillInPlace> Places(SeamForm form)
    {
        var room = form.Grown(-DecorationInside).Room(form.Bounds.MinY, form.Bounds.MaxY);
        var side = Math.Min(room.Height, Math.Min(room.Width * 0.4, 70));
        var motif = new Box(room.MinX, room.Centre.Y - (side / 2), room.MinX + side, room.Centre.Y + (side / 2));
        var tall = Math.Min(room.Height, 40);
        return
        [
            new FillInPlace("motif", "p-motif", motif, Front.Id),
            new FillInPlace(
                "words",
                "p-words",
                new Box(motif.MaxX + 8, room.Centre.Y - (tall / 2), room.MaxX, room.Centre.Y + (tall / 2)),
                Front.Id
            ),
        ];
    }

    internal static readonly Cloth Front = PatternCloths.Of("front", "oat linen", "#e6dcc6", ClothKind.Linen);

    internal static readonly Cloth Back = PatternCloths.Of(
        "back",
        "slate dotted cotton",
        "#5b6b7d",
        texture: ClothTexture.Dotted
    );
}
