using Microsoft.AspNetCore.Http.Features;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Hosting;

/// <summary>Looks at what a request brings: its size is counted here, so that a sender of too much still hears why; JSON is looked
/// through before anything is made of it.</summary>
internal static class RequestBody
{
    /// <summary>Largest request, bytes.</summary>
    internal const long Largest = 25_000_000;

    /// <summary>So much of an upload that is too large is read on, so that its sender gets to read the answer, bytes.</summary>
    private const long MostDrained = 400_000_000;

    private static readonly TimeSpan DrainTime = TimeSpan.FromSeconds(20);

    internal static async Task Look(HttpContext http, RequestDelegate next)
    {
        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
        {
            size.MaxRequestBodySize = null;
        }
        if (http.Request.ContentLength > Largest)
        {
            await Refuse(
                http,
                $"That file has {http.Request.ContentLength / 1e6:0} MB; up to {Largest / 1e6:0} MB are taken."
            );
            return;
        }
        var counted = new CountedStream(http.Request.Body, Largest);
        http.Request.Body = counted;
        try
        {
            if (IsJson(http.Request) && await Wild(http) is { } wild)
            {
                await Safety.Refuse(http, wild, StatusCodes.Status400BadRequest);
                return;
            }
            await next(http);
        }
        catch (BodyTooLargeException) when (!http.Response.HasStarted)
        {
            await Refuse(http, $"That file is larger than the {Largest / 1e6:0} MB that are taken.");
        }
    }

    /// <summary>Reads the JSON whole and leaves it to be read again; a refusal for what of it can't be taken.</summary>
    private static async Task<Refusal?> Wild(HttpContext http)
    {
        using var whole = new MemoryStream();
        await http.Request.Body.CopyToAsync(whole, http.RequestAborted);
        http.Request.Body = new MemoryStream(whole.GetBuffer(), 0, (int)whole.Length, writable: false);
        return JsonDoor.Check(
            whole.GetBuffer().AsSpan(0, (int)whole.Length),
            "request-broken",
            "The request",
            BringsATable(http.Request) ? (int)Largest : JsonDoor.LongestText
        );
    }

    /// <summary>A table comes as one text, whatever its length: who reads it bounds its rows and cells.</summary>
    private static bool BringsATable(HttpRequest request) =>
        request.Path.Value?.EndsWith("/table", StringComparison.Ordinal) == true;

    private static bool IsJson(HttpRequest request) =>
        request.Path.StartsWithSegments("/api", StringComparison.Ordinal) && request.HasJsonContentType();

    private static async Task Refuse(HttpContext http, string words)
    {
        await Drain(http);
        http.Response.Headers.Connection = "close";
        await Safety.Refuse(
            http,
            new Refusal("too-large", "file", words) { Kind = RefusalKind.TooLarge },
            StatusCodes.Status413PayloadTooLarge
        );
    }

    private static async Task Drain(HttpContext http)
    {
        using var time = CancellationTokenSource.CreateLinkedTokenSource(http.RequestAborted);
        time.CancelAfter(DrainTime);
        var body = http.Request.Body is CountedStream counted ? counted.Inner : http.Request.Body;
        var (buffer, drained, read) = (new byte[81920], 0L, 0);
        try
        {
            while (drained < MostDrained && (read = await body.ReadAsync(buffer, time.Token)) > 0)
            {
                drained += read;
            }
        }
        catch (Exception wrong) when (wrong is OperationCanceledException or IOException)
        {
            // The sender is gone or too slow; it is answered as far as it can be.
        }
    }

    /// <summary>Hands a body on up to a number of bytes.</summary>
    private sealed class CountedStream(Stream inner, long most) : Stream
    {
        private long _read;

        internal Stream Inner => inner;

        public override bool CanRead => true;

        public override bool CanSeek => false;

        public override bool CanWrite => false;

        public override long Length => throw new NotSupportedException();

        public override long Position
        {
            get => _read;
            set => throw new NotSupportedException();
        }

        public override async ValueTask<int> ReadAsync(
            Memory<byte> buffer,
            CancellationToken cancellationToken = default
        ) => Counted(await inner.ReadAsync(buffer, cancellationToken));

        public override Task<int> ReadAsync(
            byte[] buffer,
            int offset,
            int count,
            CancellationToken cancellationToken
        ) => ReadAsync(buffer.AsMemory(offset, count), cancellationToken).AsTask();

        public override int Read(byte[] buffer, int offset, int count) => Counted(inner.Read(buffer, offset, count));

        public override void Flush() { }

        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

        public override void SetLength(long value) => throw new NotSupportedException();

        public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();

        private int Counted(int read)
        {
            _read += read;
            return _read > most ? throw new BodyTooLargeException() : read;
        }
    }

    private sealed class BodyTooLargeException : Exception;
}
