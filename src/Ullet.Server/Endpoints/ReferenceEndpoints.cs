using System.Collections.Immutable;
using System.Reflection;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Files.Fonts;

namespace Ullet.Server.Endpoints;

public sealed record Health(string Status, string Version);

/// <summary>What may be chosen: hoops, shapes, operations, methods, the ranges of numbers, mm, and the font of new words.</summary>
public sealed record Catalogue(
    ImmutableArray<Hoop> Hoops,
    ImmutableArray<ShapeChoice> Shapes,
    ImmutableArray<OperationChoice> Operations,
    ImmutableArray<MethodChoice> Methods,
    NumberRange CoverWidth,
    NumberRange CoverSpacing,
    NumberRange CoverInsideShare,
    NumberRange Compensation,
    NumberRange RunLength,
    string UsualFontId
);

/// <param name="Name">What it is called.</param>
/// <param name="Shape">The generator with its usual numbers.</param>
public sealed record ShapeChoice(string Name, ShapeSource Shape);

public sealed record MethodChoice(Method Id, string Name, string Summary);

public sealed record NumberRange(double Least, double Most, double Usual);

/// <summary>A length as it was typed, and the unit of a bare number.</summary>
public sealed record LengthRequest
{
    public required string Text { get; init; }

    public LengthUnit Unit { get; init; }
}

public sealed record LengthAnswer(double Mm);

/// <summary>Health, the catalogue, and reading of typed lengths.</summary>
internal static class ReferenceEndpoints
{
    private static readonly Catalogue Offered = new(
        Hoop.Catalogue,
        [
            .. new ShapeSource[]
            {
                new RectangleShape(4),
                new EllipseShape(),
                new PolygonShape(),
                new StarShape(),
                new HeartShape(),
                new LeafShape(),
                new DropShape(),
                new CrescentShape(),
                new ShieldShape(),
            }.Select(shape => new ShapeChoice(AddPiece.ShapeName(shape), shape)),
        ],
        OperationChoice.All,
        [.. AppliqueMethods.All.Select(method => new MethodChoice(method.Id, method.Name, method.Summary))],
        Range(StitchRanges.CoverWidth, StitchDefaults.CoverWidth),
        Range(StitchRanges.CoverSpacing, StitchDefaults.CoverSpacing),
        Range(StitchRanges.CoverInsideShare, StitchDefaults.CoverInsideShare),
        Range(StitchRanges.PullCompensation, StitchDefaults.PullCompensation),
        Range(StitchRanges.RunLength, StitchDefaults.RunLength),
        FontShelf.UsualId
    );

    private static readonly string Version = typeof(ReferenceEndpoints)
        .Assembly.GetCustomAttribute<AssemblyInformationalVersionAttribute>()!
        .InformationalVersion;

    internal static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/health", () => TypedResults.Ok(new Health("ok", Version)))
            .WithTags("Reference")
            .WithName("health");
        app.MapGet("/api/catalogue", () => TypedResults.Ok(Offered)).WithTags("Reference").WithName("catalogue");
        app.MapPost("/api/lengths", ReadLength).WithTags("Reference").WithName("readLength");
    }

    private static Results<Ok<LengthAnswer>, ProblemHttpResult> ReadLength(LengthRequest request)
    {
        var read = LengthText.Read(request.Text, request.Unit);
        return read.IsOk ? TypedResults.Ok(new LengthAnswer(read.Value)) : Problems.Of(read.Refusal!);
    }

    private static NumberRange Range((double Least, double Most) range, double usual) =>
        new(range.Least, range.Most, usual);
}
