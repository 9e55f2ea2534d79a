using System.Collections.Immutable;
using System.Text.RegularExpressions;
using System.Xml.Linq;
using Ullet.Core.Drawings;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Files.Svg;

namespace Ullet.Files.Drawings;

/// <summary>Reads an SVG drawn elsewhere: paths, shapes, groups, transforms, use and symbols, fill rules, true size.</summary>
public static class SvgDrawingReader
{
    public const int LargestFile = 20_000_000;

    /// <summary>The most curves taken from one file.</summary>
    public const int MostCurves = 200_000;

    /// <returns>What it draws, or "drawing-…" with a sentence that says where.</returns>
    public static Result<Drawing> Read(ReadOnlyMemory<byte> file) =>
        SvgXml
            .Root(file, "This drawing", "drawing", LargestFile)
            .Then(root => SvgFrame.Of(root).Then(frame => Walk(root, frame)));

    private static Result<Drawing> Walk(XElement root, SvgFrame frame)
    {
        try
        {
            return new SvgWalk(root).Read(frame);
        }
        catch (RegexMatchTimeoutException)
        {
            return new Refusal(
                "drawing-style",
                "style",
                "The styles or transforms of this drawing are too long to be read. Save it again as plain SVG."
            );
        }
    }
}

/// <summary>One way through a file.</summary>
internal sealed class SvgWalk(XElement root)
{
    /// <summary>The most elements visited, those behind "use" counted each time: a small file must not unfold into a huge one.</summary>
    private const int MostVisits = 100_000;

    private const int Deepest = 200;

    private static readonly HashSet<string> Silent =
    [
        "title",
        "desc",
        "metadata",
        "defs",
        "style",
        "symbol",
        "clipPath",
        "mask",
        "marker",
        "pattern",
        "filter",
        "linearGradient",
        "radialGradient",
        "script",
        "namedview",
        "animate",
        "animateTransform",
        "set",
    ];

    private static readonly XName Href = XName.Get("href", "http://www.w3.org/1999/xlink");

    private readonly SvgStyles _styles = new(root);
    private readonly ImmutableArray<DrawnPath>.Builder _paths = ImmutableArray.CreateBuilder<DrawnPath>();
    private readonly SortedDictionary<(string One, string Many), int> _left = [];
    private readonly Dictionary<string, XElement> _named = Named(root);
    private int _curves;
    private int _visits;

    internal Result<Drawing> Read(SvgFrame frame)
    {
        var (style, shown) = _styles.Of(root, SvgStyle.Initial);
        foreach (var child in shown ? root.Elements() : [])
        {
            if (Visit(child, frame.Map, style, 0) is { } refusal)
            {
                return refusal;
            }
        }
        if (_paths.Count == 0)
        {
            var what = _left.Count == 0 ? "" : $" It has only {string.Join(", ", _left.Select(Counted))}.";
            return new Refusal("drawing-empty", "file", $"This drawing has no outlines in it.{what}");
        }
        return new Drawing(
            _paths.ToImmutable(),
            frame.MmPerUnit,
            [.. _left.Select(pair => $"{Counted(pair)} {(pair.Value == 1 ? "is" : "are")} not imported.")]
        );
    }

    private Refusal? Visit(XElement element, Affine map, SvgStyle parent, int depth)
    {
        Budget.Spend();
        if (++_visits > MostVisits || depth > Deepest)
        {
            return new Refusal(
                "drawing-too-deep",
                SvgXml.Place(element),
                $"This drawing unfolds into more than {MostVisits:N0} parts or is nested more than {Deepest} deep "
                    + $"({SvgXml.Place(element)}), so it is not read."
            );
        }
        var kind = element.Name.LocalName;
        var (style, shown) = _styles.Of(element, parent);
        if (!shown || Silent.Contains(kind))
        {
            return null;
        }
        if (SvgTransform.Parse((string?)element.Attribute("transform")) is not { } own)
        {
            return new Refusal(
                "drawing-transform",
                SvgXml.Place(element),
                $"A transform of this drawing can't be read ({SvgXml.Place(element)})."
            );
        }
        Note(element);
        map = own.Then(map);
        switch (kind)
        {
            case "g" or "a" or "switch":
                return Children(element, map, style, depth);
            case "svg":
                return Children(element, SvgFrame.Nested(element, null, null).Then(map), style, depth);
            case "use":
                return Use(element, map, style, depth);
            case "text":
                Leave("text", "texts");
                return null;
            case "image" or "foreignObject":
                Leave("picture", "pictures");
                return null;
            default:
                return style.IsVisible ? Shape(element, map, style) : null;
        }
    }

    private Refusal? Children(XElement element, Affine map, SvgStyle style, int depth)
    {
        foreach (var child in element.Elements())
        {
            if (Visit(child, map, style, depth + 1) is { } refusal)
            {
                return refusal;
            }
        }
        return null;
    }

    private Refusal? Use(XElement use, Affine map, SvgStyle style, int depth)
    {
        var href = (string?)use.Attribute("href") ?? (string?)use.Attribute(Href) ?? "";
        if (!href.StartsWith('#'))
        {
            return new Refusal(
                "drawing-external",
                SvgXml.Place(use),
                $"This drawing takes a part from another file (\"{Short(href)}\", {SvgXml.Place(use)}). Save it with everything in it."
            );
        }
        if (!_named.TryGetValue(href[1..], out var target))
        {
            Leave("use of a part that is not there", "uses of parts that are not there");
            return null;
        }
        map = Affine
            .Translate(
                SvgLength.Pixels((string?)use.Attribute("x")) ?? 0,
                SvgLength.Pixels((string?)use.Attribute("y")) ?? 0
            )
            .Then(map);
        if (target.Name.LocalName != "symbol")
        {
            return Visit(target, map, style, depth + 1);
        }
        var (width, height) = (
            SvgLength.Pixels((string?)use.Attribute("width")),
            SvgLength.Pixels((string?)use.Attribute("height"))
        );
        return Children(
            target,
            SvgFrame.Nested(target, width, height).Then(map),
            _styles.Of(target, style).Style,
            depth + 1
        );
    }

    private Refusal? Shape(XElement element, Affine map, SvgStyle style)
    {
        if (SvgShapes.Data(element) is not { } data)
        {
            var kind = Short(element.Name.LocalName);
            Leave($"part of kind \"{kind}\"", $"parts of kind \"{kind}\"");
            return null;
        }
        if (data.Length == 0)
        {
            return null;
        }
        if (!SvgPathData.TryParse(data, out var lines))
        {
            return new Refusal(
                "drawing-path",
                SvgXml.Place(element),
                $"The outline of a \"{element.Name.LocalName}\" can't be read ({SvgXml.Place(element)}): it has something in "
                    + "it that is no number or no path command."
            );
        }
        var closed = ImmutableArray.CreateBuilder<Contour>();
        var open = ImmutableArray.CreateBuilder<OpenPath>();
        foreach (var (contour, isClosed) in lines)
        {
            _curves += contour.Curves.Length;
            var drawn = contour.Transform(map);
            if (
                drawn.Bounds() is { } box
                && !(
                    Math.Abs(box.MinX) < 1e7
                    && Math.Abs(box.MaxX) < 1e7
                    && Math.Abs(box.MinY) < 1e7
                    && Math.Abs(box.MaxY) < 1e7
                )
            )
            {
                return new Refusal(
                    "drawing-path",
                    SvgXml.Place(element),
                    $"An outline of this drawing reaches beyond all measure ({SvgXml.Place(element)})."
                );
            }
            if (isClosed || (style.IsFilled && Encloses(Closed(drawn))))
            {
                closed.Add(Closed(drawn));
            }
            else
            {
                open.Add(new OpenPath(drawn.Curves));
            }
        }
        if (_curves > SvgDrawingReader.MostCurves)
        {
            return new Refusal(
                "drawing-too-many",
                SvgXml.Place(element),
                $"This drawing has more than {SvgDrawingReader.MostCurves:N0} curves. Simplify it first, or import it in parts."
            );
        }
        if (closed.Count + open.Count > 0)
        {
            _paths.Add(
                new DrawnPath(NameOf(element), closed.ToImmutable(), open.ToImmutable(), style.Rule, style.Fill)
            );
        }
        return null;
    }

    private static bool Encloses(Contour closed)
    {
        var box = closed.Bounds();
        var area = Math.Abs(closed.Flatten((Math.Max(box.Width, box.Height) / 500) + 1e-9).SignedArea);
        return area > 1e-4 * (1e-9 + (box.Width * box.Height));
    }

    private static Contour Closed(Contour contour)
    {
        var (start, end) = (contour.Curves[0].Start, contour.Curves[^1].End);
        return start.DistanceTo(end) > Tolerance.Same
            ? new Contour(contour.Curves.Add(Curve.Line(end, start)))
            : contour;
    }

    /// <summary>Counts what changes the look of an element and is not taken.</summary>
    private void Note(XElement element)
    {
        foreach (var (attribute, one) in new[] { ("clip-path", "clipping"), ("mask", "mask"), ("filter", "filter") })
        {
            if ((string?)element.Attribute(attribute) is { } value && value != "none")
            {
                Leave(one, one + "s");
            }
        }
    }

    private static string? NameOf(XElement element)
    {
        var name =
            element.Elements().FirstOrDefault(child => child.Name.LocalName == "title")?.Value
            ?? (string?)element.Attribute("id");
        name = name?.Replace('_', ' ').Replace('-', ' ').Trim();
        return string.IsNullOrEmpty(name) ? null
            : name.Length > 60 ? name[..60]
            : name;
    }

    private static Dictionary<string, XElement> Named(XElement root)
    {
        var named = new Dictionary<string, XElement>(StringComparer.Ordinal);
        foreach (var element in root.DescendantsAndSelf())
        {
            if ((string?)element.Attribute("id") is { } id)
            {
                named.TryAdd(id, element);
            }
        }
        return named;
    }

    private void Leave(string one, string many) => _left[(one, many)] = _left.GetValueOrDefault((one, many)) + 1;

    private static string Counted(KeyValuePair<(string One, string Many), int> left) =>
        left.Value == 1 ? $"1 {left.Key.One}" : $"{left.Value} {left.Key.Many}";

    private static string Short(string text) => text.Length > 60 ? text[..60] + "…" : text;
}
