using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Endpoints;

/// <summary>Refusals to problem details (RFC 9457), in this one spot.</summary>
internal static class Problems
{
    private static readonly Dictionary<string, int> Statuses = new(StringComparer.Ordinal)
    {
        ["project-unknown"] = StatusCodes.Status404NotFound,
        ["cloth-unknown"] = StatusCodes.Status404NotFound,
        ["element-unknown"] = StatusCodes.Status404NotFound,
        ["thread-unknown"] = StatusCodes.Status404NotFound,
        ["step-unknown"] = StatusCodes.Status404NotFound,
        ["stitches-outdated"] = StatusCodes.Status404NotFound,
        ["pattern-unknown"] = StatusCodes.Status404NotFound,
        ["sheet-unknown"] = StatusCodes.Status404NotFound,
        ["address-unknown"] = StatusCodes.Status404NotFound,
        ["head-stale"] = StatusCodes.Status409Conflict,
        ["stopped-by-findings"] = StatusCodes.Status409Conflict,
        ["nothing-to-undo"] = StatusCodes.Status409Conflict,
        ["nothing-to-redo"] = StatusCodes.Status409Conflict,
        ["too-large"] = StatusCodes.Status413PayloadTooLarge,
        ["work-unknown"] = StatusCodes.Status404NotFound,
        ["project-lost"] = StatusCodes.Status404NotFound,
        ["project-whole"] = StatusCodes.Status409Conflict,
    };

    /// <summary>The answer for a refusal: its code, its place, and its sentence as the detail.</summary>
    internal static ProblemHttpResult Of(Refusal refusal) =>
        TypedResults.Problem(
            Details(refusal, Statuses.GetValueOrDefault(refusal.Code, StatusCodes.Status400BadRequest))
        );

    internal static ProblemDetails Details(Refusal refusal, int status)
    {
        var details = new ProblemDetails
        {
            Status = status,
            Title = "That could not be done.",
            Detail = refusal.Words,
            Extensions = { ["code"] = refusal.Code, ["place"] = refusal.Place },
        };
        if (refusal.Code == "head-stale")
        {
            details.Extensions["head"] = long.Parse(refusal.Place);
        }
        return details;
    }
}
