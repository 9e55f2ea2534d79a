using System.Collections.Immutable;
using System.Xml.Linq;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Files.Svg;

namespace Ullet.Files.CutFiles;

/// <summary>How a reader takes the size of an SVG.</summary>
public enum SvgSizing
{
    /// <summary>Width and height with their units, and the viewBox scaled to them.</summary>
    Lengths,

    /// <summary>User units taken for 1/96 in, width and height left aside, as simple cutting programs do.</summary>
    UserUnits96,
}

/// <summary>Reads an SVG cut file as a device would.</summary>
public static class SvgCutReader
{
    public const int LargestFile = 10_000_000;

    /// <summary>The most curves taken from one file.</summary>
    public const int MostCurves = 200_000;

    /// <summary>Larger pages are taken for a mistake, mm.</summary>
    private const double LargestPage = 20_000;

    /// <summary>No line lies farther away, mm.</summary>
    private const double FarthestPlace = 100_000;

    private static readonly HashSet<string> LeftAside = ["title", "desc", "metadata", "defs", "style"];

    /// <returns>The lines to cut in mm, or "cut-file-…" with a sentence.</returns>
    public static Result<CutFile> Read(ReadOnlyMemory<byte> file, SvgSizing sizing = SvgSizing.Lengths)
    {
        var read = SvgXml.Root(file, "This cut file", "cut-file", LargestFile);
        return read.Then(root => Frame(root, sizing).Then(frame => Lines(root, frame)));
    }

    private static Result<PageFrame> Frame(XElement root, SvgSizing sizing)
    {
        var (width, height) = (
            SvgLength.Mm((string?)root.Attribute("width")),
            SvgLength.Mm((string?)root.Attribute("height"))
        );
        var box = ((string?)root.Attribute("viewBox"))
            ?.Split([' ', ',', '\t', '\n'], StringSplitOptions.RemoveEmptyEntries)
            .Select(SvgLength.Number)
            .ToArray();
        var viewBox = box is [{ } x, { } y, { } w, { } h] && w > 0 && h > 0 ? new double[] { x, y, w, h } : null;
        if (sizing == SvgSizing.UserUnits96)
        {
            const double Mm = 1 / SvgCutWriter.UnitsPerMm;
            return viewBox is null
                ? No("without-units", "viewBox", "This cut file has no viewBox, so its user units can't be read.")
                : new PageFrame(viewBox[2] * Mm, viewBox[3] * Mm, Mm, Mm, viewBox[0], viewBox[1]);
        }
        if (width is > LargestPage || height is > LargestPage)
        {
            return No(
                "number",
                "width",
                $"This cut file says that its page is larger than {LargestPage / 1000:0} m, which no cutter takes."
            );
        }
        if (width is not > 0 || height is not > 0)
        {
            return No(
                "without-units",
                "width",
                "This cut file does not say its size in real units, so nobody knows how large it is. "
                    + "Its width and height should be given in mm, cm or in."
            );
        }
        return viewBox is null
            ? new PageFrame(width.Value, height.Value, 1 / SvgCutWriter.UnitsPerMm, 1 / SvgCutWriter.UnitsPerMm, 0, 0)
            : new PageFrame(
                width.Value,
                height.Value,
                width.Value / viewBox[2],
                height.Value / viewBox[3],
                viewBox[0],
                viewBox[1]
            );
    }

    private static Result<CutFile> Lines(XElement root, PageFrame frame)
    {
        var lines = ImmutableArray.CreateBuilder<CutLine>();
        var curves = 0;
        foreach (var element in Shown(root))
        {
            Budget.Spend();
            var kind = element.Name.LocalName;
            var place = SvgXml.Place(element);
            if (kind == "g" && element.Attribute("transform") is null)
            {
                continue;
            }
            if (element.Attribute("transform") is not null)
            {
                return No(
                    "transform",
                    place,
                    $"This cut file moves or scales its parts ({place}, \"{kind}\"); the cutter takes plain paths only."
                );
            }
            var data = SvgShapes.Data(element);
            if (data is null)
            {
                if (kind is "text" or "tspan")
                {
                    return No(
                        "text",
                        place,
                        $"This cut file has live text in it ({place}), which depends on fonts that a cutter does not have. "
                            + "Turn the text into outlines and save the file again."
                    );
                }
                return No(
                    "part-unknown",
                    place,
                    $"The cutter can't take a \"{kind}\" ({place}); it takes paths and basic shapes."
                );
            }
            if (!SvgPathData.TryParse(data, out var contours))
            {
                return No("path-broken", place, $"A path of this cut file can't be read ({place}).");
            }
            foreach (var (contour, closed) in contours)
            {
                curves += contour.Curves.Length;
                var mm = contour.Transform(frame.ToMm);
                if (
                    !(
                        Math.Max(Size(mm.Bounds().MinX, mm.Bounds().MaxX), Size(mm.Bounds().MinY, mm.Bounds().MaxY))
                        < FarthestPlace
                    )
                )
                {
                    return No("number", place, $"A line of this cut file reaches beyond all measure ({place}).");
                }
                lines.Add(new CutLine(Id(element.Parent), Id(element), mm, closed));
            }
            if (curves > MostCurves)
            {
                return No("too-many-curves", place, $"This cut file has more than {MostCurves} curves.");
            }
        }
        return lines.Count == 0
            ? No("empty", "file", "This cut file has nothing to cut in it.")
            : new CutFile(frame.Width, frame.Height, lines.ToImmutable())
            {
                Cloth = (string?)root.Attribute(SvgCutWriter.ClothMark),
                Mirrored = (string?)root.Attribute(SvgCutWriter.MirrorMark),
            };
    }

    /// <summary>The elements that are drawn, in the file's order; what only defines or describes is left out with all that is in
    /// it.</summary>
    private static IEnumerable<XElement> Shown(XElement root)
    {
        var open = new Stack<XElement>(root.Elements().Reverse());
        while (open.TryPop(out var element))
        {
            if (LeftAside.Contains(element.Name.LocalName))
            {
                continue;
            }
            yield return element;
            foreach (var child in element.Elements().Reverse())
            {
                open.Push(child);
            }
        }
    }

    private static double Size(double from, double to) => Math.Max(Math.Abs(from), Math.Abs(to));

    private static string Id(XElement? element) => (string?)element?.Attribute("id") ?? "";

    private static Refusal No(string code, string place, string words) => new($"cut-file-{code}", place, words);

    private sealed record PageFrame(double Width, double Height, double ScaleX, double ScaleY, double MinX, double MinY)
    {
        internal Affine ToMm => Affine.Translate(-MinX, -MinY).Then(Affine.Scale(ScaleX, ScaleY));
    }
}
