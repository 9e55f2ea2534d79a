using System.Reflection;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Projects;

namespace Ullet.Server.Endpoints;

public sealed record Health(string Status, string Version);

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
    internal static readonly string Version = typeof(ReferenceEndpoints)
        .Assembly.GetCustomAttribute<AssemblyInformationalVersionAttribute>()!
        .InformationalVersion;

    internal static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/health", () => TypedResults.Ok(new Health("ok", Version)))
            .WithTags("Reference")
            .WithName("health");
        app.MapGet("/api/catalogue", () => TypedResults.Ok(CatalogueOffer.All))
            .WithTags("Reference")
            .WithName("catalogue");
        app.MapPost("/api/lengths", ReadLength).WithTags("Reference").WithName("readLength");
    }

    private static Results<Ok<LengthAnswer>, ProblemHttpResult> ReadLength(LengthRequest request)
    {
        var read = LengthText.Read(request.Text, request.Unit);
        return read.IsOk ? TypedResults.Ok(new LengthAnswer(read.Value)) : Problems.Of(read.Refusal!);
    }
}
