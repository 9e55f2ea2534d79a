using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Sketches;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>A small drawing as it stands on its shelf.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">What it shows.</param>
/// <param name="Parts">From the lowest to the topmost, on a square of 100 units about its middle.</param>
/// <param name="Smallest">How small it may be in each way.</param>
/// <param name="IsOwn">True for one that a person put there.</param>
public sealed record SketchDto(
    string Id,
    string Name,
    ImmutableArray<SketchPartDto> Parts,
    ImmutableArray<SketchSmallest> Smallest,
    bool IsOwn
);

/// <summary>A group to be put on the shelf.</summary>
public sealed record NewSketch
{
    /// <summary>The project that it stands in.</summary>
    public required string ProjectId { get; init; }

    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>What it shows.</summary>
    public required string Name { get; init; }

    /// <summary>Other words by which it is found.</summary>
    public string Words { get; init; } = "";
}

/// <summary>A drawing that was put on the shelf.</summary>
public sealed record ShelvedSketch(string Id);

/// <summary>A part as it is drawn.</summary>
/// <param name="Path">SVG path data.</param>
/// <param name="Colour">#rrggbb.</param>
/// <param name="IsLine">True for an open line, which is not filled.</param>
public sealed record SketchPartDto(string Path, string Colour, bool IsLine);

/// <summary>How small a drawing may be in a way, mm.</summary>
public sealed record SketchSmallest(SketchWay Way, double Size);

/// <summary>What becomes of a drawing at a size, in words.</summary>
/// <param name="IsFit">True when it can be set so.</param>
/// <param name="Said">What is left out of it, or why it can't be set.</param>
public sealed record SketchFitDto(bool IsFit, string Said);

/// <summary>The small drawings of our own.</summary>
internal static class SketchEndpoints
{
    private static readonly Lazy<ImmutableArray<(Sketch Sketch, SketchDto Dto)>> All = new(() =>
        [.. SketchShelf.All.Select(sketch => (sketch, Of(sketch)))]
    );

    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/sketches").WithTags("Sketches");
        group.MapGet("", Found).WithName("listSketches");
        group.MapPost("", Keep).WithName("keepSketch");
        group.MapDelete("{sketchId}", Remove).WithName("removeSketch");
        group.MapGet("{sketchId}/fit", Fit).WithName("fitSketch");
    }

    /// <summary>Those that a search finds, a person's own first; all without one.</summary>
    private static Ok<List<SketchDto>> Found(string? search, OwnSketchShelf own) =>
        TypedResults.Ok(
            own.All.Select(each => each.Sketch.Drawn(each.Id))
                .Where(sketch => sketch.Answers(search ?? ""))
                .Select(sketch => Of(sketch, isOwn: true))
                .Concat(All.Value.Where(each => each.Sketch.Answers(search ?? "")).Select(each => each.Dto))
                .ToList()
        );

    private static async Task<Results<Created<ShelvedSketch>, ProblemHttpResult>> Keep(
        NewSketch wish,
        DocumentHistory history,
        OwnSketchShelf shelf,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Load(wish.ProjectId, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(wish.ProjectId));
        }
        var drawn = bench.Run(
            WorkKind.Changing,
            "Putting this drawing on the shelf",
            token =>
                OwnSketch.Of(
                    head.Project,
                    wish.ElementIds,
                    wish.Name,
                    wish.Words,
                    history.Context with
                    {
                        Cancellation = token,
                    }
                )
        );
        if (!drawn.IsOk)
        {
            return Problems.Of(drawn.Refusal!);
        }
        var kept = await shelf.Add(drawn.Value, assets, cancellation);
        return kept.IsOk
            ? TypedResults.Created($"/api/sketches/{kept.Value}", new ShelvedSketch(kept.Value))
            : Problems.Of(kept.Refusal!);
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Remove(
        string sketchId,
        OwnSketchShelf shelf,
        UlletDb db,
        CancellationToken cancellation
    ) =>
        await shelf.Remove(sketchId, db, cancellation)
            ? TypedResults.NoContent()
            : Problems.Of(
                new Refusal(
                    "sketch-unknown",
                    "sketchId",
                    "Only drawings that you put on the shelf can be taken off it; this is none of them."
                )
                {
                    Kind = RefusalKind.NotFound,
                }
            );

    private static Results<Ok<SketchFitDto>, ProblemHttpResult> Fit(
        string sketchId,
        string way,
        double size,
        OwnSketchShelf own
    )
    {
        if (!Enum.TryParse<SketchWay>(way, ignoreCase: true, out var set) || !Enum.IsDefined(set))
        {
            return Problems.Of(
                new Refusal(
                    "sketch-way-unknown",
                    "way",
                    $"A drawing is set in cloth, in thread or in line, not in \"{way}\"."
                )
            );
        }
        if ((SketchShelf.Find(sketchId) ?? own.Find(sketchId)?.Drawn(sketchId)) is not { } sketch)
        {
            return Problems.Of(
                new Refusal("sketch-unknown", "sketchId", $"There is no small drawing \"{sketchId}\".")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
        }
        return TypedResults.Ok(
            SketchFit.Check(sketch, set, size) is { } refusal
                ? new SketchFitDto(false, refusal.Words)
                : new SketchFitDto(true, SketchFit.Said(sketch, set, size))
        );
    }

    private static SketchDto Of(Sketch sketch, bool isOwn = false) =>
        new(
            sketch.Id,
            sketch.Name,
            [
                .. sketch.Parts.Select(
                    (part, i) =>
                        new SketchPartDto(
                            PathText.Of(SketchMaking.OutlineOf(SketchMaking.Element(sketch, i, SketchMaking.Square))),
                            part.Colour.Colour,
                            part.Role == SketchRole.Stroke
                        )
                ),
            ],
            [.. Enum.GetValues<SketchWay>().Select(way => new SketchSmallest(way, SketchFit.Smallest(sketch, way)))],
            isOwn
        );
}
