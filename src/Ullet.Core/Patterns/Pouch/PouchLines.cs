using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternLines;

namespace Ullet.Core.Patterns;

/// <summary>The lines that are sewn for a zip pouch.</summary>
internal static class PouchLines
{
    /// <summary>Lines along the zip reach this far past the closing seam, mm.</summary>
    private const double Past = 5;

    /// <summary>Bars across the tape lie this far outside the closing seam, mm.</summary>
    private const double BarOutside = 4;

    private static readonly LineSettings Once = Seam with { Passes = 1 };

    internal static IEnumerable<Element> Of(PouchSizes pouch) => [.. Front(pouch), .. Closing(pouch)];

    private static IEnumerable<Element> Front(PouchSizes pouch)
    {
        var (zip, band) = (pouch.Zip, pouch.Band);
        ImmutableArray<Curve> Across(double y) => Straight(band.Left - Past, y, band.Right + Past, y);
        ImmutableArray<Curve> Bar(double x) => Straight(x, zip - 6, x, zip + 6);
        yield return PatternLines.Line(
            ZipPouchParts.ZipPlace,
            "Zip",
            "placement",
            Mark,
            [
                Across(zip - (ZipPouch.Tape / 2)),
                Across(zip),
                Across(zip + (ZipPouch.Tape / 2)),
                .. CornerMarks(pouch.Cut),
            ]
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipTack,
            "Zip",
            "tack-down with the panels' lines",
            Hold,
            Across(pouch.Above - ZipPouch.Allowance),
            Across(pouch.Below + ZipPouch.Allowance)
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipStop,
            "Zip",
            "bar at its closed end",
            new LineSettings { Kind = LineKind.Bean },
            Bar(band.Left - BarOutside)
        );
        yield return PatternLines.Line(
            ZipPouchParts.FrontSeam,
            "Front panel",
            "seam along the zip",
            Seam,
            Across(pouch.Below)
        );
        var basted = pouch.Form.Grown(ZipPouch.BasteOutside);
        yield return PatternLines.Line(
            ZipPouchParts.FrontBaste,
            "Front panel",
            "basting in its seam allowance",
            Mark,
            [.. basted.Beyond(pouch.Below + ZipPouch.Allowance, below: true), .. LoopMarks(pouch)]
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
            [.. basted.Beyond(pouch.Above - ZipPouch.Allowance, below: false)]
        );
        yield return PatternLines.Line(
            ZipPouchParts.TopStitch,
            pouch.Variant.HasLining ? "Linings" : "Panels",
            "lines along the folds",
            new LineSettings { StitchLength = 2.8 },
            Across(pouch.Below + ZipPouch.AlongFold),
            Across(pouch.Above - ZipPouch.AlongFold)
        );
        yield return PatternLines.Line(
            ZipPouchParts.ZipEnds,
            "Zip",
            "bar at its open end",
            new LineSettings { Kind = LineKind.Bean },
            Bar(band.Right + BarOutside)
        );
    }

    private static IEnumerable<Element> Closing(PouchSizes pouch)
    {
        var whole = pouch.Form.Whole();
        yield return PatternLines.Line(
            ZipPouchParts.ClosingSeam,
            "Pouch",
            pouch.Variant.HasGap ? "closing seam 1" : "closing seam",
            pouch.Variant.HasGap ? Once : Seam,
            pouch.Gap is { } again ? [whole, again.Open] : [whole]
        );
        if (pouch.Variant.HasGap)
        {
            yield return PatternLines.Line(
                ZipPouchParts.LiningSeam,
                "Lining",
                "closing seam 2",
                Once,
                pouch.Gap?.Sewn ?? whole
            );
        }
        else
        {
            yield return PatternLines.Line(
                ZipPouchParts.Zigzag,
                "Pouch",
                "zigzag over the allowance",
                new LineSettings { Kind = LineKind.Zigzag },
                pouch.Form.Grown(ZipPouch.ZigzagOutside).Whole()
            );
        }
    }

    /// <summary>Two short lines on the front panel's allowance, in line with the sides of the ribbon.</summary>
    private static IEnumerable<ImmutableArray<Curve>> LoopMarks(PouchSizes pouch)
    {
        if (pouch.Loop is not { } loop)
        {
            yield break;
        }
        var outward = loop.IsLeft ? -1 : 1;
        foreach (var y in new[] { loop.Area.MinY, loop.Area.MaxY })
        {
            yield return Straight(loop.Seam.X + (outward * 5), y, loop.Seam.X + (outward * 11), y);
        }
    }

    /// <summary>Two short lines outside each corner of the back, in line with its sides: they stay in sight beyond the panels.</summary>
    private static IEnumerable<ImmutableArray<Curve>> CornerMarks(Box cut)
    {
        foreach (var (x, outX) in new[] { (cut.MinX, -1.0), (cut.MaxX, 1.0) })
        {
            foreach (var (y, outY) in new[] { (cut.MinY, -1.0), (cut.MaxY, 1.0) })
            {
                var (near, far) = (ZipPouch.MarkOff, ZipPouch.MarkOff + ZipPouch.MarkLength);
                yield return Straight(x + (outX * near), y, x + (outX * far), y);
                yield return Straight(x, y + (outY * near), x, y + (outY * far));
            }
        }
    }
}
