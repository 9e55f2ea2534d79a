using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Stash;
using Ullet.Server.Data;
using Ullet.Server.Stash;

namespace Ullet.Server.Endpoints;

/// <summary>A thread of the stash.</summary>
/// <param name="Thread">It.</param>
/// <param name="Label">Number and name.</param>
/// <param name="Alike">Other threads of the stash that can hardly be told from it.</param>
public sealed record StashThreadDto(StashThread Thread, string Label, ImmutableArray<string> Alike);

/// <summary>A thread of the stash beside a colour.</summary>
/// <param name="Thread">It.</param>
/// <param name="Label">Number and name.</param>
/// <param name="Apart">How far its colour lies from the asked one, CIEDE2000.</param>
/// <param name="Words">The same in words.</param>
public sealed record NearThreadDto(StashThread Thread, string Label, double Apart, string Words);

/// <summary>/api/stash: the cloths and threads that a household owns.</summary>
internal static class StashEndpoints
{
    /// <summary>Most near threads that are answered.</summary>
    private const int MostNear = 50;

    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/stash").WithTags("Stash");
        group.MapGet("cloths", Cloths).WithName("listStashCloths");
        group.MapPost("cloths", KeepCloth).WithName("keepStashCloth");
        group
            .MapDelete(
                "cloths/{id}",
                (string id, StashShelf stash, UlletDb db, CancellationToken cancellation) =>
                    Removed(stash.RemoveCloth(id, db, cancellation))
            )
            .WithName("removeStashCloth");
        group.MapGet("threads", Threads).WithName("listStashThreads");
        group.MapPost("threads", KeepThread).WithName("keepStashThread");
        group
            .MapDelete(
                "threads/{id}",
                (string id, StashShelf stash, UlletDb db, CancellationToken cancellation) =>
                    Removed(stash.RemoveThread(id, db, cancellation))
            )
            .WithName("removeStashThread");
        group.MapGet("threads/near", Near).WithName("nearStashThreads");
        group.MapGet("threads.csv", Csv).WithName("getStashThreads");
        group.MapPost("threads/table", Bring).WithName("bringStashThreads");
    }

    private static Ok<List<StashCloth>> Cloths(StashShelf stash, string search = "") =>
        TypedResults.Ok(stash.Cloths.Where(cloth => cloth.Answers(search)).ToList());

    private static Ok<List<StashThreadDto>> Threads(StashShelf stash, string search = "")
    {
        var alike = stash.Alike;
        return TypedResults.Ok(
            stash
                .Threads.Where(thread => thread.Answers(search))
                .Select(thread => new StashThreadDto(
                    thread,
                    thread.Label,
                    [.. alike.To(thread.Id).Select(stash.FindThread).OfType<StashThread>().Select(other => other.Label)]
                ))
                .ToList()
        );
    }

    /// <summary>The threads nearest to a colour, nearest first.</summary>
    private static Results<Ok<List<NearThreadDto>>, ProblemHttpResult> Near(
        StashShelf stash,
        string colour,
        string search = "",
        int most = 8
    )
    {
        if (Limits.CheckColour(colour, "The search") is { } refusal)
        {
            return Problems.Of(refusal);
        }
        return TypedResults.Ok(
            stash
                .Threads.Where(thread => thread.Answers(search))
                .Select(thread => (Thread: thread, Apart: ColourDistance.Between(thread.Colour, colour)))
                .OrderBy(each => each.Apart)
                .Take(Math.Clamp(most, 1, MostNear))
                .Select(each => new NearThreadDto(
                    each.Thread,
                    each.Thread.Label,
                    Math.Round(each.Apart, 1),
                    InWords(each.Apart)
                ))
                .ToList()
        );
    }

    private static string InWords(double apart) =>
        apart switch
        {
            < 1 => "the same shade",
            <= ColourDistance.HardlyTold => "hardly to be told apart",
            <= ColourDistance.Near => "near",
            _ => "another shade",
        };

    private static async Task<Results<Ok<StashCloth>, ProblemHttpResult>> KeepCloth(
        StashCloth cloth,
        StashShelf stash,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var kept = await stash.Keep(cloth, db, cancellation);
        return kept.IsOk ? TypedResults.Ok(kept.Value) : Problems.Of(kept.Refusal!);
    }

    private static async Task<Results<Ok<StashThread>, ProblemHttpResult>> KeepThread(
        StashThread thread,
        StashShelf stash,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var kept = await stash.Keep(thread, db, cancellation);
        return kept.IsOk ? TypedResults.Ok(kept.Value) : Problems.Of(kept.Refusal!);
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Removed(Task<Refusal?> removing) =>
        await removing is { } refusal ? Problems.Of(refusal) : TypedResults.NoContent();

    private static FileContentHttpResult Csv(StashShelf stash) =>
        TypedResults.File(ThreadTable.Write(stash.Threads), "text/csv", "threads.csv");

    private static async Task<Results<Ok<ThreadTableDto>, ProblemHttpResult>> Bring(
        ThreadTableWish wish,
        StashTables tables,
        CancellationToken cancellation
    )
    {
        var brought = await tables.Bring(wish, cancellation);
        return brought.IsOk ? TypedResults.Ok(brought.Value) : Problems.Of(brought.Refusal!);
    }
}
