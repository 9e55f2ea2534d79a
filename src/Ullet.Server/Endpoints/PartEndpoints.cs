using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>A part as it stands on its shelf; lengths in mm.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Tags">Words by which it is found.</param>
/// <param name="Width">Its own width.</param>
/// <param name="Height">Its own height.</param>
/// <param name="LiesOn">What it lay on where it comes from.</param>
/// <param name="Elements">How many elements it has.</param>
/// <param name="Hands">What hands do with it.</param>
/// <param name="Lines">How it is drawn.</param>
/// <param name="Box">Where it is drawn.</param>
public sealed record PartDto(
    string Id,
    string Name,
    ImmutableArray<string> Tags,
    double Width,
    double Height,
    string LiesOn,
    int Elements,
    ImmutableArray<string> Hands,
    ImmutableArray<PartLineDto> Lines,
    SizeDto Box
);

/// <summary>A line of a part's picture.</summary>
/// <param name="Path">SVG path data, mm.</param>
/// <param name="Colour">#rrggbb.</param>
/// <param name="IsFilled">True for cloth, false for stitches.</param>
public sealed record PartLineDto(string Path, string Colour, bool IsFilled);

/// <summary>A selection to be kept.</summary>
public sealed record NewPart
{
    /// <summary>The project that it stands in.</summary>
    public required string ProjectId { get; init; }

    public required ImmutableArray<string> ElementIds { get; init; }

    public required string Name { get; init; }

    public ImmutableArray<string> Tags { get; init; } = [];
}

/// <summary>A part that was kept.</summary>
public sealed record KeptPart(string Id);

/// <summary>The parts that a household keeps.</summary>
internal static class PartEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/parts").WithTags("Parts");
        group.MapGet("", Found).WithName("listParts");
        group.MapPost("", Keep).WithName("keepPart");
        group.MapDelete("{partId}", Remove).WithName("removePart");
    }

    private static Ok<List<PartDto>> Found(string? search, PartShelf shelf, DocumentHistory history) =>
        TypedResults.Ok(
            shelf
                .All.Where(each => each.Part.Answers(search ?? ""))
                .Select(each => Of(each.Id, each.Part, history.Context))
                .ToList()
        );

    private static async Task<Results<Created<KeptPart>, ProblemHttpResult>> Keep(
        NewPart wish,
        DocumentHistory history,
        PartShelf shelf,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Load(wish.ProjectId, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(wish.ProjectId));
        }
        var part = bench.Run(
            WorkKind.Changing,
            "Keeping this part",
            token =>
                Part.Of(
                    head.Project,
                    wish.ElementIds,
                    wish.Name,
                    wish.Tags.IsDefault ? [] : wish.Tags,
                    history.Context with
                    {
                        Cancellation = token,
                    }
                )
        );
        if (!part.IsOk)
        {
            return Problems.Of(part.Refusal!);
        }
        var kept = await shelf.Add(part.Value, assets, cancellation);
        return kept.IsOk
            ? TypedResults.Created($"/api/parts/{kept.Value}", new KeptPart(kept.Value))
            : Problems.Of(kept.Refusal!);
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Remove(
        string partId,
        PartShelf shelf,
        UlletDb db,
        CancellationToken cancellation
    ) =>
        await shelf.Remove(partId, db, cancellation)
            ? TypedResults.NoContent()
            : Problems.Of(
                new Refusal("part-unknown", "partId", "There is no such part on the shelf.")
                {
                    Kind = RefusalKind.NotFound,
                }
            );

    private static PartDto Of(string id, Part part, EditContext context)
    {
        var lines = ImmutableArray.CreateBuilder<PartLineDto>();
        var box = Core.Geometry.Box.Empty;
        foreach (var element in part.Clip.Elements)
        {
            var outline = context.Evaluator.OutlineOf(element);
            box = box.Union(outline.Bounds());
            var making = Core.Makings.MakingModules.Of(element);
            var cloth = making.ClothOf(element.Making) is { } clothId
                ? part.Clip.Cloths.FirstOrDefault(own => own.Id == clothId)?.Colour
                : null;
            var thread = making
                .ThreadIds(element.Making)
                .Select(threadId => part.Clip.Threads.FirstOrDefault(own => own.Id == threadId)?.Colour);
            lines.Add(
                new PartLineDto(
                    PathText.Of(outline),
                    cloth ?? thread.OfType<string>().FirstOrDefault() ?? "#4a5868",
                    cloth is not null
                )
            );
        }
        return new PartDto(
            id,
            part.Name,
            part.Tags,
            part.Width,
            part.Height,
            part.LiesOn,
            part.Clip.Elements.Length,
            part.Hands,
            lines.ToImmutable(),
            SceneBuilder.Size(box) ?? new SizeDto(0, 0, 1, 1)
        );
    }
}
