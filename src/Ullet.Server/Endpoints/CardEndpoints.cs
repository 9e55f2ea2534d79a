using System.Collections.Immutable;
using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using QRCoder;
using Ullet.Server.Cards;
using Ullet.Server.Documents;
using Ullet.Server.Hosting;

namespace Ullet.Server.Endpoints;

/// <summary>The door to a phone as it stands.</summary>
/// <param name="ProjectId">The project whose card is shown.</param>
/// <param name="Code">What the phone is asked for.</param>
/// <param name="Addresses">Where it is found in the local network, each with its QR code.</param>
public sealed record PhoneDto(string ProjectId, string Code, ImmutableArray<PhoneAddress> Addresses);

/// <summary>An address in the local network.</summary>
/// <param name="Address">To be typed.</param>
/// <param name="QrPath">Its dark modules, SVG path data.</param>
/// <param name="QrSide">How many modules wide it is, the quiet margin counted.</param>
public sealed record PhoneAddress(string Address, string QrPath, int QrSide);

/// <summary>/card: the card of a project on this computer, and the switch that shows it on a phone.</summary>
internal static class CardEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/card/{id}", Card).ExcludeFromDescription();
        app.MapGet("/card/{id}/state", State).ExcludeFromDescription();
        var group = app.MapGroup("/api").WithTags("Card");
        group.MapGet("phone", (PhoneDoor door) => TypedResults.Ok(new PhoneState(Of(door.Open)))).WithName("getPhone");
        group.MapPost("projects/{id}/phone", Open).WithName("openPhone");
        group.MapDelete("phone", Shut).WithName("shutPhone");
    }

    private static async Task<Results<ContentHttpResult, ProblemHttpResult>> Card(
        string id,
        HeadFiles headFiles,
        HttpContext http,
        CancellationToken cancellation
    )
    {
        if (await headFiles.Of(id, cancellation) is not { } evaluated)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var nonce = Safety.NewNonce();
        http.Response.Headers.ContentSecurityPolicy = CardPage.Policy(nonce);
        http.Response.Headers.CacheControl = "no-store";
        return TypedResults.Content(
            headFiles.Compute("This card", () => CardPage.Of(id, evaluated, $"/card/{id}/state", nonce)),
            "text/html",
            Encoding.UTF8
        );
    }

    private static async Task<Results<ContentHttpResult, ProblemHttpResult>> State(
        string id,
        HeadFiles headFiles,
        CancellationToken cancellation
    ) =>
        await headFiles.Of(id, cancellation) is { } evaluated
            ? TypedResults.Content(evaluated.Program.Code, "text/plain", Encoding.UTF8)
            : Problems.Of(DocumentHistory.Unknown(id));

    private static async Task<Results<Ok<PhoneDto>, ProblemHttpResult>> Open(
        string id,
        DocumentHistory history,
        PhoneDoor door,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is null)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var opened = await door.OpenFor(id);
        return opened.IsOk ? TypedResults.Ok(Of(opened.Value)!) : Problems.Of(opened.Refusal!);
    }

    private static async Task<NoContent> Shut(PhoneDoor door)
    {
        await door.Shut();
        return TypedResults.NoContent();
    }

    private static PhoneDto? Of(OpenDoor? open) =>
        open is null ? null : new PhoneDto(open.ProjectId, open.Code, [.. open.Addresses.Select(Qr)]);

    private static PhoneAddress Qr(string address)
    {
        using var data = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.M);
        var path = new StringBuilder();
        for (var y = 0; y < data.ModuleMatrix.Count; y++)
        {
            for (var x = 0; x < data.ModuleMatrix[y].Count; x++)
            {
                if (data.ModuleMatrix[y][x])
                {
                    path.Append('M').Append(x).Append(' ').Append(y).Append("h1v1h-1z");
                }
            }
        }
        return new PhoneAddress(address, path.ToString(), data.ModuleMatrix.Count);
    }
}

/// <summary>Whether a card is shown to the local network.</summary>
/// <param name="Open">The door; null while it is shut.</param>
public sealed record PhoneState(PhoneDto? Open);
