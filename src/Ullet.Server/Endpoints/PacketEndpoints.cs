using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>A file of a packet.</summary>
/// <param name="Name">Its name in the folder.</param>
/// <param name="What">What it is for.</param>
public sealed record PacketEntry(string Name, string What);

/// <summary>What a packet would hold.</summary>
/// <param name="Folder">What the folder is called unless somebody types another name.</param>
/// <param name="Files">The files in it.</param>
public sealed record PacketDto(string Folder, ImmutableArray<PacketEntry> Files);

/// <summary>The packet: what it holds, the packet itself, and what was handed out before.</summary>
internal static class PacketEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Files");
        group.MapGet("packet", Look).WithName("lookAtPacket");
        group.MapGet("packet.zip", Packet).WithName("getPacket").AddEndpointFilter(new HandedFilter());
        group.MapGet("handed-out", List).WithName("listHandedOut");
        group.MapGet("handed-out/{handedId:long}", Again).WithName("getHandedOut");
    }

    private static async Task<Results<Ok<PacketDto>, ProblemHttpResult>> Look(
        string id,
        HeadFiles headFiles,
        CancellationToken cancellation
    ) =>
        await headFiles.Of(id, cancellation) is { } evaluated
            ? TypedResults.Ok(
                new PacketDto(
                    FileNames.Folder(evaluated),
                    [.. PacketFile.Plan(evaluated).Select(file => new PacketEntry(file.Name, file.What))]
                )
            )
            : Problems.Of(DocumentHistory.Unknown(id));

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Packet(
        string id,
        HeadFiles headFiles,
        CutExports exports,
        HttpContext http,
        CancellationToken cancellation,
        bool despite = false,
        string? folder = null
    )
    {
        if (Limits.CheckLength(folder, FileNames.Longest, "The folder's name", "folder") is { } refusal)
        {
            return Problems.Of(refusal);
        }
        Evaluated? packed = null;
        var answer = await headFiles.File(
            id,
            evaluated => ExportEndpoints.Released(evaluated, despite),
            (evaluated, assets) =>
            {
                packed = evaluated;
                var savedAt = DateTimeOffset.FromUnixTimeMilliseconds(HeadFiles.Shown(http)!.SavedAt);
                return (
                    PacketFile.Zip(evaluated, assets, savedAt),
                    "application/zip",
                    FileNames.Packet(evaluated, folder)
                );
            },
            cancellation
        );
        if (packed is not null && HeadFiles.Shown(http) is { } head)
        {
            foreach (var (choice, wish) in PacketFile.Cuts(packed))
            {
                var name = FileNames.Cut(packed, choice.Sheet, null, wish.Ending);
                await exports.TryNote(head, choice.Sheet, null, wish.Format, name, cancellation);
            }
        }
        return answer;
    }

    private static async Task<Results<Ok<List<HandedDto>>, ProblemHttpResult>> List(
        string id,
        DocumentHistory history,
        HandedOut handed,
        CancellationToken cancellation
    ) =>
        await history.Current(id, cancellation) is { } head
            ? TypedResults.Ok(await handed.Of(id, head, cancellation))
            : Problems.Of(DocumentHistory.Unknown(id));

    /// <summary>The same again, byte for byte.</summary>
    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Again(
        string id,
        long handedId,
        HandedOut handed,
        CancellationToken cancellation
    ) =>
        await handed.Find(id, handedId, cancellation) is { } file
            ? TypedResults.File(file.Bytes, file.Row.MediaType, file.Row.Name)
            : Problems.Of(
                new Refusal("handed-unknown", "handedId", "That file is not kept any more; make it anew.")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
}
