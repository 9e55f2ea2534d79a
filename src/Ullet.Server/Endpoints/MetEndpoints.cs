using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>Stages that need not be explained again.</summary>
public sealed record MetStages(ImmutableArray<StageId> Stages);

/// <summary>/api/met: a stage is explained where it is first met, once.</summary>
internal static class MetEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/met").WithTags("Help");
        group.MapGet("", (KeptShelf kept) => TypedResults.Ok(Of(kept))).WithName("listMet");
        group.MapPost("", Meet).WithName("meet");
    }

    private static MetStages Of(KeptShelf kept) =>
        new([.. StageTable.All.Select(row => row.Id).Where(id => kept.Met.Contains(id.ToString()))]);

    private static async Task<Ok<MetStages>> Meet(
        MetStages met,
        KeptShelf kept,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        foreach (var stage in met.Stages.Distinct())
        {
            await kept.Meet(stage.ToString(), db, cancellation);
        }
        return TypedResults.Ok(Of(kept));
    }
}
