using Ullet.Core.Pipeline;

namespace Ullet.Server.Work;

/// <summary>Watches one computation: moves it into the queue when it turns out heavy, ends it when its time or the memory is used
/// up.</summary>
internal sealed class WorkKeeper(WorkKind kind, HeavyWork queue, string id, string what, CancellationToken cancellation)
    : IBudgetKeeper,
        IDisposable
{
    /// <summary>About how long a step takes; tells beforehand whether there is time for what can't be stopped.</summary>
    private static readonly TimeSpan Step = TimeSpan.FromMicroseconds(0.05);

    private readonly TimeSpan _begun = ThreadTime.Now;
    private HeavyWork.Ticket? _ticket;
    private bool _gaveUp;
    private int _looks;

    /// <summary>Time of its own so far: waiting for its turn is left out.</summary>
    internal TimeSpan OwnTime => ThreadTime.Now - _begun;

    /// <summary>True when somebody asked, at the queue, to end it.</summary>
    internal bool IsCancelled => _gaveUp || _ticket?.Cancelled.IsCancellationRequested == true;

    public void Look(Budget budget)
    {
        _ticket?.Cancelled.ThrowIfCancellationRequested();
        var own = OwnTime;
        if (own > kind.OwnTime)
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
        if (_ticket is null && own > WorkKind.Ordinary)
        {
            try
            {
                _ticket = queue.Enter(id, what, cancellation);
            }
            catch (OperationCanceledException) when (!cancellation.IsCancellationRequested)
            {
                _gaveUp = true;
                throw;
            }
        }
    }

    public void Ahead(Budget budget, double steps)
    {
        if (OwnTime + (steps * Step) > kind.OwnTime)
        {
            throw budget.TooMuch();
        }
    }

    public void Dispose() => _ticket?.Dispose();
}
