using System.Collections.Concurrent;

namespace Ullet.Server.Orders;

/// <summary>Tells those who watch a job that it has gone on, and the runner that there is work or that a job was cancelled.</summary>
/// <remarks>Safe for several threads.</remarks>
internal sealed class JobSignals
{
    private readonly ConcurrentDictionary<string, TaskCompletionSource> _waiting = new(StringComparer.Ordinal);

    private readonly ConcurrentDictionary<string, CancellationTokenSource> _running = new(StringComparer.Ordinal);

    private readonly SemaphoreSlim _work = new(0);

    /// <summary>There is work.</summary>
    internal void Begin() => _work.Release();

    /// <summary>Ends when there is work.</summary>
    internal Task Work(CancellationToken cancellation) => _work.WaitAsync(cancellation);

    /// <summary>Ends when a job goes on next. Ask before reading how it stands: what happens in between is not missed then.</summary>
    internal Task Next(string jobId) =>
        _waiting.GetOrAdd(jobId, _ => new TaskCompletionSource(TaskCreationOptions.RunContinuationsAsynchronously)).Task;

    /// <summary>A job has gone on.</summary>
    internal void Told(string jobId)
    {
        if (_waiting.TryRemove(jobId, out var waiting))
        {
            waiting.TrySetResult();
        }
    }

    /// <summary>The token by which a running job is cancelled.</summary>
    internal CancellationToken Running(string jobId, CancellationToken stopping)
    {
        var own = CancellationTokenSource.CreateLinkedTokenSource(stopping);
        _running[jobId] = own;
        return own.Token;
    }

    internal void Over(string jobId) => _running.TryRemove(jobId, out _);

    /// <summary>Ends what a job computes at this moment.</summary>
    internal void Cancel(string jobId)
    {
        if (_running.TryGetValue(jobId, out var own))
        {
            own.Cancel();
        }
    }
}
