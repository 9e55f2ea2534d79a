using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Pictures;
using Ullet.Server.Shelf;

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
)
{
    /// <summary>When it was begun.</summary>
    public required long CreatedAt { get; init; }

    public required ImmutableArray<string> Tags { get; init; }

    /// <summary>The set that it belongs to; null for none.</summary>
    public ShelfSet? Set { get; init; }

    /// <summary>True when another project on the shelf has the same title.</summary>
    public required bool HasNamesake { get; init; }
}

/// <summary>A tag, and how many projects on the shelf have it.</summary>
public sealed record TagCount(string Tag, int Count);

/// <summary>A set, and how many projects on the shelf belong to it.</summary>
public sealed record SetCount(string Id, string Name, int Count);

/// <summary>What the shelf can be narrowed by.</summary>
/// <param name="Tags">All tags, by their names.</param>
/// <param name="Sets">All sets, by their names.</param>
/// <param name="Count">How many projects stand on it.</param>
/// <param name="Binned">How many lie in the bin.</param>
public sealed record ShelfLabels(ImmutableArray<TagCount> Tags, ImmutableArray<SetCount> Sets, int Count, int Binned);

/// <summary>A project in the bin. Times are Unix ms.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Title">What it is called.</param>
/// <param name="Head">The state that it was in.</param>
/// <param name="DeletedAt">When it was thrown away.</param>
/// <param name="GoesAt">When it goes for good; null for one that orders need.</param>
/// <param name="Hoop">Its hoop.</param>
/// <param name="Pieces">How many elements it has.</param>
public sealed record BinItem(string Id, string Title, long Head, long DeletedAt, long? GoesAt, string Hoop, int Pieces);

/// <summary>What is done with several projects at once, all of it or nothing.</summary>
public sealed record ShelfChange
{
    /// <summary>Most projects of one change.</summary>
    public const int Most = 2000;

    public required ImmutableArray<string> Ids { get; init; }

    public ImmutableArray<string> AddTags { get; init; } = [];

    public ImmutableArray<string> RemoveTags { get; init; } = [];

    /// <summary>The set that they are put into by its id.</summary>
    public string? SetId { get; init; }

    /// <summary>The name of a new set that they are put into.</summary>
    public string? NewSet { get; init; }

    /// <summary>True to take them out of their sets.</summary>
    public bool LeaveSet { get; init; }

    /// <summary>True to throw them into the bin, false to put them back; null for neither.</summary>
    public bool? Binned { get; init; }
}

/// <summary>The shelf, the bin, and what is done with several projects at once.</summary>
internal static class ShelfEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/projects", List).WithTags("Projects").WithName("listProjects");
        var shelf = app.MapGroup("/api/shelf").WithTags("Projects");
        shelf.MapGet("labels", Labels).WithName("shelfLabels");
        shelf.MapPost("changes", Change).WithName("changeShelf");
        var bin = app.MapGroup("/api/bin").WithTags("Projects");
        bin.MapGet("", Bin).WithName("listBin");
        bin.MapDelete("{id}", Forget).WithName("removeForGood");
    }

    /// <summary>The projects on the shelf: all, or those that a search, a tag or a set finds; changed last first, by name, or begun last
    /// first.</summary>
    private static Results<Ok<List<ShelfItem>>, ProblemHttpResult> List(
        ShelfIndex index,
        FirstAnswer first,
        HttpContext http,
        string search = "",
        string tag = "",
        string set = "",
        string sort = "changed"
    )
    {
        http.Response.OnCompleted(() =>
        {
            first.Tell();
            return Task.CompletedTask;
        });
        if (!Enum.TryParse<ShelfSort>(sort, ignoreCase: true, out var order) || !Enum.IsDefined(order))
        {
            return Problems.Of(
                new Refusal("sort-unknown", "sort", "The shelf is sorted by \"changed\", \"name\" or \"begun\".")
            );
        }
        var all = index.Shelved;
        var twice = Namesakes(all);
        return TypedResults.Ok(
            ShelfSearch.Of(all, search, tag, set, order).Select(entry => Item(entry, twice)).ToList()
        );
    }

    private static HashSet<string> Namesakes(ImmutableArray<ShelfEntry> all) =>
        all.GroupBy(entry => entry.Row.Title, StringComparer.OrdinalIgnoreCase)
            .Where(group => group.Skip(1).Any())
            .Select(group => group.Key)
            .ToHashSet(StringComparer.OrdinalIgnoreCase);

    private static ShelfItem Item(ShelfEntry entry, HashSet<string> twice) =>
        new(
            entry.Row.Id,
            entry.Row.Title,
            entry.Row.HeadId,
            entry.Row.UpdatedAt,
            entry.Facts.Hoop,
            entry.Facts.Pieces,
            entry.Damage
        )
        {
            CreatedAt = entry.Row.CreatedAt,
            Tags = entry.Tags,
            Set = entry.Set,
            HasNamesake = twice.Contains(entry.Row.Title),
        };

    private static Ok<ShelfLabels> Labels(ShelfIndex index)
    {
        var all = index.Shelved;
        return TypedResults.Ok(
            new ShelfLabels(
                [
                    .. all.SelectMany(entry => entry.Tags)
                        .GroupBy(SearchText.Folded, StringComparer.Ordinal)
                        .OrderBy(group => group.Key, StringComparer.Ordinal)
                        .Select(group => new TagCount(group.First(), group.Count())),
                ],
                [
                    .. all.Select(entry => entry.Set)
                        .OfType<ShelfSet>()
                        .GroupBy(set => set)
                        .OrderBy(group => group.Key.Name, StringComparer.OrdinalIgnoreCase)
                        .Select(group => new SetCount(group.Key.Id, group.Key.Name, group.Count())),
                ],
                all.Length,
                index.Binned.Length
            )
        );
    }

    private static async Task<Results<Ok<ShelfLabels>, ProblemHttpResult>> Change(
        ShelfChange change,
        ShelfChanges changes,
        ShelfIndex index,
        CancellationToken cancellation
    ) => await changes.Make(change, cancellation) is { } refusal ? Problems.Of(refusal) : Labels(index);

    private static async Task<Ok<List<BinItem>>> Bin(
        ShelfIndex index,
        ShelfChanges changes,
        CancellationToken cancellation
    )
    {
        var masters = await changes.Masters(cancellation);
        return TypedResults.Ok(
            index
                .Binned.Select(entry => new BinItem(
                    entry.Row.Id,
                    entry.Row.Title,
                    entry.Row.HeadId,
                    entry.DeletedAt ?? 0,
                    masters.Contains(entry.Row.Id) ? null : entry.DeletedAt + (long)BinEmptying.Kept.TotalMilliseconds,
                    entry.Facts.Hoop,
                    entry.Facts.Pieces
                ))
                .ToList()
        );
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Forget(
        string id,
        ShelfChanges changes,
        CancellationToken cancellation
    ) => await changes.Forget(id, cancellation) is { } refusal ? Problems.Of(refusal) : TypedResults.NoContent();
}
