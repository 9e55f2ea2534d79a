using System.Globalization;
using System.Net;
using System.Reflection;
using System.Text;
using Ullet.Core.Booklets;
using Ullet.Core.Evaluation;
using Ullet.Core.Moments;
using Ullet.Files.Moments;

namespace Ullet.Server.Cards;

/// <summary>The card of a project as one page that needs nothing else: styles, script and drawings stand in it.</summary>
internal static class CardPage
{
    private static readonly HankenMeasure Measure = new();
    private static readonly Lazy<string> Css = new(() => Text("card.css"));
    private static readonly Lazy<string> Script = new(() => Text("card.js"));
    private static readonly Lazy<string> Film = new(() => Convert.ToBase64String(Bytes("awake.mp4")));

    /// <summary>Cards with more stops draw each once, for phones held upright only.</summary>
    private const int Many = 60;

    /// <summary>The page.</summary>
    /// <param name="projectId">Names where the place is kept on the phone.</param>
    /// <param name="evaluated">The project.</param>
    /// <param name="state">The address that tells the state's code.</param>
    /// <param name="nonce">For its script and styles.</param>
    internal static string Of(string projectId, Evaluated evaluated, string state, string nonce)
    {
        var (stops, svg) = (CardStops.Of(evaluated), new SvgInk(isPage: true));
        var body = new StringBuilder();
        foreach (var stop in stops)
        {
            Stop(body, stop, svg, stops.Length > Many);
        }
        if (stops.IsEmpty)
        {
            body.Append("<p>There is nothing to sew yet.</p>");
        }
        var title = WebUtility.HtmlEncode(evaluated.Project.Title);
        var code = evaluated.Program.Code;
        var page = new StringBuilder();
        page.Append(
            CultureInfo.InvariantCulture,
            $"<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>{title}, card</title><meta name=\"viewport\" content=\"width=device-width,initial-scale=1,viewport-fit=cover\"><style nonce=\"{nonce}\">{Css.Value}{svg.Styles}</style></head>"
        );
        page.Append(
            CultureInfo.InvariantCulture,
            $"<body data-project=\"{WebUtility.HtmlEncode(projectId)}\" data-code=\"{code}\" data-state=\"{WebUtility.HtmlEncode(state)}\">"
        );
        page.Append(
            CultureInfo.InvariantCulture,
            $"<header><h1>{title}</h1><span id=\"place\"></span><span>state {code}</span></header><p id=\"said\" role=\"status\" hidden></p><main tabindex=\"-1\">"
        );
        page.Append(svg.Shared).Append(body);
        page.Append(
            "<p class=\"ways\"><button id=\"awake\" type=\"button\" aria-pressed=\"false\">Keep the screen awake</button><button id=\"sound\" type=\"button\" aria-pressed=\"false\">Sound</button></p></main><footer><button id=\"back\" type=\"button\">Back</button><label class=\"over\" for=\"jump\">Go to a stop</label><select id=\"jump\">"
        );
        for (var i = 0; i < stops.Length; i++)
        {
            var said = WebUtility.HtmlEncode(Short(stops[i]));
            page.Append(CultureInfo.InvariantCulture, $"<option value=\"{i}\" data-text=\"{said}\">{said}</option>");
        }
        page.Append(
            CultureInfo.InvariantCulture,
            $"</select><button id=\"go\" type=\"button\">Go on</button></footer><video id=\"awake-film\" muted loop playsinline aria-hidden=\"true\" tabindex=\"-1\" src=\"data:video/mp4;base64,{Film.Value}\"></video><script nonce=\"{nonce}\">{Script.Value}</script></body></html>"
        );
        return page.ToString();
    }

    /// <summary>What the page may do: its own script and styles, asking for the state, and nothing else.</summary>
    internal static string Policy(string nonce) =>
        $"default-src 'none'; script-src 'nonce-{nonce}'; style-src 'nonce-{nonce}'; media-src data:; connect-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private static void Stop(StringBuilder body, CardStop stop, SvgInk svg, bool isMany)
    {
        var first = stop.First;
        body.Append(
            CultureInfo.InvariantCulture,
            $"<section class=\"stop\" data-key=\"{WebUtility.HtmlEncode($"{stop.Hooping} {first.Key}".Trim())}\"{(first.IsHands ? " data-hands=\"1\"" : "")}>"
        );
        var hooping = stop.Hooping.Length > 0 ? $"{stop.Hooping}, " : "";
        body.Append(
            CultureInfo.InvariantCulture,
            $"<p class=\"number\">{WebUtility.HtmlEncode(hooping)}{(first.IsHands ? "hands" : "machine")}, step {stop.Number}</p>"
        );
        body.Append("<div class=\"drawn\"><div class=\"tall\">")
            .Append(svg.Write(MomentSheet.Of(stop.Moment, 360, 380, 14, Measure)))
            .Append("</div>");
        body.Append("<div class=\"wide\">")
            .Append(isMany ? "" : svg.Write(MomentSheet.Of(stop.Moment, 640, 330, 15, Measure)))
            .Append("</div></div>");
        body.Append(
            CultureInfo.InvariantCulture,
            $"<h2{(first.IsHands ? " class=\"hands\"" : "")}>{WebUtility.HtmlEncode(stop.Sentence)}</h2>"
        );
        Paragraph(body, "warning", first.Warning);
        Blocks(body, stop);
        if (first.Check is { } check)
        {
            body.Append(
                CultureInfo.InvariantCulture,
                $"<p class=\"check\"><b>Before you press start</b>{WebUtility.HtmlEncode(check)}</p>"
            );
        }
        Paragraph(body, "note", first.Note is null ? null : $"Your note: {first.Note}");
        body.Append(
            CultureInfo.InvariantCulture,
            $"<p class=\"small\">{WebUtility.HtmlEncode(stop.Small)} · {stop.StitchesLeft:N0} stitches to go</p></section>"
        );
    }

    private static void Blocks(StringBuilder body, CardStop stop)
    {
        if (stop.First.IsHands)
        {
            return;
        }
        body.Append("<ul class=\"blocks\">");
        foreach (var block in stop.Steps)
        {
            body.Append(
                CultureInfo.InvariantCulture,
                $"<li><svg width=\"34\" height=\"34\" aria-hidden=\"true\"><circle cx=\"17\" cy=\"17\" r=\"16\" fill=\"{block.Colour}\" stroke=\"#1d2a3a\"/></svg><span><b>Block {block.Block}: {WebUtility.HtmlEncode(block.Thread)}</b>{WebUtility.HtmlEncode(block.Sentence)} {block.StitchCount:N0} stitches.</span></li>"
            );
        }
        body.Append("</ul>");
    }

    private static void Paragraph(StringBuilder body, string kind, string? text)
    {
        if (text is not null)
        {
            body.Append(CultureInfo.InvariantCulture, $"<p class=\"{kind}\">{WebUtility.HtmlEncode(text)}</p>");
        }
    }

    private static string Short(CardStop stop)
    {
        var text = stop.First.IsHands
            ? stop.Sentence
            : string.Join(", ", stop.Steps.Select(block => $"block {block.Block} {block.Thread}"));
        return $"{stop.Number}. {(text.Length > 44 ? text[..43] + "…" : text)}";
    }

    private static string Text(string name) => Encoding.UTF8.GetString(Bytes(name));

    private static byte[] Bytes(string name)
    {
        using var stream =
            Assembly.GetExecutingAssembly().GetManifestResourceStream(name)
            ?? throw new InvalidOperationException($"{name} is missing from the build.");
        using var all = new MemoryStream();
        stream.CopyTo(all);
        return all.ToArray();
    }
}
