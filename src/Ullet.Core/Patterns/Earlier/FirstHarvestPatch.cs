using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>A patch in the form of a shield with a backing and a satin edge; several of them in one hoop share all steps.</summary>
/// <remarks>Width and height grow; the edge, the backing's inset and the distance between patches keep their sizes.</remarks>
public sealed class FirstHarvestPatch : IPattern
{
    /// <summary>Between the edges of neighbouring patches, mm: scissors go between.</summary>
    private const double Apart = 16;

    private const double Beyond = 12;

    /// <summary>The satin edge lies this far outside the outline, mm.</summary>
    private const double EdgeOutside = 1.6;

    /// <summary>Decoration keeps this far from the outline, mm.</summary>
    private const double Inside = 9;

    /// <summary>The backing is trimmed this far outside its tack-down, mm: still under the edge.</summary>
    private const double BackingLeft = 0.8;

    /// <summary>The line that holds the backing runs this far inside the outline, mm: under the edge.</summary>
    private const double BackingInset = 1.2;

    public string Id => "harvest-patch";

    public string Name => "Harvest patch";

    public string Summary =>
        "A shield-shaped patch with a felt backing and a satin edge; up to six of them in one hoop.";

    public ImmutableArray<PatternNumberField> Numbers =>
        [
            new("width", "Width", 45, 160, 80),
            new("height", "Height", 45, 180, 90),
            new("across", "Patches across", 1, 3, 1, IsCount: true),
            new("down", "Patches down", 1, 2, 1, IsCount: true),
        ];

    public ImmutableArray<PatternFillIn> FillIns =>
        [new("words", "Words", "Plot 14", []), new("motif", "Motif", "Beet", Motifs.Names)];

    public ImmutableArray<HardwareStart> Hardware => [];

    public ImmutableArray<PatternNumber> FromHardware(string hardware, double size, PatternNumbers asked) => [];

    public Refusal? Check(PatternNumbers numbers)
    {
        var all = All(numbers);
        return Hoop.Catalogue.Any(hoop => Fits(all, hoop) || Fits(all, hoop.Turned()))
            ? null
            : new Refusal(
                "patches-too-many",
                "across",
                $"{numbers.Count("across") * numbers.Count("down")} patches of this size take {all.Width:0} × {all.Height:0} mm; the largest "
                    + $"hoop has a field of {Hoop.Catalogue[^1].Name} mm. Ask for fewer or smaller ones."
            );
    }

    private static bool Fits(Box all, Hoop hoop) => Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Contains(all);

    private static Box All(PatternNumbers numbers)
    {
        var (across, down) = (numbers.Count("across"), numbers.Count("down"));
        return Box.Centred(
            (across * numbers["width"]) + ((across - 1) * Apart) + (2 * EdgeOutside) + 1,
            (down * numbers["height"]) + ((down - 1) * Apart) + (2 * EdgeOutside) + 1
        );
    }

    public PatternPlan Make(PatternNumbers numbers, PatternUse use, PatternStuff stuff)
    {
        var (width, height) = (numbers["width"], numbers["height"]);
        var shield = ShapeContours.Outline(new ShieldShape(), width, height);
        shield = shield.Transform(Affine.Translate(-shield.Bounds().Centre.X, -shield.Bounds().Centre.Y));
        var middles = Middles(numbers).ToList();
        var outlines = new Outline([.. middles.SelectMany(at => shield.Transform(Affine.Translate(at.X, at.Y)).Parts)]);
        var all = All(numbers);
        var laid = all.Grown(Beyond);
        var regions = outlines.Flatten();
        var patch = new Element
        {
            Id = HarvestPatchParts.Patch.ElementId,
            PatternPart = HarvestPatchParts.Patch.Name,
            Name = middles.Count > 1 ? "Patches" : "Patch",
            IsLocked = true,
            Form = new DrawingForm(DrawnElements.ShapeOf(outlines)),
            Box = BoxOf(outlines.Bounds()),
            Making = new ClothMaking
            {
                ClothId = HarvestPatch.Ground.Id,
                Method = Method.TrimInTheHoop,
                Stages = new StageSettings { Cover = new CoverSettings { Width = 4 } },
            },
        };
        var backing = PatternLines.Line(
            HarvestPatchParts.BackingTack,
            "Backing",
            "tack-down",
            Mark,
            [
                .. RegionOffset
                    .By(regions, -BackingInset)
                    .Select(region => ImmutableArray.CreateRange(Polyline(region.Shell))),
            ]
        );
        return new PatternPlan(
            [patch, backing],
            [.. Acts(stuff, laid, regions, middles.Count)],
            [
                new PatternPanel(
                    "p-patch",
                    middles.Count > 1 ? "patches" : "patch",
                    HarvestPatchParts.Patch.Step(StageId.TackDown),
                    regions
                ),
            ],
            [.. middles.SelectMany((at, i) => Places(at, width, height, i))],
            [
                new(stuff.Of(PatternCloths.Stabiliser), "hooped alone", 0, 0),
                new(stuff.Of(HarvestPatch.Ground), "patch", laid.Width, laid.Height),
                new(stuff.Of(HarvestPatch.Backing), "backing", laid.Width, laid.Height),
                .. Motifs.ClothOf(this, use, stuff),
            ],
            [
                "Stabiliser: medium tear-away; a wash-away one leaves no fluff at the edge.",
                "Needle: 75/11 embroidery.",
                "The edge shows on both sides: wind a bobbin with its thread.",
            ],
            all
        );
    }

    private static ElementBox BoxOf(Box box) => new(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0);

    private static IEnumerable<Curve> Polyline(Ring ring) =>
        ring.Points.Select((point, i) => Curve.Line(point, ring.Points[(i + 1) % ring.Points.Length]));

    private static IEnumerable<Point> Middles(PatternNumbers numbers)
    {
        var (across, down) = (numbers.Count("across"), numbers.Count("down"));
        var (stepX, stepY) = (numbers["width"] + Apart, numbers["height"] + Apart);
        for (var row = 0; row < down; row++)
        {
            for (var column = 0; column < across; column++)
            {
                yield return new Point((column - ((across - 1) / 2.0)) * stepX, (row - ((down - 1) / 2.0)) * stepY);
            }
        }
    }

    private static IEnumerable<PatternAct> Acts(PatternStuff stuff, Box laid, ImmutableArray<Region> patches, int count)
    {
        var one = count == 1;
        var (ground, backing) = (stuff.Of(HarvestPatch.Ground), stuff.Of(HarvestPatch.Backing));
        var thread = stuff.CoverThread(HarvestPatchParts.Patch) is { } name ? $" ({name})" : "";
        var what = one ? "the patch" : $"all {count} patches";
        yield return HoopUpStabiliser(stuff, laid);
        yield return new SewAct(HarvestPatchParts.Patch.Step(StageId.Placement));
        yield return Hands(
            HandKind.Lay,
            HarvestPatchHands.LayPatch,
            $"Lay {ground.Name} face up over the placement {(one ? "line" : "lines")}; one piece of at least "
                + $"{LengthText.AtLeast(laid.Width, laid.Height)} covers {what}. Tape its corners.",
            null,
            "It covers every line by a finger's width.",
            changes: [Laid("p-patch", one ? "Patch" : "Patches", ground, true, laid)]
        );
        yield return new SewAct(HarvestPatchParts.Patch.Step(StageId.TackDown));
        yield return Hands(
            HandKind.LayBehind,
            HarvestPatchHands.LayBacking,
            $"Take the hoop off, turn it over, and lay {backing.Name} face down over the back; one piece of at least "
                + $"{LengthText.AtLeast(laid.Width, laid.Height)} covers {what}. Tape its corners and turn the hoop back.",
            null,
            "It covers the stitching on the back by a finger's width all round.",
            hoopOff: true,
            role: ActRole.LayClosing,
            changes: [Laid("p-backing", "Backing", backing, true, laid, beneath: true)]
        );
        yield return SewAct.Line(HarvestPatchParts.BackingTack);
        yield return Hands(
            HandKind.Trim,
            HarvestPatchHands.TrimBoth,
            $"Take the hoop off the machine, leave the work in it, and trim {ground.Name} close to its tack-down on the front and "
                + $"{backing.Name} close to its own on the back.",
            "Do not cut the stitches, nor the stabiliser.",
            hoopOff: true,
            changes:
            [
                new LayerTrimmed("p-patch", patches),
                new LayerTrimmed("p-backing", RegionOffset.By(patches, BackingLeft - BackingInset)),
            ]
        );
        yield return Hands(
            HandKind.ChangeBobbin,
            HarvestPatchHands.Bobbin,
            $"Change the bobbin to one wound with the thread of the edge{thread}: the edge shows on the back.",
            null,
            "The bobbin has enough thread for the whole edge."
        );
        yield return new SewAct(HarvestPatchParts.Patch.Step(StageId.Cover), ActRole.ClosingSeam);
        yield return Finish(
            HandKind.CutOut,
            HarvestPatchHands.CutOut,
            $"Take the work out of the hoop and tear the stabiliser away from {what}; trim the thread ends, and singe or dab away what fluff "
                + "is left at the edge."
        );
    }

    private static IEnumerable<FillInPlace> Places(Point middle, double width, double height, int number)
    {
        // A shield is widest above its middle; words stand there, the motif below them.
        var across = width - (2 * Inside);
        var top = middle.Y - (height / 2) + Inside + (height * 0.08);
        var words = new Box(middle.X - (across / 2), top, middle.X + (across / 2), top + (height * 0.24));
        var side = Math.Min(width * 0.42, height * 0.4);
        var motif = new Box(middle.X - (side / 2), words.MaxY + 4, middle.X + (side / 2), words.MaxY + 4 + side);
        var suffix = number == 0 ? "" : $"-{number + 1}";
        yield return new FillInPlace("motif", $"p-motif{suffix}", motif, HarvestPatch.Ground.Id);
        yield return new FillInPlace("words", $"p-words{suffix}", words, HarvestPatch.Ground.Id);
    }
}
