using System.Security;
using System.Text;
using Ullet.Core.Booklets;
using Ullet.Core.Evaluation;
using Ullet.Core.Moments;
using Ullet.Files.Moments;

namespace Ullet.Files.Booklets;

/// <summary>The booklet as a well-formed page: headings, lists and drawings with their words, in the order in which one reads.</summary>
public static class BookletHtml
{
    private static readonly HankenMeasure Measure = new();

    /// <param name="evaluated">The project.</param>
    /// <param name="picture">The address of the finished thing's picture.</param>
    /// <param name="nonce">For its styles.</param>
    public static string Of(Evaluated evaluated, string picture, string nonce)
    {
        var (booklet, svg, body) = (BookletMaker.Of(evaluated), new SvgInk(isPage: true), new StringBuilder());
        var title = Text(booklet.Title);
        Line(body, $"<h1>{title}</h1>");
        foreach (var caution in booklet.Cautions)
        {
            Line(body, $"<p class=\"warning\">Made against a check: {Text(caution)}</p>");
        }
        Line(body, $"<p><img src=\"{Text(picture)}\" alt=\"{title}, finished\"/></p>");
        Line(body, "<dl>");
        foreach (var fact in booklet.Facts)
        {
            Line(body, $"<dt>{Text(fact.What)}</dt><dd>{Text(fact.Said)}</dd>");
        }
        Line(body, $"<dt>State</dt><dd>{booklet.Code}</dd></dl>");
        if (!booklet.Threads.IsEmpty)
        {
            Line(body, "<h2>Threads, as the machine asks for them</h2><ul>");
            foreach (var thread in booklet.Threads)
            {
                Line(body, $"<li>{Text(thread.Name)}, block {Text(thread.Blocks)}</li>");
            }
            Line(body, "</ul>");
        }
        Cuts(body, booklet);
        List(body, "ol", "Weeding and transfer", booklet.Film);
        List(body, "ul", "Before you start", booklet.Before);
        foreach (var chapter in booklet.Chapters)
        {
            Line(body, $"<h2>{Text(chapter.Title)}</h2>");
            foreach (var step in chapter.Steps)
            {
                Step(body, step, svg);
            }
            if (chapter.Steps.IsEmpty)
            {
                Line(body, "<p>There is nothing to sew yet.</p>");
            }
        }
        List(body, "ul", "Finishing and care", booklet.Care);
        return $"<!DOCTYPE html>\n<html xmlns=\"http://www.w3.org/1999/xhtml\" lang=\"en\"><head><meta charset=\"utf-8\"/><title>{title}, booklet</title>"
            + $"<meta name=\"viewport\" content=\"width=device-width,initial-scale=1\"/><style nonce=\"{nonce}\">{Css}{svg.Styles}</style></head><body><main>"
            + svg.Shared
            + body
            + "</main></body></html>";
    }

    private const string Css =
        "body{margin:0;font-family:'Hanken Grotesk',system-ui,sans-serif;font-size:18px;line-height:1.45;color:#1d2a3a}"
        + "main{max-width:760px;margin:0 auto;padding:24px}img{max-width:100%;max-height:560px}svg{max-width:100%;height:auto}"
        + "table{border-collapse:collapse;width:100%}th,td{text-align:left;vertical-align:top;padding:6px 10px 6px 0;border-bottom:1px solid #d5dbe2}"
        + ".warning{font-weight:700;border-left:5px solid #d98a00;padding-left:12px}.small{color:#4c5968}dt{font-weight:700}"
        + "section{break-inside:avoid;margin-bottom:28px}.shared{position:absolute}";

    private static void Cuts(StringBuilder body, Booklet booklet)
    {
        if (booklet.Cuts.IsEmpty)
        {
            return;
        }
        Line(
            body,
            "<h2>Cut first</h2><table><thead><tr><th>What</th><th>How many</th><th>Size, at least</th><th>From</th><th>Grain</th><th>Note</th><th>Cut file</th></tr></thead><tbody>"
        );
        foreach (var row in booklet.Cuts)
        {
            Line(
                body,
                $"<tr><td>{Text(row.Name)}</td><td>{row.Count}</td><td>{Text(row.Size)}</td><td>{Text(row.Cloth)}</td><td>{Text(row.Grain)}</td><td>{Text(row.Note)}</td><td>{Text(row.File)}</td></tr>"
            );
        }
        Line(body, "</tbody></table>");
    }

    private static void List(StringBuilder body, string list, string title, IReadOnlyList<string> sentences)
    {
        if (sentences.Count == 0)
        {
            return;
        }
        Line(body, $"<h2>{title}</h2><{list}>");
        foreach (var sentence in sentences)
        {
            Line(body, $"<li>{Text(sentence)}</li>");
        }
        Line(body, $"</{list}>");
    }

    private static void Step(StringBuilder body, BookletStep step, SvgInk svg)
    {
        Line(body, $"<section><h3>{step.Number}. {Text(step.Sentence)}</h3>");
        Paragraph(body, "warning", step.Warning);
        Paragraph(body, "check", step.Check is null ? null : $"Before you press start: {step.Check}");
        Paragraph(body, "note", step.Note is null ? null : $"Your note: {step.Note}");
        body.Append(svg.Write(MomentSheet.Of(step.Moment, 700, step.IsHands ? 330 : 230, 14, Measure)));
        if (step.Photo is { } photo)
        {
            Line(body, $"<p><img src=\"/api/assets/{Text(photo)}\" alt=\"Your own photo of step {step.Number}\"/></p>");
        }
        Line(body, $"<p class=\"small\">{Text(step.Small)}</p></section>");
    }

    private static void Paragraph(StringBuilder body, string kind, string? text)
    {
        if (text is not null)
        {
            Line(body, $"<p class=\"{kind}\">{Text(text)}</p>");
        }
    }

    private static void Line(StringBuilder body, string line) => body.Append(line).Append('\n');

    private static string Text(string text) => SecurityElement.Escape(text);
}
