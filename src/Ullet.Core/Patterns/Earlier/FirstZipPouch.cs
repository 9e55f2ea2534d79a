using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>The zip pouch as Ullet 0.6 made it, for projects that were made then: its closing seam goes all round on both sides of the
/// zip, so that it can't be turned. What is made anew is a <see cref="ZipPouch"/>.</summary>
public sealed class FirstZipPouch : IPattern
{
    private static readonly ZipPouch Now = new();

    /// <summary>The tape reached past the seams by this on both sides, mm.</summary>
    internal const double TapeEnds = 20;

    /// <summary>How far the zip is opened, share of the width.</summary>
    internal const double Opened = 0.6;

    /// <summary>From a fold to the line sewn along it, mm.</summary>
    private const double AlongFold = 2.5;

    public string Id => Now.Id;

    public string Name => Now.Name;

    public string Summary => Now.Summary;

    public ImmutableArray<PatternNumberField> Numbers =>
        [
            new("width", "Width", 90, 310, 180),
            new("height", "Height", 80, 220, 120),
            new("drop", "Zip below the top edge", 22, 80, 30),
        ];

    public ImmutableArray<PatternFillIn> FillIns => Now.FillIns;

    public ImmutableArray<HardwareStart> Hardware => [];

    public ImmutableArray<PatternNumber> FromHardware(string hardware, double size, PatternNumbers asked) => [];

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
        var cut = seam.Grown(ZipPouch.Beyond);
        var zip = seam.MinY + numbers["drop"];
        var (below, above) = (zip + ZipPouch.FromTeeth, zip - ZipPouch.FromTeeth);
        var lower = new Box(cut.MinX, below, cut.MaxX, cut.MaxY);
        var upper = new Box(cut.MinX, cut.MinY, cut.MaxX, above);
        return new PatternPlan(
            [.. Lines(seam, zip, below, above), .. Zones(seam, zip)],
            [.. FirstZipPouchSteps.Of(stuff, seam, cut, zip, lower, upper)],
            [
                new PatternPanel("p-front", "front panel", ZipPouchParts.TopStitchUpper.Line, Area(lower)),
                new PatternPanel("p-top", "top panel", ZipPouchParts.TopStitchUpper.Line, Area(upper)),
            ],
            FirstZipPouchCloths.Places(seam, below),
            FirstZipPouchCloths.Of(
                stuff,
                seam,
                cut,
                (lower, upper),
                seam.Width + (2 * TapeEnds),
                Motifs.ClothOf(this, use, stuff)
            ),
            [
                "Stabiliser: medium tear-away, larger than the hoop all round; it is torn away at the end.",
                "Needle: 75/11 embroidery. Interface thin cotton with a light fusible before it is cut.",
                $"Seam allowances: {ZipPouch.Allowance:0} mm along the zip, {ZipPouch.Trimmed:0} mm round the pouch once it is cut out.",
                "The zip must be nylon coil: the needle crosses its teeth.",
            ],
            seam.Grown(8)
        )
        {
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
            Across(zip - (ZipPouch.Tape / 2)),
            Across(zip + (ZipPouch.Tape / 2))
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipTack,
            "Zip",
            "tack-down",
            Hold,
            Across(zip - (ZipPouch.Tape / 2) + 3),
            Across(zip + (ZipPouch.Tape / 2) - 3)
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
        var (lay, open) = (ZipPouchHands.LayZip.Step, ZipPouchHands.OpenZip.Step);
        yield return PouchZones.Zone(
            "teeth",
            "Zip teeth",
            Box.Centred(seam.Width + 10, ZipPouch.Teeth).Moved(0, zip),
            new ZoneMaking
            {
                From = lay,
                Allows = [ZipPouchParts.ZipEnds.ElementId, ZipPouchParts.ClosingSeam.ElementId],
            }
        );
        var slider = Box.Centred(14, 16);
        yield return PouchZones.Zone(
            "slider-shut",
            "Zip slider, shut",
            slider.Moved(seam.MaxX + 14, zip),
            new ZoneMaking { From = lay, Until = open }
        );
        yield return PouchZones.Zone(
            "slider-open",
            "Zip slider, open",
            slider.Moved(seam.MaxX - (Opened * seam.Width), zip),
            new ZoneMaking { From = open }
        );
    }
}
