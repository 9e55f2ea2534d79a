using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>A patch with a satin edge and, if wanted, a backing; several of them in one hoop share all steps.</summary>
/// <remarks>Width and height grow; the edge, the backing's inset and the distance between patches keep their sizes.</remarks>
public sealed class HarvestPatch : IPattern
{
    /// <summary>Between the edges of neighbouring patches, mm: scissors go between.</summary>
    private const double Apart = 16;

    private const double Beyond = 12;

    /// <summary>The satin edge lies this far outside the outline, mm.</summary>
    internal const double EdgeOutside = 1.6;

    /// <summary>The line that holds the backing runs this far inside the outline, mm: under the edge.</summary>
    internal const double BackingInset = 1.2;

    /// <summary>The backing is trimmed this far outside its tack-down, mm: still under the edge.</summary>
    internal const double BackingLeft = 0.8;

    /// <summary>A fusible backing is cut this much smaller than the outline, mm: it ends on the edge's inner half.</summary>
    internal const double FusibleSmaller = 1.5;

    /// <summary>The basting box lies this far outside the edges, mm: in cloth that is trimmed away.</summary>
    private const double BastingOutside = 6;

    internal const string BackId = "back";
    internal const string BackFelt = "felt";
    internal const string BackFusible = "fusible";
    internal const string BackNone = "none";

    public int Making => 2;

    public string? Gain =>
        "it is sewn on wash-away, which leaves no fluff at the edge, and its back may be felt, fusible or none";

    public string Id => "harvest-patch";

    public string Name => "Harvest patch";

    public string Summary =>
        "A patch with a satin edge, with a felt back, a fusible one or none; up to six of them in one hoop.";

    public ImmutableArray<PatternNumberField> Numbers =>
        [
            new("width", "Width", 45, 160, 80),
            new("height", "Height", 45, 180, 90),
            new("across", "Patches across", 1, 3, 1, IsCount: true),
            new("down", "Patches down", 1, 2, 1, IsCount: true),
        ];

    public ImmutableArray<PatternChoice> Choices =>
        [
            SeamForms.Choice(
                SeamForms.Shield,
                SeamForms.Rounded,
                SeamForms.Oval,
                SeamForms.Hexagon,
                SeamForms.Heart,
                SeamForms.HalfRound,
                SeamForms.Scalloped
            ),
            new(
                BackId,
                "Back",
                BackFelt,
                [
                    new(BackFelt, "felt") { Sentence = "Felt is sewn in behind, under the edge." },
                    new(BackFusible, "fusible")
                    {
                        Sentence = "A fusible back is pressed on at the end, off the machine.",
                    },
                    new(BackNone, "none") { Sentence = "The back shows the bobbin thread; the patch is sewn on." },
                ]
            ),
            PatternHold.Choice(PatternHold.Tape, PatternHold.Spray, PatternHold.Sticky, PatternHold.Baste),
        ];

    public ImmutableArray<PatternFillIn> FillIns =>
        [new("words", "Words", "Plot 14", []), new("motif", "Motif", "Beet", Motifs.Names)];

    public ImmutableArray<HardwareStart> Hardware => [];

    public ImmutableArray<PatternNumber> FromHardware(string hardware, double size, PatternNumbers asked) => [];

    public Refusal? Check(PatternNumbers numbers)
    {
        var all = Sewn(numbers);
        if (!Hoop.Catalogue.Any(hoop => Fits(all, hoop) || Fits(all, hoop.Turned())))
        {
            return new Refusal(
                "patches-too-many",
                "across",
                $"{numbers.Count("across") * numbers.Count("down")} patches of this size take {all.Width:0} × {all.Height:0} mm; the largest "
                    + $"hoop has a field of {Hoop.Catalogue[^1].Name} mm. Ask for fewer or smaller ones."
            );
        }
        return FormOf(numbers)
            .Then(form =>
                PatchRooms.Of(form).IsEnough
                    ? (Result<SeamForm>)form
                    : new Refusal(
                        "patch-too-narrow",
                        numbers["width"] <= numbers["height"] ? "width" : "height",
                        $"This outline leaves less than {PatchRooms.LeastWords:0} mm for words above a motif of {PatchRooms.LeastMotif:0} × {PatchRooms.LeastMotif:0} mm, the smallest "
                            + "that can be covered: make the patch larger or choose another outline."
                    )
            )
            .Refusal;
    }

    private static Result<SeamForm> FormOf(PatternNumbers numbers) =>
        SeamForms.Of(numbers, numbers["width"], numbers["height"], 8);

    private static bool Fits(Box all, Hoop hoop) => Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Contains(all);

    private static Box All(PatternNumbers numbers)
    {
        var (across, down) = (numbers.Count("across"), numbers.Count("down"));
        return Box.Centred(
            (across * numbers["width"]) + ((across - 1) * Apart) + (2 * EdgeOutside) + 1,
            (down * numbers["height"]) + ((down - 1) * Apart) + (2 * EdgeOutside) + 1
        );
    }

    /// <summary>What the stitching of all takes: with the basting round them, where there is one.</summary>
    private static Box Sewn(PatternNumbers numbers) =>
        All(numbers).Grown(PatternHold.Of(numbers) == PatternHold.Baste ? BastingOutside : 0);

    public PatternPlan Make(PatternNumbers numbers, PatternUse use, PatternStuff stuff)
    {
        var form = FormOf(numbers).Value;
        var middles = Middles(numbers).ToList();
        var outline = new Outline([new OutlinePart(form.Contour, [])]);
        var outlines = new Outline([.. middles.SelectMany(at => outline.Moved(at.X, at.Y).Parts)]);
        var all = All(numbers);
        var laid = all.Grown(Beyond);
        var regions = outlines.Flatten();
        var (back, hold) = (numbers.Choice(BackId), PatternHold.Of(numbers));
        var name = middles.Count > 1 ? "Patches" : "Patch";
        var patch = new Element
        {
            Id = HarvestPatchParts.Patch.ElementId,
            PatternPart = HarvestPatchParts.Patch.Name,
            Name = name,
            IsLocked = true,
            Form = new DrawingForm(DrawnElements.ShapeOf(outlines)),
            Box = BoxOf(outlines.Bounds()),
            Making = new ClothMaking
            {
                ClothId = Ground.Id,
                Method = Method.TrimInTheHoop,
                Stages = new StageSettings { Cover = new CoverSettings { Width = 4 } },
            },
        };
        var inner = form.Grown(-BackingInset).Whole();
        return new PatternPlan(
            [
                patch,
                .. back == BackFelt
                    ?
                    [
                        PatternLines.Line(
                            HarvestPatchParts.BackingTack,
                            "Backing",
                            "tack-down",
                            Mark,
                            [.. middles.Select(at => Moved(inner, at))]
                        ),
                    ]
                    : Array.Empty<Element>(),
                .. hold == PatternHold.Baste
                    ?
                    [
                        new Element
                        {
                            Id = HarvestPatchParts.Basting.ElementId,
                            PatternPart = HarvestPatchParts.Basting.Name,
                            Name = name,
                            IsLocked = true,
                            Box = BoxOf(Sewn(numbers)),
                            Form = new ShapeForm(new RectangleShape(2)),
                            Making = new BastingMaking(),
                        },
                    ]
                    : Array.Empty<Element>(),
            ],
            [.. HarvestPatchSteps.Of(stuff, new PatchWork(laid, form, regions, middles.Count, back, hold))],
            [
                new PatternPanel(
                    "p-patch",
                    name.ToLowerInvariant(),
                    HarvestPatchParts.Patch.Step(StageId.TackDown),
                    regions
                ),
            ],
            [.. middles.SelectMany((at, i) => PatchRooms.Of(form).Places(at, i))],
            [
                new(stuff.Of(HarvestPatchSteps.Stabiliser(hold)), "hooped alone", 0, 0),
                new(stuff.Of(Ground), "patch", laid.Width, laid.Height),
                .. Backs(stuff, form, laid, middles.Count, back),
                .. Motifs.ClothOf(this, use, stuff),
            ],
            [
                $"Stabiliser: a {(hold == PatternHold.Sticky ? "sticky" : "firm")} wash-away, larger than the hoop all round; it leaves no fluff at the edge.",
                "Needle: 75/11 embroidery.",
                .. back == BackNone
                    ? Array.Empty<string>()
                    : ["The edge shows on both sides: wind a bobbin with its thread."],
            ],
            Sewn(numbers)
        )
        {
            Behind = back == BackFelt ? laid : null,
            Order = middles.Count > 1 ? StitchOrder.Together : null,
        };
    }

    private static IEnumerable<ClothNeed> Backs(PatternStuff stuff, SeamForm form, Box laid, int count, string back) =>
        back switch
        {
            BackFelt => [new(stuff.Of(Backing), "backing", laid.Width, laid.Height)],
            BackFusible =>
            [
                new(
                    stuff.Of(Fusible),
                    "fusible back",
                    form.Bounds.Width - (2 * FusibleSmaller),
                    form.Bounds.Height - (2 * FusibleSmaller),
                    count,
                    "cut along the drawn line"
                )
                {
                    Lines = [new NeedLine(CutRole.Draw, "edge of the back", form.Grown(-FusibleSmaller).Whole())],
                },
            ],
            BackNone => [],
            _ => throw new ArgumentException($"No back is called {back}.", nameof(back)),
        };

    private static ImmutableArray<Curve> Moved(ImmutableArray<Curve> curves, Point by)
    {
        var map = Affine.Translate(by.X, by.Y);
        return [.. curves.Select(curve => curve.Transform(map))];
    }

    private static ElementBox BoxOf(Box box) => new(box.Centre.X, box.Centre.Y, box.Width, box.Height, 0);

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

    internal static readonly Cloth Ground = PatternCloths.Of("ground", "oat twill", "#d9ccaf", ClothKind.Denim);

    internal static readonly Cloth Backing = PatternCloths.Of(
        "backing",
        "slate felt",
        "#59646f",
        ClothKind.Felt,
        ClothTexture.Plain
    );

    internal static readonly Cloth Fusible = PatternCloths.Of(
        "fusible",
        "double-sided fusible web",
        "#f2efe6",
        ClothKind.Organza,
        ClothTexture.Plain
    );
}

/// <summary>What the steps of patches read.</summary>
/// <param name="Laid">What is laid for all of them, mm.</param>
/// <param name="Form">One of them about the field's centre.</param>
/// <param name="Patches">All of them, mm.</param>
/// <param name="Count">How many.</param>
/// <param name="Back">What their back is made of: an option's id.</param>
/// <param name="Hold">What keeps their cloth still.</param>
internal sealed record PatchWork(
    Box Laid,
    SeamForm Form,
    ImmutableArray<Region> Patches,
    int Count,
    string Back,
    PatternHold Hold
);
