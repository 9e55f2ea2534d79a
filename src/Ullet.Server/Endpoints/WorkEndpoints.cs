using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>/api/work: the queue of heavy computations. A client that leaves cancels its own as well.</summary>
internal static class WorkEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/work").WithTags("Work");
        group
            .MapGet("", Queue)
            .WithName("listWork")
            .WithDescription("Heavy computations, the one being computed first.");
        group.MapDelete("{id}", Cancel).WithName("cancelWork");
    }

    private static Ok<ImmutableArray<WorkItem>> Queue(HeavyWork queue) => TypedResults.Ok(queue.Items);

    private static Results<NoContent, ProblemHttpResult> Cancel(string id, HeavyWork queue) =>
        queue.Cancel(id)
            ? TypedResults.NoContent()
            : Problems.Of(
                new Refusal("work-unknown", "id", "That computation is done, or was never in the queue.")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
}
