using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Scenes.Elements;
using Ullet.Server.Shapes06;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>What screens draw.</summary>
internal static class SceneEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Scene");
        group.MapGet("scene", Scene).WithName("getScene").AddEndpointFilter<Adapter06>();
        group.MapGet("elements/{elementId}/form", Form).WithName("getForm");
        group.MapGet("maps/{kind}", StitchMap).WithName("getMap");
        group
            .MapGet("steps/{stepKey}/stitches", Stitches)
            .WithName("getStitches")
            .WithDescription("Needle points as little-endian float32 pairs, breaks as NaN pairs.");
    }

    private static async Task<Results<Ok<SceneDto>, ProblemHttpResult>> Scene(
        string id,
        DocumentHistory history,
        EvaluatedHeads heads,
        SceneBuilder scenes,
        Workbench bench,
        CancellationToken cancellation,
        long? rev = null
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        if (rev is { } wanted && wanted != head.Revision)
        {
            return Problems.Of(
                new Refusal("head-stale", head.Revision.ToString(), "That revision is not current any more.")
                {
                    Kind = RefusalKind.Conflict,
                }
            );
        }
        var around = await history.Around(id, head.Revision, cancellation);
        return TypedResults.Ok(
            bench.Run(WorkKind.Showing, "This project", token => scenes.Build(head, heads.Of(head, token), around))
        );
    }

    /// <summary>The nodes and the stretches of edge of one element.</summary>
    private static async Task<Results<Ok<DetailDto>, ProblemHttpResult>> Form(
        string id,
        string elementId,
        DocumentHistory history,
        EvaluatedHeads heads,
        Evaluator evaluator,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        if (head.Project.Find(elementId) is not { } element)
        {
            return Problems.Of(
                new Refusal("element-unknown", "elementId", $"There is no element \"{elementId}\" in this project.")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
        }
        return TypedResults.Ok(
            bench.Run(
                WorkKind.Showing,
                $"The form of {element.Name}",
                token => SceneWords.In(DetailDtos.Of(element, heads.Of(head, token), evaluator), head.Project.Unit)
            )
        );
    }

    /// <summary>A map of the whole design.</summary>
    private static async Task<Results<Ok<MapDto>, ProblemHttpResult>> StitchMap(
        string id,
        string kind,
        DocumentHistory history,
        EvaluatedHeads heads,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        MapDto Made(Func<Evaluated, MapDto> make) =>
            bench.Run(WorkKind.Showing, "This map", token => make(heads.Of(head, token)));
        return kind switch
        {
            "density" => TypedResults.Ok(Made(MapDtos.Density)),
            "coverage" => TypedResults.Ok(Made(MapDtos.Coverage)),
            _ => Problems.Of(new Refusal("map-unknown", "kind", "A map shows \"density\" or \"coverage\".")),
        };
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Stitches(
        string id,
        string stepKey,
        string key,
        HttpContext http,
        DocumentHistory history,
        EvaluatedHeads heads,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (await history.Current(id, cancellation) is not { } current)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var evaluated = heads.Known(id, current);
        if (evaluated is null && await history.Load(id, cancellation) is { } head)
        {
            evaluated = bench.Run(WorkKind.Showing, "This project", token => heads.Of(head, token));
        }
        var bytes = Find(evaluated, stepKey, key) ?? Find(heads.PreviewOn(id, current), stepKey, key);
        if (bytes is null)
        {
            return Problems.Of(
                new Refusal(
                    "stitches-outdated",
                    "key",
                    "These stitches are not current any more; read the scene again."
                )
                {
                    Kind = RefusalKind.NotFound,
                }
            );
        }
        http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return TypedResults.File(bytes, "application/octet-stream");
    }

    private static byte[]? Find(Evaluated? evaluated, string stepKey, string key)
    {
        var parsed = StepKey.Parse(stepKey.Split(SceneBuilder.StepPart)[0]);
        var programs = evaluated is null ? [] : evaluated.Hoopings.Select(output => output.Program);
        var step = programs
            .SelectMany(program => program.Steps)
            .OfType<ProgramStitches>()
            .Where(step => step.Key == parsed)
            .FirstOrDefault(step => StitchBytes.KeyOf(step) == key);
        return step is null ? null : StitchBytes.Of(step);
    }
}
