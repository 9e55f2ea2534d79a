namespace Ullet.Core.Pipeline;

/// <summary>What one computation may take: steps of work, and whatever its keeper watches besides (time, memory). It ends when
/// nobody waits for it any more.</summary>
/// <remarks>
/// A budget belongs to the computation that runs on a thread, not to the function that happens to run: loops say
/// <see cref="Spend"/> and know no more. Without a budget nothing is counted. A step is one turn of an innermost loop, or what
/// costs about as much (tens of nanoseconds). Decision 10 says why it is not a parameter.
/// Laws, tested in BudgetTests: (1) the same work spends the same steps; (2) work over its steps ends with
/// <see cref="TooMuchException"/> within one <see cref="CheckEvery"/>; (3) a cancelled token ends it the same way, with
/// <see cref="OperationCanceledException"/>; (4) after a run the thread has the budget that it had before; (5) work carried out side
/// by side spends what it spends one after the other.
/// </remarks>
public sealed class Budget
{
    /// <summary>Token and keeper are looked at once in so many steps.</summary>
    public const int CheckEvery = 4096;

    [ThreadStatic]
    private static Budget? _current;

    private readonly CancellationToken _cancellation;
    private readonly IBudgetKeeper? _keeper;
    private long _untilCheck = CheckEvery;
    private long _checked;
    private Family? _family;

    /// <param name="what">What is computed, as the sentence of a refusal names it: "Reading this drawing".</param>
    /// <param name="most">The most steps; at least 1.</param>
    /// <param name="keeper">Looked at now and then; null for none.</param>
    /// <param name="cancellation">Ends the work at the next look.</param>
    public Budget(string what, long most, IBudgetKeeper? keeper = null, CancellationToken cancellation = default)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(most, 1);
        (What, Most, _cancellation, _keeper) = (what, most, cancellation, keeper);
    }

    /// <summary>The budget of the computation on this thread; null without one.</summary>
    public static Budget? Current => _current;

    /// <summary>What is computed: "Reading this drawing".</summary>
    public string What { get; }

    /// <summary>The most steps.</summary>
    public long Most { get; }

    /// <summary>Steps spent so far.</summary>
    public long Spent => _checked + CheckEvery - _untilCheck;

    private long SpentByAll => _family is { } all ? Interlocked.Read(ref all.Spent) + Spent - _checked : Spent;

    /// <summary>Counts work of the computation on this thread.</summary>
    /// <param name="steps">Turns of an innermost loop, 0 or more.</param>
    /// <exception cref="TooMuchException">When it has spent more than it may.</exception>
    /// <exception cref="OperationCanceledException">When nobody waits for it any more.</exception>
    public static void Spend(long steps = 1)
    {
        if (_current is { } own && (own._untilCheck -= steps) <= 0)
        {
            own.Look();
        }
    }

    /// <summary>Counts what a call will take that can't be stopped once it has begun.</summary>
    /// <param name="steps">Its steps.</param>
    /// <exception cref="TooMuchException">When that is more than is left: it is not begun.</exception>
    public static void SpendAhead(double steps)
    {
        if (_current is not { } own)
        {
            return;
        }
        if (!(steps <= own.Most - own.SpentByAll))
        {
            throw own.TooMuch();
        }
        own._keeper?.Ahead(own, steps);
        Spend((long)steps);
        own.Look();
    }

    /// <summary>Carries work out under this budget.</summary>
    public T Run<T>(Func<T> work)
    {
        if (_current is not null)
        {
            return RunBeside(work);
        }
        SideBySide.Enter();
        try
        {
            return RunBeside(work);
        }
        finally
        {
            SideBySide.Leave();
        }
    }

    /// <summary>A budget for a part of this work on another thread. Both draw on the same steps; what the part spent is counted here
    /// when it is joined.</summary>
    internal Budget Beside()
    {
        Look();
        _family ??= new Family(_checked);
        return new Budget(What, Most, _keeper?.Beside(), _cancellation) { _family = _family };
    }

    /// <summary>Counts a part that ended.</summary>
    internal void Join(Budget beside)
    {
        Interlocked.Add(ref _family!.Spent, beside.Spent - beside._checked);
        _checked += beside.Spent;
    }

    /// <summary>Carries work out under this budget on a thread that is counted already.</summary>
    internal T RunBeside<T>(Func<T> work)
    {
        var before = _current;
        _current = this;
        try
        {
            Look();
            return work();
        }
        finally
        {
            _current = before;
        }
    }

    /// <summary>The refusal of work that is over this budget.</summary>
    public TooMuchException TooMuch() =>
        new(
            new Refusal(
                "too-much-work",
                "work",
                $"{What} takes more work than Ullet does in one go, so it was given up and nothing was changed. "
                    + "Simplify what is asked, or do it in parts."
            )
        );

    private void Look()
    {
        var (before, now) = (_checked, Spent);
        _checked = now;
        _untilCheck = CheckEvery;
        _cancellation.ThrowIfCancellationRequested();
        if ((_family is { } all ? Interlocked.Add(ref all.Spent, now - before) : now) > Most)
        {
            throw TooMuch();
        }
        _keeper?.Look(this);
    }

    /// <summary>What several budgets that draw on the same steps have spent, as far as they looked.</summary>
    private sealed class Family(long spent)
    {
        internal long Spent = spent;
    }
}

/// <summary>Watches a computation from outside: time, memory, its turn. Called on the computation's own thread.</summary>
public interface IBudgetKeeper
{
    /// <summary>Returns when the computation may go on; may wait.</summary>
    /// <exception cref="TooMuchException">When it must end.</exception>
    void Look(Budget budget);

    /// <summary>A keeper for a part of the computation that is carried out on another thread.</summary>
    IBudgetKeeper Beside();

    /// <summary>Called before work of so many steps that can't be stopped once it has begun.</summary>
    /// <exception cref="TooMuchException">When there is no room for it.</exception>
    void Ahead(Budget budget, double steps);
}

/// <summary>A computation was given up because it takes too much.</summary>
/// <param name="refusal">What to tell the person who asked.</param>
public sealed class TooMuchException(Refusal refusal) : Exception(refusal.Words)
{
    public Refusal Refusal { get; } = refusal;
}
