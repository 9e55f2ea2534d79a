using System.Collections.Concurrent;

namespace Ullet.Core.Pipeline;

/// <summary>Keeps what stations computed, by station and key; the longest unused leave first.</summary>
/// <remarks>Safe for several threads. Two threads may compute the same value at once; both get an equal one.</remarks>
public sealed class StationCache
{
    public const int DefaultCapacity = 4000;

    private readonly ConcurrentDictionary<(Type, string), Entry> _entries = new();
    private readonly ConcurrentDictionary<Type, long> _computedBy = new();
    private readonly int _capacity;
    private long _clock;
    private long _computed;

    /// <param name="capacity">The most values kept; at least 1.</param>
    public StationCache(int capacity = DefaultCapacity)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(capacity, 1);
        _capacity = capacity;
    }

    /// <summary>How often a station had to compute, since the start.</summary>
    public long Computed => Interlocked.Read(ref _computed);

    /// <summary>How often one kind of station had to compute, since the start.</summary>
    public long ComputedBy<TStation>() => _computedBy.GetValueOrDefault(typeof(TStation));

    /// <summary>The station's output for an input: kept, or computed now.</summary>
    public TOut Get<TIn, TOut>(IStation<TIn, TOut> station, TIn input, CancellationToken cancellation = default)
        where TOut : class
    {
        var key = (station.GetType(), station.Key(input).Hex);
        if (_entries.TryGetValue(key, out var entry))
        {
            entry.Used = Interlocked.Increment(ref _clock);
            return (TOut)entry.Value;
        }
        var value = station.Compute(input, cancellation);
        Interlocked.Increment(ref _computed);
        _computedBy.AddOrUpdate(station.GetType(), 1, (_, count) => count + 1);
        _entries[key] = new Entry(value) { Used = Interlocked.Increment(ref _clock) };
        if (_entries.Count > _capacity)
        {
            Thin();
        }
        return value;
    }

    private void Thin()
    {
        foreach (var old in _entries.OrderBy(pair => pair.Value.Used).Take(Math.Max(1, _capacity / 4)).ToList())
        {
            _entries.TryRemove(old.Key, out _);
        }
    }

    private sealed class Entry(object value)
    {
        public object Value { get; } = value;

        public long Used { get; set; }
    }
}
