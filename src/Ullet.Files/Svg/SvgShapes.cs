using System.Globalization;
using System.Xml.Linq;

namespace Ullet.Files.Svg;

/// <summary>SVG's shapes as path data.</summary>
internal static class SvgShapes
{
    /// <summary>What an element draws, as path data in user units; null for one that is no shape.</summary>
    internal static string? Data(XElement element)
    {
        double N(string name) => SvgLength.Pixels((string?)element.Attribute(name)) ?? 0;
        FormattableString? data = element.Name.LocalName switch
        {
            "path" => $"{(string?)element.Attribute("d") ?? ""}",
            "polygon" => Poly(element, "Z"),
            "polyline" => Poly(element, ""),
            "line" => $"M {N("x1")} {N("y1")} L {N("x2")} {N("y2")}",
            "rect" => Rectangle(element, N("x"), N("y"), N("width"), N("height")),
            "circle" => Ellipse(N("cx"), N("cy"), N("r"), N("r")),
            "ellipse" => Ellipse(N("cx"), N("cy"), N("rx"), N("ry")),
            _ => null,
        };
        return data?.ToString(CultureInfo.InvariantCulture);
    }

    private static FormattableString Poly(XElement element, string end)
    {
        var points = (string?)element.Attribute("points") ?? "";
        return points.Trim().Length == 0 ? (FormattableString)$"" : $"M {points} {end}";
    }

    private static FormattableString Rectangle(XElement element, double x, double y, double w, double h)
    {
        if (w <= 0 || h <= 0)
        {
            return $"";
        }
        var across = SvgLength.Pixels((string?)element.Attribute("rx"));
        var down = SvgLength.Pixels((string?)element.Attribute("ry"));
        var rx = Math.Min(Math.Max(across ?? down ?? 0, 0), w / 2);
        var ry = Math.Min(Math.Max(down ?? across ?? 0, 0), h / 2);
        return rx <= 0 || ry <= 0
            ? $"M {x} {y} h {w} v {h} h {-w} Z"
            : (FormattableString)
                $"M {x + rx} {y} h {w - (2 * rx)} a {rx} {ry} 0 0 1 {rx} {ry} v {h - (2 * ry)} a {rx} {ry} 0 0 1 {-rx} {ry} h {(2 * rx) - w} a {rx} {ry} 0 0 1 {-rx} {-ry} v {(2 * ry) - h} a {rx} {ry} 0 0 1 {rx} {-ry} Z";
    }

    private static FormattableString Ellipse(double x, double y, double rx, double ry) =>
        rx <= 0 || ry <= 0
            ? (FormattableString)$""
            : $"M {x - rx} {y} A {rx} {ry} 0 1 1 {x + rx} {y} A {rx} {ry} 0 1 1 {x - rx} {y} Z";
}
