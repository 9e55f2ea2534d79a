using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Evaluation;
using Ullet.Core.Projects;
using Ullet.Files.Pictures;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Pictures;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>A state of a project.</summary>
/// <param name="Id">Names it; later states have higher ones.</param>
/// <param name="ParentId">The state that it was made on.</param>
/// <param name="Label">What made it.</param>
/// <param name="At">When, Unix ms.</param>
/// <param name="IsHead">True for how the project stands now.</param>
/// <param name="Name">What a person calls it; null without.</param>
/// <param name="IsOnTheWay">True for the present state and those that it was made on; false for what was undone.</param>
public sealed record RevisionDto(
    long Id,
    long? ParentId,
    string Label,
    long At,
    bool IsHead,
    string? Name,
    bool IsOnTheWay
);

/// <summary>What a state is to be called; null or empty for no name.</summary>
public sealed record StateName(string? Name);

/// <summary>A project's history: states with pictures and names, and the way back to them.</summary>
internal static class HistoryEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/revisions").WithTags("History");
        group.MapGet("", List).WithName("listRevisions");
        group.MapPut("{revision:long}/name", Call).WithName("nameRevision");
        group.MapGet("{revision:long}/picture.png", Picture).WithName("getRevisionPicture");
        group.MapPost("{revision:long}/restore", GoBack).WithName("goBack");
    }

    private static async Task<Results<Ok<List<RevisionDto>>, ProblemHttpResult>> List(
        string id,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var row = await db
            .Projects.AsNoTracking()
            .FirstOrDefaultAsync(p => p.Id == id && p.DeletedAt == null, cancellation);
        if (row is null)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var revisions = await db
            .Revisions.AsNoTracking()
            .Where(r => r.ProjectId == id)
            .OrderByDescending(r => r.Id)
            .Select(r => new RevisionDto(r.Id, r.ParentId, r.Label, r.At, r.Id == row.HeadId, r.Name, false))
            .ToListAsync(cancellation);
        var parents = revisions.ToDictionary(r => r.Id, r => r.ParentId);
        var way = new HashSet<long>();
        for (long? at = row.HeadId; at is { } state && parents.TryGetValue(state, out var parent); at = parent)
        {
            way.Add(state);
        }
        return TypedResults.Ok(revisions.ConvertAll(r => r with { IsOnTheWay = way.Contains(r.Id) }));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Call(
        string id,
        long revision,
        StateName wish,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var name = PlainText.Line(wish.Name ?? "");
        if (name.Length > 0 && Limits.CheckName(name, "The state") is { } refusal)
        {
            return Problems.Of(refusal);
        }
        var called = name.Length == 0 ? null : name;
        var changed = await db
            .Revisions.Where(r => r.Id == revision && r.ProjectId == id)
            .ExecuteUpdateAsync(set => set.SetProperty(r => r.Name, called), cancellation);
        return changed == 1 ? TypedResults.NoContent() : Problems.Of(DocumentHistory.UnknownState(revision));
    }

    /// <summary>A state's picture, of projects in the bin too; a state never changes, so its picture never does.</summary>
    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Picture(
        string id,
        long revision,
        UlletDb db,
        AssetStore assets,
        Evaluator evaluator,
        StatePictures kept,
        Workbench bench,
        HttpContext http,
        CancellationToken cancellation
    )
    {
        var row = await db
            .Revisions.AsNoTracking()
            .FirstOrDefaultAsync(r => r.Id == revision && r.ProjectId == id, cancellation);
        if (row is null)
        {
            return Problems.Of(DocumentHistory.UnknownState(revision));
        }
        var png = kept.Find(id, revision);
        if (png is null)
        {
            var project = Snapshot.Unpack(row.Snapshot);
            var photos = AssetStore.PicturesOf(await assets.Of(project, cancellation));
            png = bench.Run(
                WorkKind.Showing,
                "This picture",
                token =>
                    ProjectPicture.Png(
                        evaluator.Evaluate(project, token),
                        StatePictures.Size,
                        PictureFrame.Field,
                        photos
                    )
            );
            kept.Keep(id, revision, png);
        }
        http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return TypedResults.File(png, "image/png");
    }

    private static async Task<Results<Ok<EditAnswer>, ProblemHttpResult>> GoBack(
        string id,
        long revision,
        HeadRequest request,
        DocumentHistory history,
        SceneAnswers answers,
        CancellationToken cancellation
    ) => await answers.Of(await history.GoBack(id, request.Head, revision, cancellation), cancellation);
}
