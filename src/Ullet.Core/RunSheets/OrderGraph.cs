using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Steps by number with what must come before what.</summary>
internal sealed class OrderGraph
{
    private readonly Dictionary<StepKey, int> _numbers;
    private readonly List<int>[] _after;
    private readonly List<int>[] _before;

    /// <param name="steps">All steps.</param>
    /// <param name="precedences">What must come before what; those of steps that are not there are left aside.</param>
    internal OrderGraph(IReadOnlyList<RunStep> steps, IEnumerable<Precedence> precedences)
    {
        Steps = steps;
        _numbers = steps.Select((step, i) => (step.Key, i)).ToDictionary(pair => pair.Key, pair => pair.i);
        _after = [.. steps.Select(_ => new List<int>())];
        _before = [.. steps.Select(_ => new List<int>())];
        Precedences =
        [
            .. precedences.Where(pair => _numbers.ContainsKey(pair.Before) && _numbers.ContainsKey(pair.After)),
        ];
        foreach (var pair in Precedences)
        {
            Budget.Spend();
            _after[_numbers[pair.Before]].Add(_numbers[pair.After]);
            _before[_numbers[pair.After]].Add(_numbers[pair.Before]);
        }
    }

    internal IReadOnlyList<RunStep> Steps { get; }

    internal ImmutableArray<Precedence> Precedences { get; }

    internal int NumberOf(StepKey key) => _numbers.GetValueOrDefault(key, -1);

    internal IReadOnlyList<int> Before(int step) => _before[step];

    internal IReadOnlyList<int> After(int step) => _after[step];

    /// <summary>The legal order that is nearest to a wished one: always the ready step that is wished earliest.</summary>
    /// <param name="wished">A number for each step; smaller is earlier.</param>
    /// <returns>The steps' numbers in order; fewer than all when some wait for one another in a circle.</returns>
    internal List<int> Sorted(IReadOnlyList<int> wished)
    {
        var waiting = _before.Select(before => before.Count).ToArray();
        var ready = new PriorityQueue<int, int>();
        for (var i = 0; i < waiting.Length; i++)
        {
            Budget.Spend();
            if (waiting[i] == 0)
            {
                ready.Enqueue(i, wished[i]);
            }
        }
        var order = new List<int>(waiting.Length);
        while (ready.TryDequeue(out var next, out _))
        {
            order.Add(next);
            foreach (var after in _after[next])
            {
                Budget.Spend();
                if (--waiting[after] == 0)
                {
                    ready.Enqueue(after, wished[after]);
                }
            }
        }
        return order;
    }

    internal bool HasCircle() => Sorted([.. Enumerable.Range(0, Steps.Count)]).Count < Steps.Count;

    /// <summary>What an order breaks.</summary>
    internal IEnumerable<Precedence> Broken(IReadOnlyList<int> order)
    {
        var places = Places(order);
        return Precedences.Where(pair => places[_numbers[pair.Before]] > places[_numbers[pair.After]]);
    }

    /// <summary>Where a step may stand while all others keep their order: from the first to the last place, counted from 0.</summary>
    internal (int First, int Last) Room(int step, IReadOnlyList<int> places) =>
        (
            _before[step].Select(before => places[before] + 1).DefaultIfEmpty(0).Max(),
            _after[step].Select(after => places[after] - 1).DefaultIfEmpty(places.Count - 1).Min()
        );

    /// <summary>The place of each step in an order.</summary>
    internal static int[] Places(IReadOnlyList<int> order)
    {
        var places = new int[order.Count];
        for (var i = 0; i < order.Count; i++)
        {
            Budget.Spend();
            places[order[i]] = i;
        }
        return places;
    }
}
