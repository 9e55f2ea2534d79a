using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Layers;

/// <summary>A place of a way.</summary>
/// <param name="Gap">The gap it leads through.</param>
/// <param name="Opened">The layers whose openings it came through to get here, a bit each.</param>
internal readonly record struct WayPlace(int Gap, ulong Opened);

/// <summary>The shortest ways from a layer's right side to everything inside that can be reached from there, through fewest openings,
/// and to the outside.</summary>
internal sealed class WaysOut
{
    /// <summary>An opening is gone through rather than that a way is longer by more cells than this.</summary>
    private const int OpeningCost = 50;

    /// <summary>A seam that ends fewer ways than this share of what the first does, does not shut anything in.</summary>
    private const double LeastShare = 0.3;

    private readonly TurningGrid _grid;
    private readonly Dictionary<int, (int From, ulong Opened)> _before = [];
    private readonly Dictionary<int, int> _closed = [];
    private int _end = -1;

    /// <param name="grid">The work.</param>
    /// <param name="from">The gap that they begin in.</param>
    internal WaysOut(TurningGrid grid, int from)
    {
        _grid = grid;
        var waiting = new PriorityQueue<(int Gap, int From, ulong Opened), int>();
        waiting.Enqueue((from, -1, 0), 0);
        while (waiting.TryDequeue(out var place, out var far))
        {
            Budget.Spend();
            if (!_before.TryAdd(place.Gap, (place.From, place.Opened)))
            {
                continue;
            }
            if (grid.IsOutside(place.Gap))
            {
                _end = _end < 0 ? place.Gap : _end;
                continue;
            }
            foreach (var next in grid.Next(place.Gap))
            {
                if (!grid.IsFree(next))
                {
                    _closed[grid.ClosedBy(next)] = _closed.GetValueOrDefault(grid.ClosedBy(next)) + 1;
                }
                else if (!_before.ContainsKey(next))
                {
                    waiting.Enqueue((next, place.Gap, 0), far + 1);
                }
            }
            foreach (var (under, over, layers) in grid.Openings(grid.CellOf(place.Gap)))
            {
                if (place.Gap == under || place.Gap == over)
                {
                    waiting.Enqueue((under + over - place.Gap, place.Gap, layers), far + OpeningCost);
                }
            }
        }
    }

    /// <summary>True when one of them leads outside.</summary>
    internal bool LeadOut => _end >= 0;

    /// <summary>True for a gap that one of them leads to.</summary>
    internal bool Reach(int gap) => _before.ContainsKey(gap);

    /// <summary>The one or two seams that end most of them; others go along inside.</summary>
    internal ImmutableArray<string> Closers =>
        [
            .. _closed
                .OrderByDescending(pair => pair.Value)
                .ThenBy(pair => pair.Key)
                .Take(2)
                .Where(pair => pair.Value >= LeastShare * _closed.Values.Max())
                .Select(pair => _grid.Cells.Work.Seams[pair.Key].Name)
                .Distinct(StringComparer.Ordinal),
        ];

    /// <summary>The way that leads outside, from there inwards.</summary>
    internal ImmutableArray<WayPlace> FromOutside()
    {
        var way = ImmutableArray.CreateBuilder<WayPlace>();
        // An opening is noted with the place that lies further out; read inwards it belongs to the next one.
        for (var (at, opened) = (_end, 0UL); at >= 0; )
        {
            way.Add(new WayPlace(at, opened));
            (at, opened) = _before[at];
        }
        return way.ToImmutable();
    }
}
