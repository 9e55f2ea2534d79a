using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>/api/projects/{id}/recover and /stored: what is left of a damaged project.</summary>
internal static class DamagedProjectEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects").WithTags("Projects");
        group
            .MapPost("{id}/recover", Recover)
            .WithName("recoverProject")
            .WithDescription("Makes the last readable state of a damaged project its head.");
        group
            .MapGet("{id}/stored", Stored)
            .WithName("getStoredState")
            .WithDescription("What is stored of a project's head, as it is: for a damaged one.");
    }

    private static async Task<Results<Ok<CreatedProject>, ProblemHttpResult>> Recover(
        string id,
        ProjectRepair repair,
        CancellationToken cancellation
    )
    {
        var saved = await repair.Restore(id, cancellation);
        return saved.IsOk
            ? TypedResults.Ok(new CreatedProject(id, saved.Value.Head.Revision))
            : Problems.Of(saved.Refusal!);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Stored(
        string id,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var row = await db.Projects.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, cancellation);
        if (row is null)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var snapshot = await db
            .Revisions.AsNoTracking()
            .Where(r => r.Id == row.HeadId)
            .Select(r => r.Snapshot)
            .FirstOrDefaultAsync(cancellation);
        var name = FileNames.Plain(row.Title);
        return snapshot is null
                ? Problems.Of(
                    new Refusal("project-lost", "id", "Nothing is stored of this project's state.")
                    {
                        Kind = RefusalKind.NotFound,
                    }
                )
            : Snapshot.Json(snapshot) is { } json ? TypedResults.File(json, "application/json", name + " stored.json")
            : TypedResults.File(snapshot, "application/octet-stream", name + " stored.bin");
    }
}
