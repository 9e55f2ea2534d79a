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
    private long _beside;

    /// <summary>Time of its own so far, on all threads: waiting for its turn is left out.</summary>
    internal TimeSpan OwnTime => ThreadTime.Now - _begun + TimeSpan.FromTicks(Interlocked.Read(ref _beside));

    private TimeSpan Limit => kind.OwnTime;

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
        CheckMemory(ref _looks);
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

    public IBudgetKeeper Beside() => new OfPart(this);

    public void Dispose() => _ticket?.Dispose();

    private void CheckMemory(ref int looks)
    {
        if (++looks % MemoryLimit.LookEvery == 0 && MemoryLimit.IsReached)
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
    }

    /// <summary>Watches a part of the computation on another thread. Only the whole queues.</summary>
    private sealed class OfPart(WorkKeeper whole) : IBudgetKeeper
    {
        private TimeSpan? _seen;
        private TimeSpan _own;
        private int _looks;

        public void Look(Budget budget)
        {
            whole._ticket?.Cancelled.ThrowIfCancellationRequested();
            // The thread's clock is read on the thread itself.
            var now = ThreadTime.Now;
            var took = now - (_seen ?? now);
            (_seen, _own) = (now, _own + took);
            Interlocked.Add(ref whole._beside, took.Ticks);
            if (_own > whole.Limit)
            {
                throw budget.TooMuch();
            }
            whole.CheckMemory(ref _looks);
        }

        public void Ahead(Budget budget, double steps)
        {
            if (_own + (steps * Step) > whole.Limit)
            {
                throw budget.TooMuch();
            }
        }

        public IBudgetKeeper Beside() => new OfPart(whole);
    }
}
