using System.Text.Json;
using Microsoft.AspNetCore.Diagnostics;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Hosting;

/// <summary>Turns what the framework throws into problem details with a code; never a stack trace.</summary>
internal sealed class ExceptionAnswers(ILogger<ExceptionAnswers> log) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        if (exception is OperationCanceledException && httpContext.RequestAborted.IsCancellationRequested)
        {
            return true;
        }
        var (refusal, status) = exception switch
        {
            BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } => (
                new Refusal(
                    "too-large",
                    "file",
                    $"That file is larger than the {Safety.LargestRequest / 1e6:0} MB that are taken."
                ),
                StatusCodes.Status413PayloadTooLarge
            ),
            BadHttpRequestException bad => (Unreadable(bad), bad.StatusCode),
            InvalidDataException bad => (
                new Refusal("request-broken", "body", $"The request can't be read: {bad.Message}"),
                StatusCodes.Status400BadRequest
            ),
            _ => (
                new Refusal(
                    "fault",
                    "server",
                    "Ullet made a mistake of its own; nothing was changed. The server's log says more."
                ),
                StatusCodes.Status500InternalServerError
            ),
        };
        if (status == StatusCodes.Status500InternalServerError)
        {
            log.LogError(
                exception,
                "Unhandled in {Method} {Path}",
                httpContext.Request.Method,
                httpContext.Request.Path
            );
        }
        await Safety.Refuse(httpContext, refusal, status);
        return true;
    }

    /// <summary>The reader's message without the names of our own types.</summary>
    private static string Plain(string message) =>
        message.StartsWith("The JSON value could not be converted", StringComparison.Ordinal)
            ? "a value has the wrong kind"
        : message.Contains("missing required properties", StringComparison.Ordinal)
            ? "a value is missing: " + message[(message.LastIndexOf(':') + 1)..].Trim().TrimEnd('.')
        : message.Split(" Path:")[0].TrimEnd('.');

    /// <summary>A value of the address that can't be taken: its name and what was given, or null.</summary>
    private static Refusal? Unbound(string message)
    {
        // "Failed to bind parameter "Nullable<int> Sheet" from "abc"."
        var parts = message.Split('"');
        if (!message.StartsWith("Failed to bind parameter", StringComparison.Ordinal) || parts.Length < 4)
        {
            return null;
        }
        var name = parts[1].Split(' ')[^1];
        var field = char.ToLowerInvariant(name[0]) + name[1..];
        return new Refusal("request-broken", field, $"\"{parts[3]}\" is no value that \"{field}\" can have.");
    }

    private static Refusal Unreadable(BadHttpRequestException bad)
    {
        if (Unbound(bad.Message) is { } unbound)
        {
            return unbound;
        }
        var why = bad.InnerException is JsonException json
            ? $"{Plain(json.Message)} (at {json.Path ?? "$"})"
            : bad.Message.TrimEnd('.');
        return new Refusal("request-broken", "body", $"The request can't be read: {why}.");
    }
}
