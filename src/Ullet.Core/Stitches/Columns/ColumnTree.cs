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

    /// <summary>An end that lies nearer to a column by more is the one that meets it, mm.</summary>
    private const double Clear = 1;

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
        var met = Meetings();
        while (order.Count < _columns.Count)
        {
            Budget.Spend();
            var found =
                Nearest(met, reached, isUnder: true)
                ?? Nearest(met, reached, isUnder: false)
                ?? Touching(order, reached);
            var (parent, link) = found;
            reached[link.Column] = true;
            _parents[link.Column] = parent;
            _links[parent].Add(link);
            order.Add(link.Column);
        }
    }

    /// <summary>The columns that meet at a node: one goes through, the other ends under it.</summary>
    private List<Meeting> Meetings()
    {
        var met = new List<Meeting>();
        for (var upper = 0; upper < _columns.Count; upper++)
        {
            foreach (var (node, _) in _columns[upper].Source.Passed)
            {
                for (var lower = 0; lower < _columns.Count; lower++)
                {
                    Budget.Spend();
                    var (column, source) = (_columns[lower], _columns[lower].Source);
                    if (upper == lower || (source.Start != node && source.End != node))
                    {
                        continue;
                    }
                    var named = Meet(upper, lower, source.Start == node ? 0 : column.Places.Length - 1);
                    // A column that was cut off at a corner may lie beside another with its far end, or across the other's end.
                    met.Add(
                        new[] { Meet(upper, lower, column.Places.Length - 1 - named.End) }
                            .Concat(
                                Ends(upper)
                                    .Select(end => Meet(upper, lower, column.Nearest(_columns[upper].Middle(end))))
                            )
                            .Where(other => other.Away + Clear < named.Away)
                            .Append(named)
                            .MinBy(meeting => meeting.Away)
                    );
                }
            }
        }
        return met;
    }

    private Meeting Meet(int upper, int lower, int end)
    {
        var middle = _columns[lower].Middle(end);
        var on = _columns[upper].Nearest(middle);
        return new Meeting(upper, on, lower, end, middle.DistanceTo(_columns[upper].Middle(on)));
    }

    /// <summary>The nearest of the meetings where one column is reached and the other is not; null where there is none.</summary>
    private static (int Parent, ColumnLink Link)? Nearest(List<Meeting> met, bool[] reached, bool isUnder)
    {
        Meeting? best = null;
        foreach (var each in met)
        {
            Budget.Spend();
            var (parent, child) = isUnder ? (each.Upper, each.Lower) : (each.Lower, each.Upper);
            if (reached[parent] && !reached[child] && each.Away < (best?.Away ?? double.MaxValue))
            {
                best = each;
            }
        }
        return best is not { } found ? null
            : isUnder ? (found.Upper, new ColumnLink(found.Lower, found.On, found.End))
            : (found.Lower, new ColumnLink(found.Upper, found.End, found.On));
    }

    /// <summary>Two columns at a node.</summary>
    /// <param name="Upper">The one that goes through.</param>
    /// <param name="On">Its place there.</param>
    /// <param name="Lower">The one that ends there.</param>
    /// <param name="End">Its place there.</param>
    /// <param name="Away">How far their middles lie apart, mm.</param>
    private readonly record struct Meeting(int Upper, int On, int Lower, int End, double Away);

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
