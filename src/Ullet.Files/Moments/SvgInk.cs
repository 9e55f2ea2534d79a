using System.Globalization;
using System.Security;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Moments;

namespace Ullet.Files.Moments;

/// <summary>Writes drawings as SVG. Lines that several drawings of one page share are written once.</summary>
/// <param name="isPage">True where all drawings stand on one page, which must hold <see cref="Shared"/>.</param>
public sealed class SvgInk(bool isPage = false)
{
    /// <summary>Lines with fewer characters are written where they stand.</summary>
    private const int Worth = 40;

    private readonly Dictionary<string, string> _shared = new(StringComparer.Ordinal);
    private readonly Dictionary<string, string> _styles = new(StringComparer.Ordinal);

    /// <summary>What drawings of the page refer to: to stand on it once.</summary>
    public string Shared =>
        _shared.Count == 0
            ? ""
            : "<svg width=\"0\" height=\"0\" aria-hidden=\"true\" class=\"shared\"><defs>"
                + string.Concat(_shared.Select(each => $"<path id=\"{each.Value}\" d=\"{each.Key}\"/>"))
                + "</defs></svg>";

    /// <summary>The styles of the page's drawings, as CSS.</summary>
    public string Styles =>
        ".ink{fill:none;fill-rule:evenodd;stroke-linecap:round;stroke-linejoin:round;font-family:'Hanken Grotesk',sans-serif}"
        + string.Concat(_styles.Select(each => $".{each.Value}{{{each.Key}}}"));

    /// <summary>A drawing.</summary>
    public string Write(InkSheet sheet)
    {
        var text = new StringBuilder();
        text.Append(
            CultureInfo.InvariantCulture,
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {Number(sheet.Width)} {Number(sheet.Height)}\" role=\"img\" aria-label=\"{SecurityElement.Escape(sheet.Words)}\" {(isPage ? "class=\"ink\"" : Alone)}>"
        );
        foreach (var ink in sheet.Content)
        {
            Add(text, ink);
        }
        return text.Append("</svg>").ToString();
    }

    private const string Alone =
        "font-family=\"'Hanken Grotesk',sans-serif\" stroke-linecap=\"round\" stroke-linejoin=\"round\" fill=\"none\" fill-rule=\"evenodd\"";

    /// <summary>How something looks: as a class where the page has many drawings.</summary>
    private string Styled(List<string> style)
    {
        if (style.Count == 0)
        {
            return "";
        }
        if (!isPage)
        {
            return string.Concat(style.Select(each => each.Split(':', 2)).Select(pair => $" {pair[0]}=\"{pair[1]}\""));
        }
        var css = string.Join(';', style);
        if (!_styles.TryGetValue(css, out var name))
        {
            _styles[css] = name = string.Create(CultureInfo.InvariantCulture, $"s{_styles.Count}");
        }
        return $" class=\"{name}\"";
    }

    private void Add(StringBuilder text, Ink ink)
    {
        switch (ink)
        {
            case InkText said:
                Said(text, said);
                break;
            case InkLines lines:
                Lines(text, lines, 1);
                break;
            case InkFrame frame:
                Framed(text, frame);
                break;
            default:
                throw new ArgumentException($"{ink.GetType().Name} can't be written.", nameof(ink));
        }
    }

    private void Framed(StringBuilder text, InkFrame frame)
    {
        // A nested drawing clips what reaches over it.
        var (box, scale) = (frame.Window, frame.Scale);
        var (x, y) = (frame.Origin.X - box.MinX, frame.Origin.Y - box.MinY);
        text.Append(
            CultureInfo.InvariantCulture,
            $"<svg x=\"{Number(box.MinX)}\" y=\"{Number(box.MinY)}\" width=\"{Number(box.Width)}\" height=\"{Number(box.Height)}\" overflow=\"hidden\"><g transform=\"matrix({Scale(frame.IsMirrored ? -scale : scale)} 0 0 {Scale(scale)} {Number(x)} {Number(y)})\">"
        );
        foreach (var lines in frame.Content)
        {
            Lines(text, lines, scale);
        }
        text.Append("</g></svg>");
    }

    private void Lines(StringBuilder text, InkLines lines, double scale)
    {
        var path = Path(lines);
        if (path.Length == 0)
        {
            return;
        }
        var style = lines.Style;
        var looks = new List<string>();
        if (style.Fill is { } fill)
        {
            looks.Add($"fill:{fill}");
        }
        if (style.Stroke is { } stroke)
        {
            looks.Add($"stroke:{stroke}");
            looks.Add($"stroke-width:{Fine(style.Width / scale)}");
            if (!style.Dash.IsEmpty)
            {
                looks.Add($"stroke-dasharray:{string.Join(' ', style.Dash.Select(each => Fine(each / scale)))}");
            }
        }
        var attributes = Styled(looks);
        if (isPage && path.Length > Worth)
        {
            if (!_shared.TryGetValue(path, out var id))
            {
                _shared[path] = id = string.Create(CultureInfo.InvariantCulture, $"k{_shared.Count}");
            }
            text.Append(CultureInfo.InvariantCulture, $"<use href=\"#{id}\"{attributes}/>");
            return;
        }
        text.Append(CultureInfo.InvariantCulture, $"<path d=\"{path}\"{attributes}/>");
    }

    private static string Path(InkLines lines)
    {
        var text = new StringBuilder();
        foreach (var line in lines.Lines.Where(line => line.Length > 1))
        {
            text.Append('M');
            Place(text, line[0]);
            var last = line[0];
            foreach (var place in line.Skip(1))
            {
                text.Append('l');
                // Relative places are shorter; each begins where the rounded one before ended.
                var step = new Point(
                    Math.Round(place.X, 1) - Math.Round(last.X, 1),
                    Math.Round(place.Y, 1) - Math.Round(last.Y, 1)
                );
                Place(text, step);
                last = place;
            }
            if (lines.IsClosed)
            {
                text.Append('z');
            }
        }
        return text.ToString();
    }

    private static void Place(StringBuilder text, Point at)
    {
        var y = Number(at.Y);
        text.Append(Number(at.X)).Append(y.StartsWith('-') ? "" : " ").Append(y);
    }

    private void Said(StringBuilder text, InkText said)
    {
        var anchor = said.Anchor switch
        {
            InkAnchor.Start => "",
            InkAnchor.Middle => "middle",
            InkAnchor.End => "end",
            _ => throw new ArgumentException("no such anchor", nameof(said)),
        };
        List<string> looks = [$"fill:{said.Colour}", $"font-size:{Number(said.Size)}{(isPage ? "px" : "")}"];
        if (anchor.Length > 0)
        {
            looks.Add($"text-anchor:{anchor}");
        }
        if (said.IsBold)
        {
            looks.Add("font-weight:700");
        }
        text.Append(
            CultureInfo.InvariantCulture,
            $"<text x=\"{Number(said.At.X)}\" y=\"{Number(said.At.Y)}\"{Styled(looks)}>{SecurityElement.Escape(said.Text)}</text>"
        );
    }

    private static string Number(double value)
    {
        var text = Math.Round(value, 1).ToString("0.#", CultureInfo.InvariantCulture);
        return text == "-0" ? "0" : text;
    }

    private static string Scale(double value) => value.ToString("0.#####", CultureInfo.InvariantCulture);

    private static string Fine(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);
}
