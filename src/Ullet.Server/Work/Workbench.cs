using System.Globalization;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Work;

/// <summary>Where a request's computations are carried out: each under a budget, ended when the client leaves.</summary>
/// <remarks>One for each request. Computations run on the request's own thread.</remarks>
public sealed class Workbench(HeavyWork queue, IHttpContextAccessor http)
{
    /// <summary>The header by which a client names what it asks for, to find it in the queue.</summary>
    public const string Header = "X-Ullet-Work";

    private const int LongestId = 64;

    private TimeSpan _own;

    /// <summary>Computes something.</summary>
    /// <param name="kind">What it may take.</param>
    /// <param name="what">What is computed, to begin a sentence: "Reading this drawing".</param>
    /// <param name="compute">The work; it gets the token that ends it.</param>
    /// <exception cref="TooMuchException">When it takes too much, or the queue is full.</exception>
    /// <exception cref="OperationCanceledException">When the client left.</exception>
    /// <exception cref="WorkCancelledException">When it was cancelled at the queue.</exception>
    public T Run<T>(WorkKind kind, string what, Func<CancellationToken, T> compute)
    {
        var context = http.HttpContext;
        var aborted = context?.RequestAborted ?? CancellationToken.None;
        using var keeper = new WorkKeeper(kind, queue, IdOf(context), what, aborted);
        try
        {
            return new Budget(what, kind.Steps, keeper, aborted).Run(() => compute(aborted));
        }
        catch (OperationCanceledException) when (keeper.IsCancelled)
        {
            throw new WorkCancelledException(what);
        }
        finally
        {
            Note(context, keeper.OwnTime);
        }
    }

    /// <summary>Tells in the answer, also in one that refuses, how long its computations took by themselves.</summary>
    private void Note(HttpContext? context, TimeSpan took)
    {
        if (_own == TimeSpan.Zero && context is { Response.HasStarted: false } own)
        {
            own.Response.OnStarting(() =>
            {
                own.Response.Headers["Server-Timing"] = string.Create(
                    CultureInfo.InvariantCulture,
                    $"own;dur={_own.TotalMilliseconds:0.0}"
                );
                return Task.CompletedTask;
            });
        }
        _own += took;
    }

    private static string IdOf(HttpContext? context) =>
        context?.Request.Headers[Header].ToString() is { Length: > 0 and <= LongestId } own
            ? own
            : Guid.NewGuid().ToString("N");
}

/// <summary>A computation was cancelled at the queue.</summary>
public sealed class WorkCancelledException(string what) : Exception($"{what} was cancelled; nothing was changed.");
