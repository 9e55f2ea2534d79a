using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Moments;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Moments;
using Ullet.Server.Documents;

namespace Ullet.Server.Endpoints;

/// <summary>Drawings of single moments of a project's run sheet.</summary>
internal static class MomentEndpoints
{
    private static readonly HankenMeasure Measure = new();

    internal static void Map(IEndpointRouteBuilder app) =>
        app.MapGet("/api/projects/{id}/moment.svg", Moment).WithTags("Files").WithName("getMoment");

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Moment(
        string id,
        string step,
        HeadFiles headFiles,
        CancellationToken cancellation,
        string? hooping = null,
        double width = 480,
        double height = 300,
        double type = 11
    )
    {
        var wrong =
            Limits.CheckRange(width, 160, 2000, "", "The drawing's width", "width")
            ?? Limits.CheckRange(height, 160, 2000, "", "The drawing's height", "height")
            ?? Limits.CheckRange(type, 6, 40, "", "The size of its text", "type");
        if (wrong is not null)
        {
            return Problems.Of(wrong);
        }
        if (await headFiles.Of(id, cancellation) is not { } evaluated)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var drawn = headFiles.Compute(
            "This drawing",
            () =>
                evaluated.HoopingOf(hooping) is { } output
                && StepKey.Parse(step) is { } key
                && HoopMoments.At(output, output == evaluated.Hoopings[0] ? evaluated.Turning : null, key) is { } moment
                    ? new SvgInk().Write(MomentSheet.Of(moment, width, height, type, Measure))
                    : null
        );
        return drawn is null
            ? Problems.Of(
                new Refusal("step-unknown", "step", $"There is no step \"{step}\" in this run sheet.")
                {
                    Kind = RefusalKind.NotFound,
                }
            )
            : TypedResults.File(Encoding.UTF8.GetBytes(drawn), "image/svg+xml");
    }
}
