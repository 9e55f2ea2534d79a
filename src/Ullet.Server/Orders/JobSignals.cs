using System.Collections.Concurrent;
using System.Threading.Channels;

namespace Ullet.Server.Orders;

/// <summary>Tells those who watch a job that it has gone on, and the runner that there is work or that a job was cancelled.</summary>
/// <remarks>Safe for several threads.</remarks>
internal sealed class JobSignals
{
    private readonly ConcurrentDictionary<string, TaskCompletionSource> _waiting = new(StringComparer.Ordinal);

    private readonly ConcurrentDictionary<string, CancellationTokenSource> _running = new(StringComparer.Ordinal);

    /// <summary>One mark that there is work stands for any number of them.</summary>
    private readonly Channel<bool> _work = Channel.CreateBounded<bool>(
        new BoundedChannelOptions(1) { FullMode = BoundedChannelFullMode.DropWrite }
    );

    /// <summary>There is work.</summary>
    internal void Begin() => _work.Writer.TryWrite(true);

    /// <summary>Ends when there is work.</summary>
    internal async Task Work(CancellationToken cancellation) => await _work.Reader.ReadAsync(cancellation);

    /// <summary>Ends when a job goes on next. Ask before reading how it stands: what happens in between is not missed then.</summary>
    internal Task Next(string jobId) =>
        _waiting
            .GetOrAdd(jobId, _ => new TaskCompletionSource(TaskCreationOptions.RunContinuationsAsynchronously))
            .Task;

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
