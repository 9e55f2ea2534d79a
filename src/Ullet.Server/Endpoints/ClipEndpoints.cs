using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Edits;
using Ullet.Server.Documents;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>Elements copied out of a project, to be pasted into this or another one.</summary>
internal static class ClipEndpoints
{
    internal static void Map(IEndpointRouteBuilder app) =>
        app.MapGet("/api/projects/{id}/clip", Copy).WithTags("Edits").WithName("copyElements");

    private static async Task<Results<Ok<Clip>, ProblemHttpResult>> Copy(
        string id,
        string elements,
        DocumentHistory history,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var clip = bench.Run(
            WorkKind.Showing,
            "Copying",
            token =>
                Clip.Of(
                    head.Project,
                    elements.Split(',', StringSplitOptions.RemoveEmptyEntries),
                    history.Context with
                    {
                        Cancellation = token,
                    }
                )
        );
        return clip.IsOk ? TypedResults.Ok(clip.Value) : Problems.Of(clip.Refusal!);
    }
}
