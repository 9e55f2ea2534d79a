using Ullet.Core.Evaluation;

namespace Ullet.Server.Documents;

/// <summary>The latest evaluation of each project, up to a number of bytes in all; the longest unused leave first.</summary>
/// <remarks>Safe for several threads.</remarks>
internal sealed class RecentEvaluations(long most)
{
    private readonly Lock _gate = new();
    private readonly Dictionary<string, Entry> _entries = new(StringComparer.Ordinal);
    private readonly Dictionary<string, TimeSpan> _times = new(StringComparer.Ordinal);
    private long _clock;

    internal Evaluated? Find(string projectId, long revision)
    {
        lock (_gate)
        {
            if (_entries.TryGetValue(projectId, out var entry) && entry.Revision == revision)
            {
                entry.Used = ++_clock;
                return entry.Value;
            }
            return null;
        }
    }

    internal void Keep(string projectId, long revision, Evaluated value, TimeSpan took)
    {
        lock (_gate)
        {
            _times[projectId] = took;
            _entries[projectId] = new Entry(revision, value, value.Bytes) { Used = ++_clock };
            while (_entries.Count > 1 && _entries.Values.Sum(entry => entry.Bytes) > most)
            {
                _entries.Remove(_entries.MinBy(pair => pair.Value.Used).Key);
            }
        }
    }

    internal TimeSpan TimeOf(string projectId)
    {
        lock (_gate)
        {
            return _times.GetValueOrDefault(projectId);
        }
    }

    private sealed class Entry(long revision, Evaluated value, long bytes)
    {
        internal long Revision { get; } = revision;

        internal Evaluated Value { get; } = value;

        internal long Bytes { get; } = bytes;

        internal long Used { get; set; }
    }
}
