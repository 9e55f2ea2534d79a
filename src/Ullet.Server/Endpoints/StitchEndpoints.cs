using System.Collections.Immutable;
using System.IO.Compression;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Opened;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Designs;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>Stitch files that were brought in together.</summary>
/// <param name="Files">One, or the sizes of one design, the smallest first.</param>
/// <param name="Unread">Files among them that can't be read, a sentence each.</param>
public sealed record StitchImport(ImmutableArray<StitchPreview> Files, ImmutableArray<string> Unread);

/// <summary>Two stitch files to compare.</summary>
public sealed record CompareRequest
{
    /// <summary>The first file's token; null for what the project sews now.</summary>
    public string? First { get; init; }

    /// <summary>The second file's token; null for what the project sews now.</summary>
    public string? Second { get; init; }

    /// <summary>The project, where one of them is its own.</summary>
    public string? ProjectId { get; init; }

    public OpenedReading FirstReading { get; init; } = new();

    public OpenedReading SecondReading { get; init; } = new();
}

/// <summary>Two stitch files compared, as screens show it.</summary>
/// <param name="IsSame">True where both sew and stop alike.</param>
/// <param name="Said">What differs as a whole.</param>
/// <param name="Blocks">Block by block.</param>
/// <param name="First">The first file.</param>
/// <param name="Second">The second file.</param>
public sealed record ComparedDto(
    bool IsSame,
    ImmutableArray<string> Said,
    ImmutableArray<ComparedBlock> Blocks,
    StitchPreview First,
    StitchPreview Second
);

/// <summary>Stitch files from elsewhere: looked at, kept as they are, compared.</summary>
internal static class StitchEndpoints
{
    /// <summary>No entry of a zip unfolds into more, bytes; nor all of them into more than twice as much.</summary>
    private const long LargestEntry = StitchDesignFiles.LargestFile;

    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/stitches").WithTags("Stitches");
        group.MapPost("", Import).WithName("importStitches").DisableAntiforgery();
        group.MapPost("compare", Compare).WithName("compareStitches");
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
            var unfolded = Unfolded(file.FileName, stream.ToArray());
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
            var hash = Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(bytes));
            var preview = bench.Run(
                WorkKind.Reading,
                "Reading this stitch file",
                _ => StitchPreviews.Of(hash, Short(name), bytes, new OpenedReading())
            );
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
            await assets.Keep(
                preview.Format == DesignKind.DrawnLines ? ImportedDrawings.Kind : StitchDesignShelf.Kind,
                bytes,
                cancellation
            );
        }
        return TypedResults.Ok(
            new StitchImport(
                [.. previews.Select(each => each.Preview).OrderBy(each => each.Width * each.Height)],
                [.. unread.Select(each => $"{Short(each.Name)}: {each.Refusal.Words}")]
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
        if (await Kept(token, assets, cancellation) is not { } bytes)
        {
            return Problems.Of(Unknown("token"));
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
        await Kept(token, assets, cancellation) is { } bytes
            ? TypedResults.File(bytes, "application/octet-stream", $"original-{token[..8]}")
            : Problems.Of(Unknown("token"));

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

    private static async Task<Results<Ok<ComparedDto>, ProblemHttpResult>> Compare(
        CompareRequest asked,
        AssetStore assets,
        DocumentHistory history,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        var head = asked.ProjectId is { } id ? await history.Load(id, cancellation) : null;
        if (asked.ProjectId is not null && head is null)
        {
            return Problems.Of(DocumentHistory.Unknown(asked.ProjectId));
        }
        var (one, other) = (await Bytes(asked.First), await Bytes(asked.Second));
        if (one is null || other is null)
        {
            return Problems.Of(
                asked.First is null || asked.Second is null
                    ? new Refusal("compare-nothing", "first", "Choose two stitch files, or a project and one.")
                    : Unknown(one is null ? "first" : "second")
            );
        }
        var compared = bench.Run(
            WorkKind.Reading,
            "Comparing these stitch files",
            _ =>
                StitchDesignFiles
                    .Read(one, "first", asked.FirstReading)
                    .Then(first =>
                        StitchDesignFiles
                            .Read(other, "second", asked.SecondReading)
                            .Then(second => Compared(asked, one, other, first, second))
                    )
        );
        return compared.IsOk ? TypedResults.Ok(compared.Value) : Problems.Of(compared.Refusal!);

        async Task<byte[]?> Bytes(string? token) =>
            token is not null ? await Kept(token, assets, cancellation)
            : head is null ? null
            : bench.Run(
                WorkKind.Showing,
                "Sewing this project",
                cancel =>
                    Files.StitchFiles.StitchFormats.List.Write(
                        history.Context.Evaluator.Evaluate(head.Project, cancel).Hoopings[0].Program
                    )
            );
    }

    private static Result<ComparedDto> Compared(
        CompareRequest asked,
        byte[] one,
        byte[] other,
        StitchDesign first,
        StitchDesign second
    )
    {
        var found = DesignComparison.Of(first, second);
        return StitchPreviews
            .Of(asked.First ?? "", first.Name, one, asked.FirstReading)
            .Then(a =>
                StitchPreviews
                    .Of(asked.Second ?? "", second.Name, other, asked.SecondReading)
                    .Then(b => (Result<ComparedDto>)new ComparedDto(found.IsSame, found.Said, found.Blocks, a, b))
            );
    }

    private static async Task<byte[]?> Kept(string token, AssetStore assets, CancellationToken cancellation) =>
        await assets.Find(token, cancellation) is { Kind: StitchDesignShelf.Kind or ImportedDrawings.Kind } asset
            ? asset.Bytes
            : null;

    /// <summary>A file, or the stitch files in a zip.</summary>
    private static Result<List<(string Name, byte[] Bytes)>> Unfolded(string name, byte[] bytes)
    {
        if (bytes.Length < 4 || bytes[0] != 'P' || bytes[1] != 'K')
        {
            return new List<(string, byte[])> { (name, bytes) };
        }
        var found = new List<(string, byte[])>();
        var room = 2 * LargestEntry;
        try
        {
            using var zip = new ZipArchive(new MemoryStream(bytes), ZipArchiveMode.Read);
            foreach (var entry in zip.Entries.Take(1_000))
            {
                var ending = Path.GetExtension(entry.Name).TrimStart('.').ToLowerInvariant();
                if (entry.Name.Length == 0 || !StitchDesignFiles.Endings.Contains(ending))
                {
                    continue;
                }
                if (found.Count > OpenedFile.MostSizes)
                {
                    break;
                }
                using var stream = entry.Open();
                using var whole = new MemoryStream();
                var buffer = new byte[81_920];
                int read;
                while ((read = stream.Read(buffer)) > 0)
                {
                    room -= read;
                    if (room < 0)
                    {
                        return new Refusal(
                            "stitches-too-large",
                            "file",
                            $"This zip unfolds into more than the {2 * LargestEntry / 1_000_000} MB that are read."
                        );
                    }
                    whole.Write(buffer, 0, read);
                }
                found.Add((entry.Name, whole.ToArray()));
            }
        }
        catch (InvalidDataException)
        {
            return new Refusal("stitches-foreign", "file", "This zip can't be opened; it may be damaged, or cut off.");
        }
        return found;
    }

    private static string Short(string file)
    {
        var name = PlainText.Line(Path.GetFileNameWithoutExtension(file));
        name = name.Length > 60 ? name[..60] : name;
        return name.Length == 0 ? "Stitches" : name;
    }

    private static Refusal Unknown(string place) =>
        new("import-unknown", place, "That stitch file is not known any more; choose it again.")
        {
            Kind = RefusalKind.NotFound,
        };
}
