using System.Collections.Concurrent;

namespace Ullet.Core.Pipeline;

/// <summary>Keeps what stations computed, by station and key, up to a number of bytes; the longest unused leave first.</summary>
/// <remarks>Safe for several threads. Two threads may compute the same value at once; both get an equal one. What a station
/// says of its outputs' size is trusted.</remarks>
public sealed class StationCache
{
    /// <summary>Bytes kept when nothing else is asked.</summary>
    public const long DefaultBytes = 64_000_000;

    /// <summary>An entry's own share: key, links, counters.</summary>
    private const long EntryBytes = 250;

    private readonly ConcurrentDictionary<(Type, string), Entry> _entries = new();
    private readonly ConcurrentDictionary<Type, long> _computedBy = new();
    private readonly Lock _thinning = new();
    private readonly long _most;
    private long _clock;
    private long _computed;
    private long _bytes;

    /// <param name="most">The most bytes kept; at least 1. The newest value is kept whatever its size until the next comes.</param>
    public StationCache(long most = DefaultBytes)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(most, 1);
        _most = most;
    }

    /// <summary>How often a station had to compute, since the start.</summary>
    public long Computed => Interlocked.Read(ref _computed);

    /// <summary>About how many bytes are kept.</summary>
    public long Bytes => Interlocked.Read(ref _bytes);

    /// <summary>How often one kind of station had to compute, since the start.</summary>
    public long ComputedBy<TStation>() => _computedBy.GetValueOrDefault(typeof(TStation));

    /// <summary>The station's output for an input: kept, or computed now.</summary>
    public TOut Get<TIn, TOut>(IStation<TIn, TOut> station, TIn input, CancellationToken cancellation = default)
        where TOut : class
    {
        Budget.Spend();
        var key = (station.GetType(), station.Key(input).Hex);
        if (_entries.TryGetValue(key, out var entry))
        {
            entry.Used = Interlocked.Increment(ref _clock);
            return (TOut)entry.Value;
        }
        cancellation.ThrowIfCancellationRequested();
        var value = station.Compute(input, cancellation);
        Interlocked.Increment(ref _computed);
        _computedBy.AddOrUpdate(station.GetType(), 1, (_, count) => count + 1);
        var made = new Entry(value, EntryBytes + station.Bytes(value)) { Used = Interlocked.Increment(ref _clock) };
        if (_entries.TryAdd(key, made) && Interlocked.Add(ref _bytes, made.Bytes) > _most)
        {
            Thin();
        }
        return value;
    }

    /// <summary>Lets the longest unused go until three quarters of what is allowed are left.</summary>
    private void Thin()
    {
        lock (_thinning)
        {
            // ToArray is taken at one moment; sorting the dictionary itself fails when another thread adds in between.
            foreach (var (key, _) in _entries.ToArray().OrderBy(pair => pair.Value.Used))
            {
                if (Bytes <= _most / 4 * 3)
                {
                    return;
                }
                if (_entries.TryRemove(key, out var gone))
                {
                    Interlocked.Add(ref _bytes, -gone.Bytes);
                }
            }
        }
    }

    private sealed class Entry(object value, long bytes)
    {
        public object Value { get; } = value;

        public long Bytes { get; } = bytes;

        public long Used { get; set; }
    }
}
