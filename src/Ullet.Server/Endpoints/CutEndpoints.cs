using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Cutting;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;
using Ullet.Files.Instructions;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>The cloth that a coupon tests, and the method; the method is the cloth's usual one when it is not given.</summary>
public sealed record CouponWish
{
    public required string ClothId { get; init; }

    public Method? Method { get; init; }
}

/// <summary>Cut files in every format, each read back before it goes out, and what was made of them so far.</summary>
internal static class CutEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Cutting");
        group
            .MapGet("cut.{format}", CutFile)
            .WithName("getCutFile")
            .AddEndpointFilter(new HandedFilter())
            .WithDescription("Cut shapes as svg, dxf, eps, pdf or png: of a cloth, one of its sheets, or one element.");
        group.MapGet("scissors.pdf", Scissors).WithName("getScissorsPages").AddEndpointFilter(new HandedFilter());
        group.MapGet("size-card.pdf", SizeCard).WithName("getSizeCard").AddEndpointFilter(new HandedFilter());
        group.MapGet("exports", Exports).WithName("listExports");
        group.MapPost("coupon", MakeCoupon).WithName("makeCoupon");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> CutFile(
        string id,
        string format,
        [AsParameters] CutQuery query,
        HeadFiles headFiles,
        CutExports exports,
        CancellationToken cancellation
    )
    {
        if (await headFiles.Head(id, cancellation) is not ({ } head, { } evaluated))
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var made = headFiles.Compute(
            "This cut file",
            () =>
                query
                    .Wish(format)
                    .Then(wish =>
                        CutChoice
                            .Find(evaluated, query)
                            .Then(choice =>
                                CutExport
                                    .Make(choice.Page(evaluated.Project.Title), wish)
                                    .Then(bytes =>
                                        (Result<(CutChoice Choice, CutFileWish Wish, byte[] Bytes)>)
                                            (choice, wish, bytes)
                                    )
                            )
                    )
        );
        if (!made.IsOk)
        {
            return Problems.Of(made.Refusal!);
        }
        var (what, how, file) = made.Value;
        var name = FileNames.Cut(evaluated, what.Sheet, what.Placed, how.Ending);
        if (query.Trial != true)
        {
            await exports.TryNote(head, what.Sheet, what.Placed, how.Format, name, cancellation);
        }
        return TypedResults.File(file, how.MediaType, name);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Scissors(
        string id,
        HeadFiles headFiles,
        CancellationToken cancellation,
        string? paper = null
    )
    {
        if (await headFiles.Of(id, cancellation) is not { } evaluated)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var pages = headFiles.Compute(
            "These pages",
            () => CutQuery.PaperOf(paper).Then(size => ScissorsPages.Pdf(evaluated, size))
        );
        return pages.IsOk
            ? TypedResults.File(pages.Value, "application/pdf", FileNames.Scissors(evaluated))
            : Problems.Of(pages.Refusal!);
    }

    private static Task<Results<FileContentHttpResult, ProblemHttpResult>> SizeCard(
        string id,
        HeadFiles headFiles,
        CancellationToken cancellation
    ) =>
        headFiles.File(
            id,
            (evaluated, _) => (SizeCardSheet.Pdf(evaluated), "application/pdf", FileNames.SizeCard(evaluated)),
            cancellation
        );

    private static async Task<Results<Ok<List<CutExportDto>>, ProblemHttpResult>> Exports(
        string id,
        HeadFiles headFiles,
        CutExports exports,
        CancellationToken cancellation
    ) =>
        await headFiles.Of(id, cancellation) is { } evaluated
            ? TypedResults.Ok(await exports.Of(id, evaluated, cancellation))
            : Problems.Of(DocumentHistory.Unknown(id));

    private static async Task<Results<Created<CreatedProject>, ProblemHttpResult>> MakeCoupon(
        string id,
        CouponWish wish,
        DocumentHistory history,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        if (head.Project.FindCloth(wish.ClothId) is not { } cloth)
        {
            return Problems.Of(
                new Refusal("cloth-unknown", "clothId", $"There is no cloth \"{wish.ClothId}\" in this project.")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
        }
        var made = await history.Create(
            Coupon.Make(head.Project, cloth, wish.Method),
            "Make a coupon",
            cancellation,
            head.Project
        );
        return made.IsOk
            ? TypedResults.Created($"/api/projects/{made.Value.Id}", made.Value)
            : Problems.Of(made.Refusal!);
    }
}
