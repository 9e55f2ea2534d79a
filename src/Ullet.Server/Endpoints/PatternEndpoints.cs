using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Edits;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;
using Ullet.Server.Documents;
using Ullet.Server.Scenes;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>What is asked of a pattern before a project is made from it.</summary>
public sealed record PatternWish
{
    public ImmutableArray<PatternNumber> Numbers { get; init; } = [];

    public ImmutableArray<PatternPick> Choices { get; init; } = [];

    /// <summary>Words and motifs; those left out are the usual.</summary>
    public ImmutableArray<PatternText> FillIns { get; init; } = [];

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
        Workbench bench,
        DocumentHistory history
    )
    {
        var use = PatternShelf.Begun(patternId) with { Numbers = wish.Numbers, Choices = wish.Choices };
        if (wish.Hardware is { } hardware)
        {
            var sizes = FromHardware(use, hardware, wish.HardwareSize);
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
            token => Preview(use, wish, history.Context with { Cancellation = token })
        );
        return preview.IsOk
            ? TypedResults.Ok(new PatternSized(use.Numbers, preview.Value))
            : Problems.Of(preview.Refusal!);
    }

    /// <summary>What the project would be, words and motifs in place: what is refused then is refused here.</summary>
    private static Result<PatternPreviewDto> Preview(PatternUse use, PatternWish wish, EditContext context) =>
        BlankProject
            .Make(null, null, null)
            .Then(blank =>
                new UsePattern
                {
                    PatternId = use.PatternId,
                    Numbers = use.Numbers,
                    Choices = use.Choices,
                    FillIns = wish.FillIns,
                    FontId = FontShelf.UsualId,
                }.Apply(blank, context)
            )
            .Then(made => (Result<PatternPreviewDto>)PatternDtos.Preview(made, context.Evaluator));

    private static Result<ImmutableArray<PatternNumber>> FromHardware(PatternUse use, string hardware, double? size)
    {
        var (patternId, pattern) = (use.PatternId, PatternShelf.Find(use));
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
            : PatternNumbers
                .ToBegin(pattern, use)
                .Then(asked => (Result<ImmutableArray<PatternNumber>>)pattern.FromHardware(hardware, given, asked));
    }
}
