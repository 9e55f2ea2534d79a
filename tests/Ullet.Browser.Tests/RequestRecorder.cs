using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Http;

namespace Ullet.Browser.Tests;

/// <summary>Writes down what the browser asks of the API and what it is answered, one JSON line a request.</summary>
/// <remarks>Only with ULLET_RECORD_REQUESTS, the folder that the recordings go to.</remarks>
internal sealed class RequestRecorder : IStartupFilter, IDisposable
{
    private static int _recorded;

    private readonly List<(DateTime Begun, string Line)> _lines = [];
    private readonly string _folder;

    internal RequestRecorder(string folder) => _folder = folder;

    internal static string? Folder => Environment.GetEnvironmentVariable("ULLET_RECORD_REQUESTS");

    public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) =>
        app =>
        {
            app.Use(Record);
            next(app);
        };

    public void Dispose()
    {
        if (_lines.Count == 0)
        {
            return;
        }
        var file = Path.Combine(_folder, $"requests-{Interlocked.Increment(ref _recorded):00}.jsonl.gz");
        using var stream = new GZipStream(File.Create(file), CompressionLevel.SmallestSize);
        using var text = new StreamWriter(stream);
        foreach (var (_, line) in _lines.OrderBy(line => line.Begun))
        {
            text.Write(line + "\n");
        }
    }

    private async Task Record(HttpContext context, RequestDelegate next)
    {
        if (!context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal))
        {
            await next(context);
            return;
        }
        var begun = DateTime.UtcNow;
        // What is answered is written down as text.
        context.Request.Headers.AcceptEncoding = "";
        context.Request.EnableBuffering();
        using var sent = new MemoryStream();
        await context.Request.Body.CopyToAsync(sent);
        context.Request.Body.Position = 0;
        var body = context.Response.Body;
        using var answered = new MemoryStream();
        context.Response.Body = answered;
        await next(context);
        answered.Position = 0;
        await answered.CopyToAsync(body);
        context.Response.Body = body;
        var isJson = context.Response.ContentType?.Contains("json", StringComparison.Ordinal) == true;
        var line = new JsonObject
        {
            ["method"] = context.Request.Method,
            ["url"] = context.Request.Path + context.Request.QueryString,
            ["type"] = context.Request.ContentType,
            ["body"] = sent.Length == 0 ? null : Convert.ToBase64String(sent.ToArray()),
            ["status"] = context.Response.StatusCode,
            ["answer"] = isJson && answered.Length > 0 ? JsonNode.Parse(answered.ToArray()) : null,
        };
        lock (_lines)
        {
            _lines.Add((begun, line.ToJsonString(JsonSerializerOptions.Default)));
        }
    }
}
