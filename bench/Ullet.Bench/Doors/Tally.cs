using System.Collections.Concurrent;

namespace Ullet.Bench.Doors;

/// <summary>Counts answers, and keeps what must not be among them.</summary>
internal sealed class Tally(string name)
{
    /// <summary>No answer may take longer of its own computing, ms.</summary>
    private const double MostOwn = 5000;

    private const int Shown = 5;

    private readonly ConcurrentDictionary<int, int> _statuses = new();
    private readonly ConcurrentQueue<string> _faults = new();
    private readonly Lock _gate = new();
    private double _slowest;

    internal bool Holds => _faults.IsEmpty;

    /// <summary>Notes an answer.</summary>
    /// <param name="status">Its status; 0 for none.</param>
    /// <param name="own">What it took of its own computing, ms.</param>
    /// <param name="input">What was sent, in a few words, to do it again.</param>
    /// <param name="body">What was answered.</param>
    internal void Note(int status, double own, string input, string body)
    {
        _statuses.AddOrUpdate(status, 1, (_, count) => count + 1);
        lock (_gate)
        {
            _slowest = Math.Max(_slowest, own);
        }
        if (status is 0 or 500)
        {
            Fault($"{status}: {input}: {Short(body)}");
        }
        if (own > MostOwn)
        {
            Fault($"{own:0} ms of its own: {input}");
        }
    }

    internal void Fault(string words) => _faults.Enqueue(words);

    public override string ToString()
    {
        var counts = string.Join(
            ", ",
            _statuses.OrderBy(pair => pair.Key).Select(pair => $"{pair.Value:N0} × {pair.Key}")
        );
        var head = $"{(Holds ? "holds   " : "BREACHED")} {name}: {counts}; slowest {_slowest:0} ms of its own";
        return string.Join("\n         ", _faults.Take(Shown).Prepend(head));
    }

    private static string Short(string text) => text.Length > 300 ? text[..300] + "…" : text;
}
