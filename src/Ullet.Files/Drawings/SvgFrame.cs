using System.Xml.Linq;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Files.Svg;

namespace Ullet.Files.Drawings;

/// <summary>The page of an SVG: how its user units come to true size.</summary>
/// <param name="Map">User units to the drawing's units.</param>
/// <param name="MmPerUnit">True size of the drawing's units, mm; null when the file gives no real length.</param>
internal sealed record SvgFrame(Affine Map, double? MmPerUnit)
{
    /// <summary>Larger pages are taken for a mistake, pixels of 1/96 in.</summary>
    private const double LargestPage = 100_000;

    /// <summary>Reads width, height, viewBox and preserveAspectRatio of the outermost element.</summary>
    /// <returns>Units are mm when the file says a real length (mm, cm, in, pt, pc, Q), else pixels.</returns>
    internal static Result<SvgFrame> Of(XElement root)
    {
        var (width, height) = ((string?)root.Attribute("width"), (string?)root.Attribute("height"));
        var box = ViewBox(root);
        if (SvgLength.Pixels(width) is > LargestPage || SvgLength.Pixels(height) is > LargestPage)
        {
            return new Refusal(
                "drawing-number",
                "width",
                "This drawing says that its page is more than 25 m large, so its size can't be right."
            );
        }
        if (box is { Width: <= 0 } or { Height: <= 0 })
        {
            return Zero("viewBox");
        }
        if (SvgLength.Pixels(width) is <= 0 || SvgLength.Pixels(height) is <= 0)
        {
            return Zero("width");
        }
        var isReal = SvgLength.IsReal(width) || SvgLength.IsReal(height);
        var across = SvgLength.Pixels(width);
        var down = SvgLength.Pixels(height);
        if (box is { } view)
        {
            across ??= down * view.Width / view.Height ?? view.Width;
            down ??= across * view.Height / view.Width;
        }
        var map = box is { } seen ? Viewed(root, seen, across!.Value, down!.Value) : Affine.Identity;
        const double Mm = 25.4 / 96;
        return isReal ? new SvgFrame(map.Then(Affine.Scale(Mm, Mm)), 1) : new SvgFrame(map, null);
    }

    /// <summary>The map of a nested svg or symbol: moved to its place, its viewBox fitted into its size.</summary>
    internal static Affine Nested(XElement element, double? width, double? height)
    {
        var move = Affine.Translate(
            SvgLength.Pixels((string?)element.Attribute("x")) ?? 0,
            SvgLength.Pixels((string?)element.Attribute("y")) ?? 0
        );
        var across = width ?? SvgLength.Pixels((string?)element.Attribute("width"));
        var down = height ?? SvgLength.Pixels((string?)element.Attribute("height"));
        return ViewBox(element) is { Width: > 0, Height: > 0 } view
            ? Viewed(element, view, across ?? view.Width, down ?? view.Height).Then(move)
            : move;
    }

    private static Affine Viewed(XElement element, ViewRect view, double width, double height)
    {
        var fit = ((string?)element.Attribute("preserveAspectRatio") ?? "xMidYMid meet").Trim();
        var (x, y) = (width / view.Width, height / view.Height);
        var start = Affine.Translate(-view.X, -view.Y);
        if (fit.StartsWith("none", StringComparison.Ordinal))
        {
            return start.Then(Affine.Scale(x, y));
        }
        var scale = fit.EndsWith("slice", StringComparison.Ordinal) ? Math.Max(x, y) : Math.Min(x, y);
        double Room(double room, string low, string high) =>
            fit.Contains(low, StringComparison.Ordinal) ? 0
            : fit.Contains(high, StringComparison.Ordinal) ? room
            : room / 2;
        return start
            .Then(Affine.Scale(scale, scale))
            .Then(
                Affine.Translate(
                    Room(width - (view.Width * scale), "xMin", "xMax"),
                    Room(height - (view.Height * scale), "YMin", "YMax")
                )
            );
    }

    private static ViewRect? ViewBox(XElement element) =>
        (string?)element.Attribute("viewBox") is { } text && SvgTransform.Numbers(text) is [var x, var y, var w, var h]
            ? new ViewRect(x, y, w, h)
            : null;

    private static Refusal Zero(string place) =>
        new(
            "drawing-no-size",
            place,
            "This drawing says that it has no width or no height, so nothing of it can be shown."
        );

    private readonly record struct ViewRect(double X, double Y, double Width, double Height);
}
