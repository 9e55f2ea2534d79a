using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;

namespace Ullet.Files.Tests.Fonts;

/// <summary>Letters of real fonts in satin, looked at with a plain raster; the whole table is in the bench.</summary>
public sealed class SatinLettersTests
{
    private const double Few = 0.065;

    private static readonly ColumnNumbers Usual = new(0.40, 0.2);

    public static TheoryData<string, double, string> Samples =>
        new()
        {
            { "bree-serif", 20, "RkM&xg8a" },
            { "libre-baskerville-bold", 20, "RkM&xg8a" },
            { "lobster", 12, "RkMxgea" },
            { "dancing-script-bold", 20, "RkMge" },
            { "fredoka-semi-bold", 12, "RkMg8" },
            { "oswald-medium", 40, "RkM8" },
        };

    [Theory]
    [MemberData(nameof(Samples))]
    public void Letters_AreCoveredAndKeepTheBounds(string font, double capHeight, string letters)
    {
        var face = DemoWork.Fonts.Find(font)!;
        var breaches = new List<string>();
        var (length, leaning, pairs, turned) = (0.0, 0.0, 0, 0);
        foreach (var letter in letters)
        {
            var regions = Letter(face, letter, capHeight);
            var sewn = SatinColumns.Make(regions, Usual, ColumnWork.Plain, TestContext.Current.CancellationToken);
            var wide = RegionOffset.By(regions, Usual.Compensation);
            var directions = new ColumnDirections(wide, sewn);
            breaches.AddRange(
                new ColumnRaster(wide, sewn)
                    .Breaches(0.98)
                    .Concat(directions.Breaches())
                    .Select(breach => $"{letter}: {breach}")
            );
            length += directions.Length;
            leaning += directions.Leaning;
            pairs += directions.Pairs;
            turned += directions.Count(ColumnDirections.FlawKind.Turn);
        }
        // Of all letters of a font it is 5 % (the bench counts them); of so few it may be a little more.
        Assert.True(leaning <= Few * length, $"{leaning / length:P1} of the strokes lean");
        Assert.True(turned <= Few * pairs, $"{turned} of {pairs} strokes turn from the last");
        // One of a font's bounds may be missed by a little here; the bench counts all of them.
        Assert.True(breaches.Count <= 1, string.Join("; ", breaches));
    }

    /// <summary>Edges of letters may come so near each other that leaving vertices out lets them touch.</summary>
    [Fact]
    public void EveryShippedFont_IsSewnAtAnySize()
    {
        foreach (var entry in DemoWork.Fonts.Entries.Where(entry => !SingleLineFonts.Has(entry.Id)))
        {
            foreach (var capHeight in (double[])[6, 13, 20, 61])
            {
                foreach (var letter in "fQ&8")
                {
                    var sewn = SatinColumns.Make(
                        Letter(DemoWork.Fonts.Find(entry.Id)!, letter, capHeight),
                        Usual,
                        ColumnWork.Plain,
                        TestContext.Current.CancellationToken
                    );
                    Assert.True(sewn.PointCount > 20, $"{letter} of {entry.Id}, {capHeight} mm");
                }
            }
        }
    }

    private static ImmutableArray<Region> Letter(IFontFace face, char letter, double capHeight)
    {
        var scale = capHeight / face.CapHeight;
        return FilledOutline
            .Of(
                face.Shape(letter.ToString(), ligatures: false)
                    .SelectMany(glyph => face.Contours(glyph.Glyph))
                    .Select(contour => contour.Transform(Affine.Scale(scale, scale))),
                FillRule.NonZero
            )
            .Flatten();
    }
}
