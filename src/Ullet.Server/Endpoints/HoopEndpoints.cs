using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>A hoop that is to be kept for all projects.</summary>
public sealed record NewHoop
{
    /// <summary>The hoop whose numbers these are from now on; null for a new one.</summary>
    public string? Id { get; init; }

    public required string Name { get; init; }

    /// <summary>mm, 30 to 1,000.</summary>
    public required double FieldWidth { get; init; }

    /// <summary>mm, 30 to 1,000.</summary>
    public required double FieldHeight { get; init; }

    /// <summary>Where the mark of its middle lies, mm right of the field's centre.</summary>
    public double MiddleX { get; init; }

    /// <summary>Where the mark of its middle lies, mm below the field's centre.</summary>
    public double MiddleY { get; init; }

    /// <summary>Room kept free at the left and right edges, mm.</summary>
    public double MarginAcross { get; init; }

    /// <summary>Room kept free at the upper and lower edges, mm.</summary>
    public double MarginDown { get; init; }
}

/// <summary>/api/hoops: the hoops that somebody owns.</summary>
internal static class HoopEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/hoops").WithTags("Hoops");
        group.MapGet("", (KeptShelf kept) => TypedResults.Ok(kept.Hoops)).WithName("listHoops");
        group.MapPost("", Keep).WithName("keepHoop");
        group.MapDelete("{id}", Forget).WithName("forgetHoop");
    }

    private static async Task<Results<Ok<OwnHoop>, ProblemHttpResult>> Keep(
        NewHoop wish,
        KeptShelf kept,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var hoop = new Hoop(PlainText.Line(wish.Name), wish.FieldWidth, wish.FieldHeight)
        {
            MiddleX = wish.MiddleX,
            MiddleY = wish.MiddleY,
            MarginAcross = wish.MarginAcross,
            MarginDown = wish.MarginDown,
        };
        var own = await kept.Keep(wish.Id, hoop, db, cancellation);
        return own.IsOk ? TypedResults.Ok(own.Value) : Problems.Of(own.Refusal!);
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Forget(
        string id,
        KeptShelf kept,
        UlletDb db,
        CancellationToken cancellation
    ) => await kept.Forget(id, db, cancellation) ? TypedResults.NoContent() : Problems.Of(KeptShelf.NoHoop(id));
}
