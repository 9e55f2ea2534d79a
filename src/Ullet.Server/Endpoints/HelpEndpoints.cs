using System.Collections.Immutable;
using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Help;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>A page of the help as it is listed.</summary>
public sealed record HelpContents(string Id, string Title, ImmutableArray<HelpHeading> Headings);

/// <summary>A heading of the help.</summary>
public sealed record HelpHeading(string Anchor, string Title);

/// <summary>A page of the help as it is shown.</summary>
public sealed record HelpPageDto(string Id, string Title, ImmutableArray<HelpSectionDto> Sections);

/// <summary>A section of a page.</summary>
/// <param name="Anchor">Names it on its page.</param>
/// <param name="Title">Its heading.</param>
/// <param name="Html">What stands below it: made from Ullet's own pages, nothing of a user's.</param>
public sealed record HelpSectionDto(string Anchor, string Title, string Html);

/// <summary>A section that a search found.</summary>
public sealed record HelpHit(string Page, string PageTitle, string Anchor, string Title, string Excerpt);

/// <summary>/api/help: the help that ships with Ullet.</summary>
internal static class HelpEndpoints
{
    private const int MostHits = 30;

    private const int ExcerptLength = 140;

    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/help").WithTags("Help");
        group.MapGet("", Contents).WithName("helpContents");
        group.MapGet("search", Search).WithName("searchHelp");
        group.MapGet("pages/{page}", Page).WithName("getHelpPage");
        group.MapGet("stages/{method}/{stage}.svg", Stage).WithName("getHelpStage");
        group.MapGet("covers/{kind}.png", Cover).WithName("getHelpCover");
    }

    private static Ok<List<HelpContents>> Contents() =>
        TypedResults.Ok(
            HelpPages
                .All.Select(page => new HelpContents(
                    page.Id,
                    page.Title,
                    [
                        .. page
                            .Sections.Where(section => section.Anchor != "top")
                            .Select(section => new HelpHeading(section.Anchor, section.Title)),
                    ]
                ))
                .ToList()
        );

    private static Ok<List<HelpHit>> Search(string text = "") =>
        TypedResults.Ok(
            HelpPages
                .Found(text)
                .Take(MostHits)
                .Select(found => new HelpHit(
                    found.Page.Id,
                    found.Page.Title,
                    found.Section.Anchor,
                    found.Section.Title,
                    Excerpt(found.Section.Text, SearchText.Words(text))
                ))
                .ToList()
        );

    private static string Excerpt(string text, string[] words)
    {
        var folded = SearchText.Folded(text);
        var at = words
            .Select(word => folded.IndexOf(word, StringComparison.Ordinal))
            .Where(i => i >= 0)
            .DefaultIfEmpty(0)
            .Min();
        // Folding may shorten a text; then it is told from its beginning.
        var from = folded.Length == text.Length ? Math.Max(0, at - (ExcerptLength / 3)) : 0;
        from = from == 0 ? 0 : text.IndexOf(' ', from) + 1;
        var part =
            text.Length - from <= ExcerptLength ? text[from..] : string.Concat(text.AsSpan(from, ExcerptLength), "…");
        return (from > 0 ? "…" : "") + part.ReplaceLineEndings(" ");
    }

    private static Results<Ok<HelpPageDto>, ProblemHttpResult> Page(string page, Workbench bench) =>
        HelpPages.Find(page) is { } found
            ? TypedResults.Ok(
                new HelpPageDto(
                    found.Id,
                    found.Title,
                    [
                        .. bench.Run(
                            WorkKind.Showing,
                            "This page",
                            _ =>
                                found
                                    .Sections.Select(section => new HelpSectionDto(
                                        section.Anchor,
                                        section.Title,
                                        section.Html
                                    ))
                                    .ToList()
                        ),
                    ]
                )
            )
            : Problems.Of(Unknown("page", page));

    private static Results<FileContentHttpResult, ProblemHttpResult> Stage(
        string method,
        string stage,
        Workbench bench,
        HttpContext http
    )
    {
        var drawn =
            Enum.TryParse<Method>(method, ignoreCase: true, out var how)
            && Enum.IsDefined(how)
            && Enum.TryParse<StageId>(stage, ignoreCase: true, out var what)
                ? bench.Run(WorkKind.Showing, "This drawing", _ => HelpExamples.Drawing(how, what))
                : null;
        return drawn is null ? Problems.Of(Unknown("stage", $"{method}/{stage}")) : Svg(drawn, http);
    }

    private static FileContentHttpResult Svg(string drawn, HttpContext http)
    {
        http.Response.Headers.CacheControl = "private, max-age=3600";
        return TypedResults.File(Encoding.UTF8.GetBytes(drawn), "image/svg+xml");
    }

    private static Results<FileContentHttpResult, ProblemHttpResult> Cover(
        string kind,
        Workbench bench,
        HttpContext http
    )
    {
        if (!Enum.TryParse<CoverKind>(kind, ignoreCase: true, out var cover) || !Enum.IsDefined(cover))
        {
            return Problems.Of(Unknown("cover", kind));
        }
        var png = bench.Run(WorkKind.Showing, "This picture", _ => HelpExamples.Picture(cover));
        http.Response.Headers.CacheControl = "private, max-age=3600";
        return TypedResults.File(png, "image/png");
    }

    private static Refusal Unknown(string what, string name) =>
        new($"help-{what}-unknown", what, $"The help has no {what} \"{name}\".") { Kind = RefusalKind.NotFound };
}
