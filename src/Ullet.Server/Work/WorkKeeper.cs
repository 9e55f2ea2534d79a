using System.Diagnostics;
using Ullet.Core.Pipeline;

namespace Ullet.Server.Work;

/// <summary>Watches one computation: moves it into the queue when it turns out heavy, ends it when its time or the memory is used
/// up.</summary>
internal sealed class WorkKeeper(WorkKind kind, HeavyWork queue, string id, string what, CancellationToken cancellation)
    : IBudgetKeeper,
        IDisposable
{
    private readonly Stopwatch _own = Stopwatch.StartNew();
    private HeavyWork.Ticket? _ticket;
    private int _looks;

    /// <summary>Time of its own so far: waiting for its turn is left out.</summary>
    internal TimeSpan OwnTime => _own.Elapsed;

    /// <summary>True when somebody asked, at the queue, to end it.</summary>
    internal bool IsCancelled => _ticket?.Cancelled.IsCancellationRequested == true;

    public void Look(Budget budget)
    {
        _ticket?.Cancelled.ThrowIfCancellationRequested();
        if (_own.Elapsed > kind.OwnTime)
        {
            throw budget.TooMuch();
        }
        if (++_looks % MemoryLimit.LookEvery == 0 && MemoryLimit.IsReached)
        {
            throw new TooMuchException(
                new Refusal(
                    "too-much-memory",
                    "work",
                    $"{what} takes more memory than this computer can give, so it was given up and nothing was changed. "
                        + "Simplify what is asked, or do it in parts."
                )
            );
        }
        if (_ticket is null && _own.Elapsed > WorkKind.Ordinary)
        {
            _own.Stop();
            _ticket = queue.Enter(id, what, cancellation);
            _own.Start();
        }
    }

    public void Dispose() => _ticket?.Dispose();
}
