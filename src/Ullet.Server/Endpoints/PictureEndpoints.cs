using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Files.Pictures;
using Ullet.Server.Documents;
using Ullet.Server.Pictures;

namespace Ullet.Server.Endpoints;

/// <summary>Pictures of a project: as it is, and in other colours.</summary>
internal static class PictureEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Files");
        group
            .MapGet("picture.png", Picture)
            .WithName("getPicture")
            .AddEndpointFilter(new HandedFilter(onlyWhenAsked: true));
        group.MapGet("colourways/{colourwayId}/picture.png", InColours).WithName("getColourwayPicture");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Picture(
        string id,
        HeadFiles headFiles,
        DocumentHistory history,
        AssetStore assets,
        ShelfPictures kept,
        CancellationToken cancellation,
        int size = ShelfPictures.Size,
        string frame = "field",
        long? rev = null
    )
    {
        if (size is < ProjectPicture.LeastSize or > ProjectPicture.MostSize)
        {
            return Problems.Of(
                new Refusal(
                    "size-out-of-range",
                    "size",
                    $"A picture is from {ProjectPicture.LeastSize} to {ProjectPicture.MostSize} pixels large."
                )
            );
        }
        if (!Enum.TryParse<PictureFrame>(frame, ignoreCase: true, out var shown) || !Enum.IsDefined(shown))
        {
            return Problems.Of(
                new Refusal("frame-unknown", "frame", "A picture shows the \"field\" or the \"design\".")
            );
        }
        var isOfShelf = size == ShelfPictures.Size && shown == PictureFrame.Field;
        if (
            isOfShelf
            && rev is { } wanted
            && await history.Current(id, cancellation) == wanted
            && kept.Find(id, wanted) is { } png
        )
        {
            return TypedResults.File(png, "image/png");
        }
        var (head, evaluated) = await headFiles.Head(id, cancellation);
        if (head is null || evaluated is null)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var photos = AssetStore.PicturesOf(await assets.Of(evaluated.Project, cancellation));
        var made = headFiles.Compute("This picture", () => ProjectPicture.Png(evaluated, size, shown, photos));
        if (isOfShelf)
        {
            kept.Keep(id, head.Revision, made);
        }
        return TypedResults.File(made, "image/png", FileNames.Picture(evaluated));
    }

    /// <summary>A small picture of the project in other colours; it stays as it is.</summary>
    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> InColours(
        string id,
        string colourwayId,
        HeadFiles headFiles,
        AssetStore assets,
        Evaluator evaluator,
        CancellationToken cancellation
    )
    {
        var (head, evaluated) = await headFiles.Head(id, cancellation);
        if (head is null || evaluated is null)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        if (evaluated.Project.Colourways.FirstOrDefault(own => own.Id == colourwayId) is not { } colourway)
        {
            return Problems.Of(
                new Refusal("colourway-unknown", "colourwayId", "There is no such colourway in this project.")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
        }
        var photos = AssetStore.PicturesOf(await assets.Of(evaluated.Project, cancellation));
        var made = headFiles.Compute(
            "This picture",
            () =>
                ProjectPicture.Png(
                    evaluator.Evaluate(colourway.Worn(evaluated.Project)),
                    ShelfPictures.Size,
                    PictureFrame.Design,
                    photos
                )
        );
        return TypedResults.File(made, "image/png");
    }
}
