using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Hosting;
using Ullet.Server.Pictures;

namespace Ullet.Server.Endpoints;

/// <summary>A project on the shelf. Times are Unix ms.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Title">What it is called.</param>
/// <param name="Head">Its current state.</param>
/// <param name="UpdatedAt">When it was changed last.</param>
/// <param name="Hoop">Its hoop; empty for a damaged one.</param>
/// <param name="Pieces">How many elements it has.</param>
/// <param name="Damage">Why it can't be opened, as a sentence; null for a whole one.</param>
public sealed record ShelfItem(
    string Id,
    string Title,
    long Head,
    long UpdatedAt,
    string Hoop,
    int Pieces,
    ShelfDamage? Damage = null
);

/// <summary>What is wrong with a project on the shelf.</summary>
/// <param name="Words">Why it can't be opened.</param>
/// <param name="LastReadable">When its last readable state was saved, Unix ms; null when there is none.</param>
public sealed record ShelfDamage(string Words, long? LastReadable);

/// <summary>GET /api/projects: the shelf.</summary>
internal static class ShelfEndpoints
{
    internal static void Map(IEndpointRouteBuilder app) =>
        app.MapGroup("/api/projects").WithTags("Projects").MapGet("", List).WithName("listProjects");

    private static async Task<Ok<List<ShelfItem>>> List(
        ServerOptions options,
        IServiceProvider services,
        FirstAnswer first,
        HttpContext http,
        ILogger<ShelfItem> log,
        CancellationToken cancellation
    )
    {
        http.Response.OnCompleted(() =>
        {
            first.Tell();
            return Task.CompletedTask;
        });
        var items = new List<ShelfItem>();
        foreach (var row in ShelfRows.Read(options.DataFolder))
        {
            cancellation.ThrowIfCancellationRequested();
            items.Add(await Item(row, services, log, cancellation));
        }
        return TypedResults.Ok(items);
    }

    /// <summary>A card of the shelf; one for a damaged project says what is wrong, and the others are shown all the same.</summary>
    private static async Task<ShelfItem> Item(
        ShelfRow row,
        IServiceProvider services,
        ILogger<ShelfItem> log,
        CancellationToken cancellation
    )
    {
        var why = "the state that it should be in is not there";
        if (row.Snapshot is { } snapshot && Snapshot.TryUnpack(snapshot, out var project, out why))
        {
            return new ShelfItem(
                row.Id,
                row.Title,
                row.HeadId,
                row.UpdatedAt,
                project!.Hooping.Hoop.Name,
                project.Elements.Length
            );
        }
        log.LogError("Project {Id} can't be read: {Why}", row.Id, why);
        var db = services.GetRequiredService<UlletDb>();
        var last = await services.GetRequiredService<ProjectRepair>().LastReadable(row.Id, cancellation);
        var savedAt = last is { } found
            ? await db.Revisions.Where(r => r.Id == found.Revision).Select(r => r.At).FirstAsync(cancellation)
            : (long?)null;
        return new ShelfItem(
            row.Id,
            row.Title,
            row.HeadId,
            row.UpdatedAt,
            "",
            0,
            new ShelfDamage(Sentence(why), savedAt)
        );
    }

    private static string Sentence(string why) =>
        why.StartsWith("This project", StringComparison.Ordinal) ? why : $"This project can't be opened: {why}.";
}
