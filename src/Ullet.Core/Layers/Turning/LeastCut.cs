using Ullet.Core.Pipeline;

namespace Ullet.Core.Layers;

/// <summary>The least that must be cut so that nothing flows from a source to a sink.</summary>
/// <remarks>E. A. Dinic, "Algorithm for solution of a problem of maximum flow in networks with power estimation", 1970: shortest ways
/// first, all of a length at once.</remarks>
/// <param name="count">How many places there are; they are numbered from 0.</param>
internal sealed class LeastCut(int count)
{
    private readonly List<(int To, int Capacity)> _edges = [];
    private readonly List<int> _next = [];
    private readonly int[] _first = [.. Enumerable.Repeat(-1, count)];
    private readonly int[] _level = new int[count];
    private readonly int[] _at = new int[count];

    /// <summary>Lets something flow from one place to another, and back where that is given.</summary>
    internal void Join(int from, int to, int capacity, int back)
    {
        Add(from, to, capacity);
        Add(to, from, back);
    }

    /// <summary>What flows from the source to the sink at most.</summary>
    internal int Flow(int source, int sink)
    {
        var flow = 0;
        while (Levelled(source, sink))
        {
            Array.Copy(_first, _at, count);
            while (Pushed(source, sink) is > 0 and var more)
            {
                flow += more;
            }
        }
        return flow;
    }

    /// <summary>True, once it has flowed, for a place on the source's side of the cut.</summary>
    internal bool IsBefore(int place) => _level[place] >= 0;

    private void Add(int from, int to, int capacity)
    {
        _edges.Add((to, capacity));
        _next.Add(_first[from]);
        _first[from] = _edges.Count - 1;
    }

    private bool Levelled(int source, int sink)
    {
        Array.Fill(_level, -1);
        _level[source] = 0;
        var waiting = new Queue<int>([source]);
        while (waiting.TryDequeue(out var here))
        {
            for (var edge = _first[here]; edge >= 0; edge = _next[edge])
            {
                Budget.Spend();
                var (to, capacity) = _edges[edge];
                if (capacity > 0 && _level[to] < 0)
                {
                    _level[to] = _level[here] + 1;
                    waiting.Enqueue(to);
                }
            }
        }
        return _level[sink] >= 0;
    }

    /// <summary>Lets as much as possible flow along one way; 0 when there is none left at these levels.</summary>
    private int Pushed(int source, int sink)
    {
        var way = new Stack<int>();
        var here = source;
        while (here != sink)
        {
            Budget.Spend();
            var edge = _at[here];
            if (edge < 0)
            {
                if (way.Count == 0)
                {
                    return 0;
                }
                // A dead end: back one place, and on from there another way.
                here = _edges[way.Peek() ^ 1].To;
                _at[here] = _next[way.Pop()];
                continue;
            }
            var (to, capacity) = _edges[edge];
            if (capacity > 0 && _level[to] == _level[here] + 1)
            {
                way.Push(edge);
                here = to;
            }
            else
            {
                _at[here] = _next[edge];
            }
        }
        var least = way.Min(edge => _edges[edge].Capacity);
        foreach (var edge in way)
        {
            _edges[edge] = (_edges[edge].To, _edges[edge].Capacity - least);
            _edges[edge ^ 1] = (_edges[edge ^ 1].To, _edges[edge ^ 1].Capacity + least);
        }
        return least;
    }
}
