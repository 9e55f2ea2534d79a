using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>A quilted rug for a mug and a biscuit, sewn face to face and turned through a gap in its lower side.</summary>
/// <remarks>Width and height grow; the gap, the allowances and the distance of the quilting lines keep their sizes.</remarks>
public sealed class FirstMugRug : IPattern
{
    private const double Beyond = 13;

    private const double Trimmed = 6;

    /// <summary>Quilting keeps this far from the seam, mm.</summary>
    private const double QuiltingInside = 8;

    /// <summary>Decoration keeps this far from the seam, mm.</summary>
    private const double DecorationInside = 12;

    public string Id => "mug-rug";

    public string Name => "Mug rug";

    public string Summary =>
        "A small quilted mat with a soft filling, sewn in one hooping and turned through a gap in its side.";

    public ImmutableArray<PatternNumberField> Numbers =>
        [
            new("width", "Width", 120, 330, 180),
            new("height", "Height", 90, 220, 130),
            new("radius", "Corner radius", 0, 40, 10),
            new("quilting", "Between quilting lines", 8, 60, 16),
            new("gap", "Turning gap", 60, 75, 65),
        ];

    public ImmutableArray<PatternFillIn> FillIns =>
        [new("words", "Words", "Tea", []), new("motif", "Motif", "Beet", Motifs.Names)];

    public ImmutableArray<HardwareStart> Hardware => [new("mug", "A mug, across its foot", 60, 140, 80)];

    /// <summary>Room for the mug with a finger's width round it, and as much again for the biscuit.</summary>
    public ImmutableArray<PatternNumber> FromHardware(string hardware, double size, PatternNumbers asked) =>
        [new("width", Math.Max(120, (2 * size) + 30)), new("height", Math.Max(90, size + 40))];

    public Refusal? Check(PatternNumbers numbers) =>
        numbers["width"] < numbers["gap"] + (2 * numbers["radius"]) + 20
            ? new Refusal(
                "gap-too-long",
                "gap",
                $"A gap of {numbers["gap"]:0.#} mm does not fit between the round corners of a side {numbers["width"]:0.#} mm long: "
                    + "make the rug wider or its corners smaller."
            )
            : null;

    public PatternPlan Make(PatternNumbers numbers, PatternUse use, PatternStuff stuff)
    {
        var seam = Box.Centred(numbers["width"], numbers["height"]);
        var cut = seam.Grown(Beyond);
        return new PatternPlan(
            [.. Lines(seam, numbers)],
            [.. Acts(stuff, seam, cut, numbers["gap"])],
            [new PatternPanel("p-front", "front", MugRugParts.Quilting.Line, Area(seam))],
            Places(seam),
            [
                new(stuff.Of(PatternCloths.Stabiliser), "hooped alone", 0, 0),
                new(
                    stuff.Of(PatternCloths.Batting),
                    "filling",
                    seam.Width + 10,
                    seam.Height + 10,
                    Advice: "trimmed in the hoop"
                )
                {
                    Lines = SeamOn(seam, numbers["radius"]),
                },
                new(stuff.Of(MugRug.Front), "front", cut.Width, cut.Height) { Lines = SeamOn(seam, numbers["radius"]) },
                new(stuff.Of(MugRug.Back), "back", cut.Width, cut.Height)
                {
                    Lines = SeamOn(seam, numbers["radius"], numbers["gap"]),
                },
                .. Motifs.ClothOf(this, use, stuff),
            ],
            [
                "Stabiliser: medium tear-away, larger than the hoop all round; what lies in the filling may stay.",
                "Needle: 75/11 embroidery.",
                $"Seam allowance {Trimmed:0} mm once it is cut out; leave {Beyond:0} mm at the turning gap, it turns in more easily.",
            ],
            seam.Grown(4)
        )
        {
            ClosingSeamId = MugRugParts.ClosingSeam.ElementId,
        };
    }

    private static ImmutableArray<NeedLine> SeamOn(Box seam, double radius, double gap = 0) =>
        [new(CutRole.Draw, "closing seam", Round(seam, radius, gap))];

    private static IEnumerable<Element> Lines(Box seam, PatternNumbers numbers)
    {
        var radius = numbers["radius"];
        yield return PatternLines.Line(MugRugParts.BattingPlace, "Filling", "placement", Mark, Round(seam, radius));
        yield return PatternLines.Line(
            MugRugParts.BattingTack,
            "Filling",
            "tack-down",
            Mark,
            Round(seam.Grown(-1), Math.Max(0, radius - 1))
        );
        yield return PatternLines.Line(
            MugRugParts.FrontTack,
            "Front",
            "tack-down",
            Mark,
            Round(seam.Grown(3), radius + 3)
        );
        yield return PatternLines.Line(
            MugRugParts.Quilting,
            "Front",
            "quilting",
            new LineSettings { StitchLength = 2.8 },
            [.. Quilting(seam.Grown(-QuiltingInside), numbers["quilting"])]
        );
        yield return PatternLines.Line(
            MugRugParts.ClosingSeam,
            "Mug rug",
            "closing seam",
            Seam,
            Round(seam, radius, numbers["gap"])
        );
    }

    /// <summary>Slanting lines across a box at a distance, to and fro, so that little thread is cut.</summary>
    private static IEnumerable<ImmutableArray<Curve>> Quilting(Box box, double apart)
    {
        // A line x + y = c at 45°; neighbours lie √2 · apart off along an axis.
        var step = apart * Math.Sqrt(2);
        var count = (int)Math.Floor((box.Width + box.Height) / step);
        var first = box.MinX + box.MinY + (((box.Width + box.Height) - (count * step)) / 2);
        for (var i = 0; i <= count; i++)
        {
            var c = first + (i * step);
            var (low, high) = (Math.Max(box.MinX, c - box.MaxY), Math.Min(box.MaxX, c - box.MinY));
            if (high - low < 4)
            {
                continue;
            }
            yield return i % 2 == 0 ? Straight(low, c - low, high, c - high) : Straight(high, c - high, low, c - low);
        }
    }

    private static IEnumerable<PatternAct> Acts(PatternStuff stuff, Box seam, Box cut, double gap)
    {
        var (batting, front, back) = (stuff.Of(PatternCloths.Batting), stuff.Of(MugRug.Front), stuff.Of(MugRug.Back));
        var laid = seam.Grown(5);
        yield return HoopUpStabiliser(stuff, cut);
        yield return SewAct.Line(MugRugParts.BattingPlace);
        yield return Hands(
            HandKind.Lay,
            MugRugHands.LayBatting,
            $"Lay the {batting.Name} over the line; it must be at least {LengthText.AtLeast(laid.Width, laid.Height)}.",
            null,
            "It covers the line all round.",
            changes: [Laid("p-batting", "Filling", batting, true, laid)]
        );
        yield return SewAct.Line(MugRugParts.BattingTack);
        yield return Hands(
            HandKind.Trim,
            MugRugHands.TrimBatting,
            "Take the hoop off the machine, leave the work in it, and trim the filling close to its tack-down.",
            "Do not cut the stabiliser.",
            hoopOff: true,
            changes: [new LayerTrimmed("p-batting", Area(seam.Grown(-0.5)))]
        );
        yield return Hands(
            HandKind.Lay,
            MugRugHands.LayFront,
            $"Lay the front ({front.Name}) face up over the filling; it must be at least {LengthText.AtLeast(cut.Width, cut.Height)}. Smooth it "
                + "and tape its corners.",
            null,
            "It lies smooth and reaches past the filling all round.",
            changes: [Laid("p-front", "Front", front, true, cut, role: LayerRole.Outer)]
        );
        yield return SewAct.Line(MugRugParts.FrontTack);
        yield return SewAct.Line(MugRugParts.Quilting) with
        {
            IsOptional = true,
        };
        yield return Hands(
            HandKind.Lay,
            MugRugHands.LayBack,
            $"Lay the back ({back.Name}) face down over everything, right sides together; it must be at least "
                + $"{LengthText.AtLeast(cut.Width, cut.Height)}. Tape its corners.",
            null,
            "It reaches past the front's tack-down all round, and no tape lies under the seam.",
            role: ActRole.LayClosing,
            changes: [Laid("p-back", "Back", back, false, cut, role: LayerRole.Outer)]
        );
        yield return SewAct.Line(MugRugParts.ClosingSeam, ActRole.ClosingSeam);
        yield return Finish(
            HandKind.CutOut,
            MugRugHands.CutOut,
            $"Take the work out of the hoop, tear the stabiliser away, and cut the rug out {Trimmed:0} mm outside the seam, {Beyond:0} mm at the "
                + "gap. Clip the corners.",
            "Do not cut into the seam."
        );
        yield return Finish(
            HandKind.Turn,
            MugRugHands.Turn,
            $"Turn the rug right side out through the gap of {gap:0} mm at its lower side, and push the corners out."
        );
        yield return Finish(
            HandKind.Press,
            MugRugHands.Press,
            "Fold the gap's edges in, press the rug flat, and close the gap by hand or with a line along the edge."
        );
    }

    private static ImmutableArray<FillInPlace> Places(Box seam)
    {
        var room = seam.Grown(-DecorationInside);
        var side = Math.Min(room.Height, Math.Min(room.Width * 0.4, 70));
        var motif = new Box(room.MinX, room.Centre.Y - (side / 2), room.MinX + side, room.Centre.Y + (side / 2));
        var tall = Math.Min(room.Height, 40);
        return
        [
            new FillInPlace("motif", "p-motif", motif, MugRug.Front.Id),
            new FillInPlace(
                "words",
                "p-words",
                new Box(motif.MaxX + 8, room.Centre.Y - (tall / 2), room.MaxX, room.Centre.Y + (tall / 2)),
                MugRug.Front.Id
            ),
        ];
    }
}
