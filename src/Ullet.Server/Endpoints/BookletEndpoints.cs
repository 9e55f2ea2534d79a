using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Files.Booklets;
using Ullet.Server.Documents;
using Ullet.Server.Hosting;

namespace Ullet.Server.Endpoints;

/// <summary>The booklet: on paper, and as a page.</summary>
internal static class BookletEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Files");
        group.MapGet("booklet.pdf", Pdf).WithName("getBooklet").AddEndpointFilter(new HandedFilter());
        group.MapGet("booklet.html", Page).WithName("getBookletPage");
    }

    private static Task<Results<FileContentHttpResult, ProblemHttpResult>> Pdf(
        string id,
        HeadFiles headFiles,
        CancellationToken cancellation,
        string paper = "a4",
        string type = "large",
        bool despite = false
    )
    {
        if (!Enum.TryParse<BookletPaper>(paper, ignoreCase: true, out var page) || !Enum.IsDefined(page))
        {
            return Refused(new Refusal("paper-unknown", "paper", "A booklet is made on \"a4\" or \"letter\"."));
        }
        if (!Enum.TryParse<BookletType>(type, ignoreCase: true, out var letters) || !Enum.IsDefined(letters))
        {
            return Refused(new Refusal("type-unknown", "type", "A booklet's type is \"large\" or \"compact\"."));
        }
        return headFiles.File(
            id,
            evaluated => ExportEndpoints.Released(evaluated, despite),
            (evaluated, assets) =>
                (
                    BookletPdf.Of(evaluated, page, letters, AssetStore.PicturesOf(assets)),
                    "application/pdf",
                    FileNames.Booklet(evaluated)
                ),
            cancellation
        );
    }

    private static Task<Results<FileContentHttpResult, ProblemHttpResult>> Refused(Refusal refusal) =>
        Task.FromResult<Results<FileContentHttpResult, ProblemHttpResult>>(Problems.Of(refusal));

    private static async Task<Results<ContentHttpResult, ProblemHttpResult>> Page(
        string id,
        HeadFiles headFiles,
        HttpContext http,
        CancellationToken cancellation,
        bool despite = false
    )
    {
        if (await headFiles.Of(id, cancellation) is not { } evaluated)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var released = ExportEndpoints.Released(evaluated, despite);
        if (!released.IsOk)
        {
            return Problems.Of(released.Refusal!);
        }
        var nonce = Safety.NewNonce();
        http.Response.Headers.ContentSecurityPolicy =
            $"default-src 'none'; style-src 'nonce-{nonce}'; img-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
        return TypedResults.Content(
            headFiles.Compute(
                "This booklet",
                () => BookletHtml.Of(released.Value, $"/api/projects/{id}/picture.png?size=900&frame=design", nonce)
            ),
            "text/html",
            Encoding.UTF8
        );
    }
}
