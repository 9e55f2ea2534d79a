using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A column that is reached from another.</summary>
/// <param name="Column">Its number.</param>
/// <param name="At">The place of the other from which it is reached.</param>
/// <param name="Entry">Its own place where the needle enters.</param>
internal readonly record struct ColumnLink(int Column, int At, int Entry);

/// <summary>Which column is reached from which: a tree, so that the needle comes everywhere under stitches that are still to come.</summary>
/// <remarks>From a column first those are reached that end under it; only what is left is entered from its own end.</remarks>
internal sealed class ColumnTree
{
    /// <summary>What the way to a column's middle counts against the way to its strokes.</summary>
    private const double Aside = 0.1;

    private readonly IReadOnlyList<SatinColumn> _columns;
    private readonly List<ColumnLink>[] _links;
    private readonly int[] _parents;

    private ColumnTree(IReadOnlyList<SatinColumn> columns, int root, int entry)
    {
        _columns = columns;
        _links = [.. columns.Select(_ => new List<ColumnLink>())];
        _parents = new int[columns.Count];
        Array.Fill(_parents, -1);
        (Root, Entry) = (root, entry);
    }

    internal int Root { get; }

    /// <summary>The root's place where the needle enters.</summary>
    internal int Entry { get; }

    internal IReadOnlyList<ColumnLink> LinksOf(int column) => _links[column];

    /// <summary>The columns from the root to one, both included.</summary>
    internal List<int> PathTo(int column)
    {
        var path = new List<int>();
        for (var at = column; at >= 0; at = _parents[at])
        {
            path.Insert(0, at);
        }
        return path;
    }

    internal static ColumnTree Of(IReadOnlyList<SatinColumn> columns, Point entry)
    {
        // One that ends under no other, where there is one: then what ends under it is sewn before it.
        var upper = columns.Where(column => column.Source is { Start: null, End: null, IsRest: false }).ToList();
        var (among, place) = Nearest(upper.Count > 0 ? upper : columns, entry);
        var root = upper.Count > 0 ? columns.ToList().IndexOf(upper[among]) : among;
        var tree = new ColumnTree(columns, root, place);
        tree.Grow();
        return tree;
    }

    /// <summary>The end of a column that lies nearest to a spot; of a ring any place.</summary>
    internal static (int Column, int Place) Nearest(IReadOnlyList<SatinColumn> columns, Point spot)
    {
        var (best, nearest) = ((0, 0), double.MaxValue);
        for (var c = 0; c < columns.Count; c++)
        {
            var column = columns[c];
            foreach (var i in column.IsClosed ? [column.Nearest(spot)] : (int[])[0, column.Places.Length - 1])
            {
                var away = column.Middle(i).DistanceTo(spot);
                if (away < nearest)
                {
                    (best, nearest) = ((c, i), away);
                }
            }
        }
        return best;
    }

    private void Grow()
    {
        var reached = new bool[_columns.Count];
        reached[Root] = true;
        var order = new List<int> { Root };
        while (order.Count < _columns.Count)
        {
            Budget.Spend();
            var found =
                First(order, reached, isUnder: true)
                ?? First(order, reached, isUnder: false)
                ?? Touching(order, reached);
            var (parent, link) = found;
            reached[link.Column] = true;
            _parents[link.Column] = parent;
            _links[parent].Add(link);
            order.Add(link.Column);
        }
    }

    /// <summary>A column that meets one that is reached at a node.</summary>
    private (int Parent, ColumnLink Link)? First(List<int> order, bool[] reached, bool isUnder)
    {
        foreach (var parent in order)
        {
            for (var c = 0; c < _columns.Count; c++)
            {
                Budget.Spend();
                if (reached[c])
                {
                    continue;
                }
                var (upper, lower) = isUnder ? (parent, c) : (c, parent);
                foreach (var (node, _) in _columns[upper].Source.Passed)
                {
                    var source = _columns[lower].Source;
                    var end =
                        source.Start == node ? 0
                        : source.End == node ? _columns[lower].Places.Length - 1
                        : -1;
                    if (end >= 0)
                    {
                        var on = _columns[upper].Nearest(_columns[lower].Middle(end));
                        return (parent, isUnder ? new ColumnLink(c, on, end) : new ColumnLink(c, end, on));
                    }
                }
            }
        }
        return null;
    }

    /// <summary>The column that lies nearest to one that is reached: an end of either beside a stroke of the other.</summary>
    private (int Parent, ColumnLink Link) Touching(List<int> order, bool[] reached)
    {
        (int Parent, ColumnLink Link) best = default;
        var nearest = double.MaxValue;
        for (var c = 0; c < _columns.Count; c++)
        {
            if (reached[c])
            {
                continue;
            }
            foreach (var parent in order)
            {
                foreach (var end in Ends(c))
                {
                    var (at, away) = Beside(c, end, parent);
                    Take(parent, new ColumnLink(c, at, end), away);
                }
                foreach (var end in Ends(parent))
                {
                    var (entry, away) = Beside(parent, end, c);
                    Take(parent, new ColumnLink(c, end, entry), away);
                }
            }
        }
        return best;

        void Take(int parent, ColumnLink link, double away)
        {
            if (away < nearest)
            {
                (best, nearest) = ((parent, link), away);
            }
        }
    }

    private int[] Ends(int column) => [0, _columns[column].Places.Length - 1];

    /// <summary>The place of another column whose stroke lies beside a place of one; of several the one whose middle is nearest.</summary>
    private (int Place, double Away) Beside(int column, int place, int other)
    {
        Budget.Spend();
        var spot = _columns[column].Middle(place);
        var (at, away) = _columns[other].NearestStroke(spot);
        return (at, away + (Aside * _columns[other].Middle(at).DistanceTo(spot)));
    }
}
