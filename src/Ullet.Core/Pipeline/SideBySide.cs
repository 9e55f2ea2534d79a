using System.Runtime.ExceptionServices;

namespace Ullet.Core.Pipeline;

/// <summary>Computes equal things on several threads where cores are free. What comes out, and what it spends of a budget, is the
/// same as one after the other.</summary>
/// <remarks>A core is free when no other computation is at work on it: those under a <see cref="Budget"/> are counted. Each helper
/// works under a budget beside the caller's (<see cref="Budget.Beside"/>).</remarks>
public static class SideBySide
{
    private static int _working;

    [ThreadStatic]
    private static bool _isAlone;

    /// <summary>How many threads compute at this moment.</summary>
    internal static int Working => Volatile.Read(ref _working);

    /// <summary>Each item's result, in the items' order.</summary>
    /// <param name="items">What is to be worked on.</param>
    /// <param name="work">The work; called from several threads, so it must not share what it writes.</param>
    /// <exception cref="TooMuchException">When the budget is used up.</exception>
    /// <exception cref="OperationCanceledException">When nobody waits for it any more.</exception>
    public static TOut[] Map<TIn, TOut>(IReadOnlyList<TIn> items, Func<TIn, TOut> work)
    {
        var results = new TOut[items.Count];
        var (next, isOver) = (-1, false);
        int Take()
        {
            while (!Volatile.Read(ref isOver) && Interlocked.Increment(ref next) is var i && i < items.Count)
            {
                results[i] = work(items[i]);
            }
            return next;
        }
        var helpers = Helpers(items.Count - 1, Take, () => Volatile.Write(ref isOver, true));
        try
        {
            Take();
        }
        finally
        {
            Volatile.Write(ref isOver, true);
            Join(helpers);
        }
        return results;
    }

    /// <summary>Carries work out on this thread alone: for measuring.</summary>
    public static void Alone(Action work)
    {
        var before = _isAlone;
        _isAlone = true;
        try
        {
            work();
        }
        finally
        {
            _isAlone = before;
        }
    }

    /// <summary>Says that a thread computes.</summary>
    internal static void Enter() => Interlocked.Increment(ref _working);

    /// <summary>Says that it does so no longer.</summary>
    internal static void Leave() => Interlocked.Decrement(ref _working);

    private static List<Helper> Helpers(int most, Func<int> take, Action end)
    {
        var helpers = new List<Helper>();
        var own = Budget.Current is null ? 1 : 0;
        while (!_isAlone && helpers.Count < most && TryEnter(Environment.ProcessorCount - own))
        {
            var budget = Budget.Current?.Beside();
            helpers.Add(new Helper(budget, Task.Run(() => Help(budget, take, end))));
        }
        return helpers;
    }

    private static bool TryEnter(int most)
    {
        if (Interlocked.Increment(ref _working) <= most)
        {
            return true;
        }
        Leave();
        return false;
    }

    private static ExceptionDispatchInfo? Help(Budget? budget, Func<int> take, Action end)
    {
        try
        {
            _ = budget is null ? take() : budget.RunBeside(take);
            return null;
        }
        catch (Exception wrong) when (wrong is not OutOfMemoryException)
        {
            // Thrown again on the caller's thread.
            end();
            return ExceptionDispatchInfo.Capture(wrong);
        }
        finally
        {
            Leave();
        }
    }

    /// <summary>Waits for all helpers; what went wrong with one goes wrong here.</summary>
    private static void Join(List<Helper> helpers)
    {
        ExceptionDispatchInfo? wrong = null;
        foreach (var (budget, task) in helpers)
        {
            wrong ??= task.GetAwaiter().GetResult();
            if (budget is not null)
            {
                Budget.Current?.Join(budget);
            }
        }
        wrong?.Throw();
    }

    private sealed record Helper(Budget? Budget, Task<ExceptionDispatchInfo?> Task);
}
