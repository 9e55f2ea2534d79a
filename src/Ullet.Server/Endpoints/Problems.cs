using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Endpoints;

/// <summary>Refusals to problem details (RFC 9457), in this one spot.</summary>
internal static class Problems
{
    /// <summary>The status of a kind of refusal.</summary>
    internal static int StatusOf(RefusalKind kind) =>
        kind switch
        {
            RefusalKind.BadInput or RefusalKind.NotPossible => StatusCodes.Status400BadRequest,
            RefusalKind.NotFound => StatusCodes.Status404NotFound,
            RefusalKind.Conflict => StatusCodes.Status409Conflict,
            RefusalKind.TooLarge => StatusCodes.Status413PayloadTooLarge,
        };

    /// <summary>The answer for a refusal: its code, its place, and its sentence as the detail.</summary>
    internal static ProblemHttpResult Of(Refusal refusal) =>
        TypedResults.Problem(Details(refusal, StatusOf(refusal.Kind)));

    internal static ProblemDetails Details(Refusal refusal, int status)
    {
        var details = new ProblemDetails
        {
            Status = status,
            Title = "That could not be done.",
            Detail = refusal.Words,
            Extensions =
            {
                ["code"] = refusal.Code,
                ["place"] = refusal.Place,
                ["kind"] = JsonNamingPolicy.CamelCase.ConvertName($"{refusal.Kind}"),
            },
        };
        var facts = refusal.Facts.Where(fact => fact.Value is string or double or int or long or bool).ToList();
        if (facts.Count > 0)
        {
            details.Extensions["facts"] = facts.ConvertAll(fact => new { fact.Name, fact.Value });
        }
        if (refusal.Code == "head-stale")
        {
            details.Extensions["head"] = long.Parse(refusal.Place);
        }
        return details;
    }
}
