using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Core.Sketches;
using Ullet.Server.Scenes;

namespace Ullet.Server.Endpoints;

/// <summary>A small drawing as it stands on its shelf.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">What it shows.</param>
/// <param name="Parts">From the lowest to the topmost, on a square of 100 units about its middle.</param>
/// <param name="Smallest">How small it may be in each way.</param>
public sealed record SketchDto(
    string Id,
    string Name,
    ImmutableArray<SketchPartDto> Parts,
    ImmutableArray<SketchSmallest> Smallest
);

/// <summary>A part as it is drawn.</summary>
/// <param name="Path">SVG path data.</param>
/// <param name="Colour">#rrggbb.</param>
/// <param name="IsLine">True for an open line, which is not filled.</param>
public sealed record SketchPartDto(string Path, string Colour, bool IsLine);

/// <summary>How small a drawing may be in a way, mm.</summary>
public sealed record SketchSmallest(SketchWay Way, double Size);

/// <summary>What becomes of a drawing at a size, in words.</summary>
/// <param name="IsFit">True when it can be set so.</param>
/// <param name="Said">What is left out of it, or why it can't be set.</param>
public sealed record SketchFitDto(bool IsFit, string Said);

/// <summary>The small drawings of our own.</summary>
internal static class SketchEndpoints
{
    private static readonly Lazy<ImmutableArray<(Sketch Sketch, SketchDto Dto)>> All = new(() =>
        [.. SketchShelf.All.Select(sketch => (sketch, Of(sketch)))]
    );

    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/sketches").WithTags("Sketches");
        group.MapGet("", Found).WithName("listSketches");
        group.MapGet("{sketchId}/fit", Fit).WithName("fitSketch");
    }

    /// <summary>Those that a search finds; all without one.</summary>
    private static Ok<List<SketchDto>> Found(string? search) =>
        TypedResults.Ok(All.Value.Where(each => each.Sketch.Answers(search ?? "")).Select(each => each.Dto).ToList());

    private static Results<Ok<SketchFitDto>, ProblemHttpResult> Fit(string sketchId, string way, double size)
    {
        if (!Enum.TryParse<SketchWay>(way, ignoreCase: true, out var set) || !Enum.IsDefined(set))
        {
            return Problems.Of(
                new Refusal(
                    "sketch-way-unknown",
                    "way",
                    $"A drawing is set in cloth, in thread or in line, not in \"{way}\"."
                )
            );
        }
        if (SketchShelf.Find(sketchId) is not { } sketch)
        {
            return Problems.Of(
                new Refusal("sketch-unknown", "sketchId", $"There is no small drawing \"{sketchId}\".")
                {
                    Kind = RefusalKind.NotFound,
                }
            );
        }
        return TypedResults.Ok(
            SketchFit.Check(sketch, set, size) is { } refusal
                ? new SketchFitDto(false, refusal.Words)
                : new SketchFitDto(true, SketchFit.Said(sketch, set, size))
        );
    }

    private static SketchDto Of(Sketch sketch) =>
        new(
            sketch.Id,
            sketch.Name,
            [
                .. sketch.Parts.Select(
                    (part, i) =>
                        new SketchPartDto(
                            PathText.Of(SketchMaking.OutlineOf(SketchMaking.Element(sketch, i, SketchMaking.Square))),
                            part.Colour.Colour,
                            part.Role == SketchRole.Stroke
                        )
                ),
            ],
            [.. Enum.GetValues<SketchWay>().Select(way => new SketchSmallest(way, SketchFit.Smallest(sketch, way)))]
        );
}
