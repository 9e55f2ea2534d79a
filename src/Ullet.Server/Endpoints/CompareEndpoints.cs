using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Designs;
using Ullet.Server.Documents;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

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

/// <summary>Two stitch files, or one and a project, side by side.</summary>
internal static class CompareEndpoints
{
    internal static void Map(IEndpointRouteBuilder app) =>
        app.MapPost("/api/stitches/compare", Compare).WithTags("Stitches").WithName("compareStitches");

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
                    : StitchUploads.Unknown(one is null ? "first" : "second")
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
            token is not null ? await StitchUploads.Kept(token, assets, cancellation)
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
            .OfRead(asked.First ?? "", one, first, asked.FirstReading)
            .Then(a =>
                StitchPreviews
                    .OfRead(asked.Second ?? "", other, second, asked.SecondReading)
                    .Then(b => (Result<ComparedDto>)new ComparedDto(found.IsSame, found.Said, found.Blocks, a, b))
            );
    }
}
