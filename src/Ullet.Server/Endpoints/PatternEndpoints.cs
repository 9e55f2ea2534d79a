using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>What is asked of a pattern before a project is made from it.</summary>
public sealed record PatternWish
{
    public ImmutableArray<PatternNumber> Numbers { get; init; } = [];

    /// <summary>A thing to begin from, by the id of one of the pattern's; its sizes go before those of <see cref="Numbers"/>.</summary>
    public string? Hardware { get; init; }

    /// <summary>Its size, mm.</summary>
    public double? HardwareSize { get; init; }
}

/// <summary>A pattern at a size, with the numbers that it took.</summary>
public sealed record PatternSized(ImmutableArray<PatternNumber> Numbers, PatternPreviewDto Preview);

/// <summary>The patterns that there are, and what one looks like at a size.</summary>
internal static class PatternEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/patterns").WithTags("Patterns");
        group
            .MapGet("", () => TypedResults.Ok(PatternShelf.All.Select(PatternDtos.Of).ToList()))
            .WithName("listPatterns");
        group.MapPost("{patternId}/size", Size).WithName("sizePattern");
    }

    private static Results<Ok<PatternSized>, ProblemHttpResult> Size(
        string patternId,
        PatternWish wish,
        Workbench bench
    )
    {
        var use = PatternShelf.Begun(patternId) with { Numbers = wish.Numbers };
        if (wish.Hardware is { } hardware)
        {
            var sizes = FromHardware(patternId, hardware, wish.HardwareSize);
            if (!sizes.IsOk)
            {
                return Problems.Of(sizes.Refusal!);
            }
            use = use with
            {
                Numbers = [.. sizes.Value, .. wish.Numbers.Where(own => !sizes.Value.Any(size => size.Id == own.Id))],
            };
        }
        var preview = bench.Run(
            WorkKind.Changing,
            "This pattern",
            _ => PatternShelf.Plan(use).Then(plan => (Result<PatternPreviewDto>)PatternDtos.Preview(plan))
        );
        return preview.IsOk
            ? TypedResults.Ok(new PatternSized(use.Numbers, preview.Value))
            : Problems.Of(preview.Refusal!);
    }

    private static Result<ImmutableArray<PatternNumber>> FromHardware(string patternId, string hardware, double? size)
    {
        var pattern = PatternShelf.Find(patternId);
        if (pattern?.Hardware.FirstOrDefault(known => known.Id == hardware) is not { } start)
        {
            return new Refusal(
                "hardware-unknown",
                "hardware",
                $"The pattern \"{patternId}\" can't begin from \"{hardware}\"."
            );
        }
        var given = size ?? start.Usual;
        return Limits.CheckRange(given, start.Least, start.Most, "mm", start.Label, "hardwareSize") is { } refusal
            ? refusal
            : pattern.FromHardware(hardware, given);
    }
}
