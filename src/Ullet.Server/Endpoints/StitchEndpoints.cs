using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>Stitch files that were brought in together.</summary>
/// <param name="Files">One, or the sizes of one design, the smallest first.</param>
/// <param name="Unread">Files among them that can't be read, a sentence each.</param>
public sealed record StitchImport(ImmutableArray<StitchPreview> Files, ImmutableArray<string> Unread);

/// <summary>Stitch files from elsewhere: looked at, kept as they are, compared.</summary>
internal static class StitchEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/stitches").WithTags("Stitches");
        group.MapPost("", Import).WithName("importStitches").DisableAntiforgery();
        group.MapPost("{token}/preview", Preview).WithName("previewStitches");
        group.MapGet("{token}/file", File).WithName("getStitchFile");
        app.MapGet("/api/projects/{id}/elements/{elementId}/needle", Needle)
            .WithTags("Stitches")
            .WithName("getNeedle")
            .WithDescription(
                "Needle points of opened stitches where they stand on the wall, little-endian float32 pairs, breaks as NaN pairs."
            );
    }

    private static async Task<Results<Ok<StitchImport>, ProblemHttpResult>> Import(
        IFormFileCollection files,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        var named = new List<(string Name, byte[] Bytes)>();
        foreach (var file in files.Take(OpenedFile.MostSizes + 1))
        {
            using var stream = new MemoryStream();
            await file.CopyToAsync(stream, cancellation);
            var unfolded = StitchUploads.Unfolded(file.FileName, stream.ToArray());
            if (!unfolded.IsOk)
            {
                return Problems.Of(unfolded.Refusal!);
            }
            named.AddRange(unfolded.Value);
        }
        if (named.Count == 0)
        {
            return Problems.Of(new Refusal("stitches-none", "file", "There is no stitch file in what was sent."));
        }
        if (named.Count > OpenedFile.MostSizes)
        {
            return Problems.Of(
                new Refusal(
                    "files-too-many",
                    "file",
                    $"Up to {OpenedFile.MostSizes} files are taken at once; choose fewer."
                )
            );
        }
        var previews = new List<(StitchPreview Preview, byte[] Bytes)>();
        var unread = new List<(string Name, Refusal Refusal)>();
        foreach (var (name, bytes) in named)
        {
            var preview = StitchUploads.Look(name, bytes, bench);
            if (preview.IsOk)
            {
                previews.Add((preview.Value, bytes));
            }
            else
            {
                unread.Add((name, preview.Refusal!));
            }
        }
        if (previews.Count == 0)
        {
            return Problems.Of(unread[0].Refusal);
        }
        foreach (var (preview, bytes) in previews)
        {
            await StitchUploads.Keep(preview, bytes, assets, cancellation);
        }
        return TypedResults.Ok(
            new StitchImport(
                [.. previews.Select(each => each.Preview).OrderBy(each => each.Width * each.Height)],
                [.. unread.Select(each => $"{StitchUploads.Short(each.Name)}: {each.Refusal.Words}")]
            )
        );
    }

    private static async Task<Results<Ok<StitchPreview>, ProblemHttpResult>> Preview(
        string token,
        OpenedReading reading,
        AssetStore assets,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await StitchUploads.Kept(token, assets, cancellation) is not { } bytes)
        {
            return Problems.Of(StitchUploads.Unknown("token"));
        }
        var preview = bench.Run(
            WorkKind.Reading,
            "Reading this stitch file",
            _ => StitchPreviews.Of(token, "Stitches", bytes, reading)
        );
        return preview.IsOk ? TypedResults.Ok(preview.Value) : Problems.Of(preview.Refusal!);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> File(
        string token,
        AssetStore assets,
        CancellationToken cancellation
    ) =>
        await StitchUploads.Kept(token, assets, cancellation) is { } bytes
            ? TypedResults.File(bytes, "application/octet-stream", $"original-{token[..8]}")
            : Problems.Of(StitchUploads.Unknown("token"));

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Needle(
        string id,
        string elementId,
        DocumentHistory history,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        if (head.Project.Find(elementId) is not { Form: OpenedForm form } element)
        {
            return Problems.Of(
                new Refusal("stitches-not-opened", "elementId", "There are no opened stitches of that name.")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
        }
        var map = OpenedFrame.Map(form, element.Box);
        // A break for every jump and every trim: what is left are the needle points by their numbers.
        return TypedResults.File(
            StitchBytes.Of([
                .. form.Points.Select(point =>
                    point.Move == OpenedMove.Stitch
                        ? point with
                        {
                            At = map.Apply(point.At),
                        }
                        : new OpenedPoint(OpenedMove.Trim, Core.Geometry.Point.Zero)
                ),
            ]),
            "application/octet-stream"
        );
    }
}
