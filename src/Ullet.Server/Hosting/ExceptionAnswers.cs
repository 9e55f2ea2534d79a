using System.Text.Json;
using Microsoft.AspNetCore.Diagnostics;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Work;

namespace Ullet.Server.Hosting;

/// <summary>Turns what the framework, the database and the budgets throw into problem details with a code; never a stack trace.</summary>
internal sealed class ExceptionAnswers(ILogger<ExceptionAnswers> log) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        if (httpContext.RequestAborted.IsCancellationRequested)
        {
            return true;
        }
        var (refusal, status) = Of(exception);
        if (status >= StatusCodes.Status500InternalServerError)
        {
            log.LogError(
                exception,
                "Answered {Status} to {Method} {Path}",
                status,
                httpContext.Request.Method,
                httpContext.Request.Path
            );
        }
        await Safety.Refuse(httpContext, refusal, status);
        return true;
    }

    private static (Refusal Refusal, int Status) Of(Exception exception) =>
        exception switch
        {
            BadHttpRequestException bad => (Unreadable(bad), bad.StatusCode),
            InvalidDataException => (
                new Refusal("request-broken", "body", "The request can't be read: what it brings is not whole."),
                StatusCodes.Status400BadRequest
            ),
            NotSupportedException { Source: "System.Text.Json" } => (
                new Refusal(
                    "request-broken",
                    "body",
                    "The request can't be read: a part of it does not say what kind it is."
                ),
                StatusCodes.Status400BadRequest
            ),
            TooMuchException { Refusal.Code: "too-busy" or "too-much-memory" } busy => (
                busy.Refusal,
                StatusCodes.Status503ServiceUnavailable
            ),
            TooMuchException tooMuch => (tooMuch.Refusal, StatusCodes.Status422UnprocessableEntity),
            WorkCancelledException cancelled => (
                new Refusal("work-cancelled", "work", cancelled.Message),
                StatusCodes.Status409Conflict
            ),
            DamagedProjectException damaged => (
                new Refusal(
                    "project-damaged",
                    "project",
                    $"{(damaged.Message.StartsWith("This project", StringComparison.Ordinal) ? damaged.Message : $"This project can't be opened: {damaged.Message}.")} "
                        + "The shelf offers its last readable state."
                ),
                StatusCodes.Status503ServiceUnavailable
            ),
            OutOfMemoryException => (
                new Refusal(
                    "too-much-memory",
                    "work",
                    "This takes more memory than this computer can give; nothing was changed. Do it in parts."
                ),
                StatusCodes.Status503ServiceUnavailable
            ),
            _ => Stored(SqliteFaults.Of(exception)),
        };

    private static (Refusal, int) Stored(StoreFault fault) =>
        fault switch
        {
            StoreFault.Full => (
                new Refusal(
                    "disk-full",
                    "disk",
                    "The disk is full, so nothing could be saved. Make room on it (the shelf shows what Ullet takes) and repeat the "
                        + "change. Everything saved before can still be opened and exported."
                ),
                StatusCodes.Status507InsufficientStorage
            ),
            StoreFault.ReadOnly => (
                new Refusal(
                    "disk-read-only",
                    "disk",
                    "Ullet may not write to its data folder any more, so nothing could be saved. Give it the right to, and repeat the change."
                ),
                StatusCodes.Status503ServiceUnavailable
            ),
            StoreFault.Busy => (
                new Refusal(
                    "database-busy",
                    "database",
                    "Ullet's data is in use by another program, so nothing was changed. Repeat it in a moment."
                ),
                StatusCodes.Status503ServiceUnavailable
            ),
            StoreFault.Damaged => (
                new Refusal(
                    "database-damaged",
                    "database",
                    "A part of Ullet's data can't be read any more. Stop Ullet and run ./ullet rescue to copy out what can."
                ),
                StatusCodes.Status503ServiceUnavailable
            ),
            StoreFault.Disk => (
                new Refusal(
                    "disk-trouble",
                    "disk",
                    "The disk with Ullet's data does not answer as it should, so nothing was changed. Look at it, and repeat the change."
                ),
                StatusCodes.Status503ServiceUnavailable
            ),
            StoreFault.None => (
                new Refusal(
                    "fault",
                    "server",
                    "Ullet made a mistake of its own; nothing was changed. The server's log says more."
                ),
                StatusCodes.Status500InternalServerError
            ),
            _ => throw new InvalidOperationException("Unknown trouble of the database."),
        };

    /// <summary>A value of the address that can't be taken: its name and what was given, or null.</summary>
    private static Refusal? Unbound(string message)
    {
        // "Failed to bind parameter "Nullable<int> Sheet" from "abc"."
        var parts = message.Split('"');
        if (!message.StartsWith("Failed to bind parameter", StringComparison.Ordinal) || parts.Length < 4)
        {
            return null;
        }
        return UnreadAddress.NoValue(parts[1].Split(' ')[^1], parts[3]);
    }

    private static Refusal Unreadable(BadHttpRequestException bad)
    {
        if (Unbound(bad.Message) is { } unbound)
        {
            return unbound;
        }
        if (bad.StatusCode == StatusCodes.Status415UnsupportedMediaType)
        {
            return new Refusal("media-type", "Content-Type", "What was sent is not of the type that is taken here.");
        }
        var why = bad.InnerException is JsonException json ? JsonWords.Of(json) : Known(bad.Message);
        return new Refusal("request-broken", "body", $"The request can't be read: {why}.");
    }

    /// <summary>The framework's message where it names a parameter of the address; else no more than that something is missing.</summary>
    private static string Known(string message)
    {
        // "Required parameter "string key" was not provided from query string."
        var parts = message.Split('"');
        return message.StartsWith("Required parameter", StringComparison.Ordinal) && parts.Length > 1
            ? $"\"{parts[1].Split(' ')[^1]}\" is missing"
            : "something of it is missing, or it ended too early";
    }
}
