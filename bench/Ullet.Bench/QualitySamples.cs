using System.Collections.Immutable;
using Ullet.Core.Drawings;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Tests.Samples;
using Ullet.Files.Drawings;
using Ullet.Files.Fonts;

namespace Ullet.Bench;

/// <summary>Outlines that covers are judged on.</summary>
internal static class QualitySamples
{
    private const string Letters = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789&";

    private const double IconSize = 80;

    /// <summary>Smaller outlines than this are specks, mm².</summary>
    private const double Speck = 25;

    /// <summary>Parts smaller than this come of a font's lines crossing, mm²; nobody sews round them.</summary>
    private const double Sliver = 0.5;

    /// <summary>The outlines that stand for a kind of difficulty each.</summary>
    internal static IEnumerable<(string Name, IReadOnlyList<Region> Regions)> Named()
    {
        foreach (var (name, make) in SampleOutlines.All)
        {
            yield return (name, [make()]);
        }
        yield return ("serif letter", Text("bree-serif", "R", 60));
        yield return ("script word", Text(Script, "Fern", 60));
    }

    /// <summary>Every font's letters at a cap height, mm.</summary>
    internal static IEnumerable<(string Font, string Name, IReadOnlyList<Region> Regions)> Fonts(double capHeight) =>
        from font in new FontShelf().Entries
        from letter in Letters
        select (
            font.Id,
            $"{font.Id} {letter} {capHeight:0}",
            (IReadOnlyList<Region>)Text(font.Id, letter.ToString(), capHeight)
        );

    /// <summary>Icons, each filled outline or closed line a piece, the whole 80 mm across.</summary>
    internal static IEnumerable<(string Name, IReadOnlyList<Region> Regions)> Icons() => Icons(IconPackages.All());

    /// <summary>Letters of fonts that nothing was tuned to, drawn by a seed.</summary>
    internal static IEnumerable<(string Name, IReadOnlyList<Region> Regions)> DrawnLetters(int seed, double capHeight)
    {
        var random = new Random(seed);
        foreach (var package in UnseenFonts)
        {
            var files = PackageFiles.Of(package, ".ttf");
            var face = FontReader.Read(package, files[random.Next(files.Count)].File).Value;
            for (var i = 0; i < LettersPerFont; i++)
            {
                var letter = Letters[random.Next(Letters.Length)];
                yield return ($"{package} {letter} {capHeight:0}", Text(face, letter.ToString(), capHeight));
            }
        }
    }

    private static readonly string[] UnseenFonts =
    [
        "@expo-google-fonts/lora@0.4.2",
        "@expo-google-fonts/zilla-slab@0.4.1",
        "@expo-google-fonts/bitter@0.4.2",
    ];

    private const int LettersPerFont = 60;

    /// <summary>The same of other icons.</summary>
    internal static IEnumerable<(string Name, IReadOnlyList<Region> Regions)> Icons(
        IReadOnlyList<(string Name, byte[] File)> files,
        double size = IconSize
    )
    {
        foreach (var (name, file) in files)
        {
            var read = SvgDrawingReader.Read(file);
            if (!read.IsOk)
            {
                continue;
            }
            var box = read.Value.Bounds();
            var scale = size / Math.Max(box.Width, box.Height);
            var number = 0;
            foreach (var path in read.Value.Paths)
            {
                var closed = path.Closed.Select(contour => contour.Transform(Affine.Scale(scale, scale)));
                var regions = DrawingSorter.OutlineOf([.. closed], path, new DrawingWish(scale)).Flatten();
                if (regions.Sum(region => region.Area) > Speck)
                {
                    yield return ($"{name} {++number}", regions);
                }
            }
        }
    }

    /// <summary>Outlines by seed.</summary>
    internal static IEnumerable<(string Name, IReadOnlyList<Region> Regions)> Random(int count) =>
        Enumerable
            .Range(0, count)
            .Select(seed => ($"seed {seed}", (IReadOnlyList<Region>)RandomOutlines.One(new Random(seed)).Flatten()))
            .Where(pair => pair.Item2.Sum(region => region.Area) > Speck);

    private static string Script => new FontShelf().Entries.First(font => font.Kinds.Contains(FontKind.Script)).Id;

    private static ImmutableArray<Region> Text(string fontId, string text, double capHeight)
    {
        return Text(new FontShelf().Find(fontId)!, text, capHeight);
    }

    private static ImmutableArray<Region> Text(IFontFace face, string text, double capHeight)
    {
        var scale = capHeight / face.CapHeight;
        var contours = new List<Contour>();
        var x = 0.0;
        foreach (var glyph in face.Shape(text, ligatures: true))
        {
            var place = Affine.Translate(x + glyph.X, glyph.Y).Then(Affine.Scale(scale, scale));
            contours.AddRange(face.Contours(glyph.Glyph).Select(contour => contour.Transform(place)));
            x += glyph.Advance;
        }
        return [.. FilledOutline.Of(contours, FillRule.NonZero).Flatten().Where(region => region.Area > Sliver)];
    }
}
