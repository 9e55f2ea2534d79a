using System.Collections.Concurrent;

namespace Ullet.Core.Stitches;

/// <summary>Keeps results by what they depend on; when there are too many the oldest go.</summary>
internal sealed class KeptWork<T>(int most)
    where T : class
{
    private readonly ConcurrentDictionary<ShapeKey, T> _kept = new();
    private readonly ConcurrentQueue<ShapeKey> _age = new();

    /// <summary>What is kept, or what is made now; nothing is kept when that is stopped.</summary>
    internal T Of(ShapeKey key, Func<T> make)
    {
        if (_kept.TryGetValue(key, out var known))
        {
            return known;
        }
        var made = make();
        if (_kept.TryAdd(key, made))
        {
            _age.Enqueue(key);
            while (_kept.Count > most && _age.TryDequeue(out var oldest))
            {
                _kept.TryRemove(oldest, out _);
            }
        }
        return made;
    }
}
