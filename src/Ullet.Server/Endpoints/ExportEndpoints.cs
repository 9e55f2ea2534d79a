using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Pipeline;
using Ullet.Files.Booklets;
using Ullet.Files.ProjectFiles;
using Ullet.Files.StitchFiles;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>Everything that a project hands over, each file read back before it goes out.</summary>
internal static class ExportEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Files");
        foreach (var format in StitchFormats.All)
        {
            group
                .MapGet(
                    $"program.{format.Ending}",
                    (
                        string id,
                        HeadFiles headFiles,
                        CancellationToken cancellation,
                        string? hooping = null,
                        bool despite = false
                    ) => StitchFile(format, id, headFiles, hooping, despite, cancellation)
                )
                .WithName($"getProgram-{format.Ending}")
                .AddEndpointFilter(new HandedFilter())
                .WithDescription(format.About);
        }
        group.MapGet("project.ullet", Project).WithName("getProjectFile").AddEndpointFilter(new HandedFilter());
        group
            .MapGet("instructions.pdf", Instructions)
            .WithName("getInstructions")
            .AddEndpointFilter(new HandedFilter());
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> StitchFile(
        IStitchFormat format,
        string id,
        HeadFiles headFiles,
        string? hooping,
        bool despite,
        CancellationToken cancellation
    )
    {
        if (await headFiles.Of(id, cancellation) is not { } evaluated)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var released = Released(evaluated, despite);
        if (!released.IsOk)
        {
            return Problems.Of(released.Refusal!);
        }
        evaluated = released.Value;
        if (evaluated.HoopingOf(hooping) is not { } output)
        {
            return Problems.Of(
                new Refusal("hooping-unknown", "hooping", $"There is no hooping \"{hooping}\" in this project.")
            );
        }
        return TypedResults.File(
            headFiles.Compute("This stitch file", () => StitchFormats.Make(format, output.Program)),
            format.MediaType,
            FileNames.StitchFile(evaluated, output, format.Ending)
        );
    }

    private static Task<Results<FileContentHttpResult, ProblemHttpResult>> Project(
        string id,
        HeadFiles headFiles,
        CancellationToken cancellation
    ) =>
        headFiles.File(
            id,
            (evaluated, assets) =>
                (ProjectFile.Export(evaluated.Project, assets), "application/zip", FileNames.Project(evaluated)),
            cancellation
        );

    /// <summary>The booklet at the address that instructions had before there was one.</summary>
    private static Task<Results<FileContentHttpResult, ProblemHttpResult>> Instructions(
        string id,
        HeadFiles headFiles,
        CancellationToken cancellation,
        bool despite = false
    ) =>
        headFiles.File(
            id,
            evaluated => Released(evaluated, despite),
            (evaluated, assets) =>
                (
                    BookletPdf.Of(evaluated, BookletPaper.A4, BookletType.Large, AssetStore.PicturesOf(assets)),
                    "application/pdf",
                    FileNames.Booklet(evaluated)
                ),
            cancellation
        );

    /// <summary>What may be handed over: without a finding that stops it, or despite it, and then the files say so.</summary>
    internal static Result<Evaluated> Released(Evaluated evaluated, bool despite)
    {
        var stops = evaluated.Findings.Where(finding => finding.Level == FindingLevel.Stop).ToList();
        if (stops.Count == 0)
        {
            return evaluated;
        }
        return despite
            ? evaluated with
            {
                Hoopings =
                [
                    .. evaluated.Hoopings.Select(output =>
                        output with
                        {
                            Program = output.Program with { Cautions = [.. stops.Select(finding => finding.Words)] },
                        }
                    ),
                ],
            }
            : new Refusal(
                "stopped-by-findings",
                "despite",
                $"A check stops this export: {stops[0].Words} Mend it, or ask for the file despite it (despite=true)."
            )
            {
                Kind = RefusalKind.Conflict,
            };
    }
}
