using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Sews the columns of a shape without a trim: out along each under what will lie on it, to those that are reached from it, and
/// back in strokes.</summary>
/// <remarks>Every column that ends under another is sewn before that one's strokes, so that its end lies under them. Where an exit is
/// asked for, the columns on the way there are sewn forward instead: out and back underneath, then in strokes.</remarks>
internal sealed class ColumnWalk
{
    /// <summary>Columns whose middles are so near meet, mm.</summary>
    private const double Near = 0.8;

    private readonly IReadOnlyList<SatinColumn> _columns;
    private readonly ColumnTree _tree;
    private readonly ColumnNumbers _numbers;
    private readonly ColumnThreads _threads;
    private readonly List<List<ColumnPart>> _parts;
    private readonly List<Bit> _bits = [];
    private readonly List<Point> _under = [];
    private readonly HashSet<int> _visited = [];

    private ColumnWalk(
        IReadOnlyList<SatinColumn> columns,
        ColumnTree tree,
        ColumnNumbers numbers,
        ColumnThreads threads
    )
    {
        (_columns, _tree, _numbers, _threads) = (columns, tree, numbers, threads);
        _parts = [.. columns.Select(column => ColumnParts.Of(column, SatinColumns.Limits))];
    }

    /// <summary>What is sewn, in order.</summary>
    /// <param name="columns">The columns of one connected shape.</param>
    /// <param name="numbers">Spacing, underlay.</param>
    /// <param name="threads">Takes the strokes; its runs are asked for when all shapes are walked.</param>
    /// <param name="entry">The needle enters near this spot, mm.</param>
    /// <param name="exit">It should leave near this one; null for where it entered.</param>
    internal static List<Bit> Of(
        IReadOnlyList<SatinColumn> columns,
        ColumnNumbers numbers,
        ColumnThreads threads,
        Point entry,
        Point? exit
    )
    {
        var tree = ColumnTree.Of(columns, entry);
        var walk = new ColumnWalk(columns, tree, numbers, threads);
        var path = exit is { } spot ? tree.PathTo(ColumnTree.Nearest(columns, spot).Column) : [];
        walk.Sew(tree.Root, tree.Entry, path, 0, exit, null);
        walk.Flush();
        return walk._bits;
    }

    /// <summary>Sews a column and all that is reached from it.</summary>
    /// <param name="number">The column.</param>
    /// <param name="entry">The place where the needle enters.</param>
    /// <param name="path">The columns on the way to the exit.</param>
    /// <param name="onPath">How many of them are sewn.</param>
    /// <param name="exit">Where the way ends, mm.</param>
    /// <param name="back">Where the needle goes from there, mm: strokes end on that side; null for where it does not matter.</param>
    private void Sew(int number, int entry, List<int> path, int onPath, Point? exit, Point? back)
    {
        Budget.Spend();
        var column = _columns[number];
        var last = column.Places.Length - 1;
        var isOnPath = onPath < path.Count && path[onPath] == number;
        if (column.IsClosed)
        {
            SewRing(number, entry, path, onPath, isOnPath, exit);
            return;
        }
        var next =
            isOnPath && onPath + 1 < path.Count
                ? _tree.LinksOf(number).First(link => link.Column == path[onPath + 1])
                : default;
        var target =
            !isOnPath ? entry
            : onPath + 1 < path.Count ? next.At
            : exit!.Value.DistanceTo(column.Middle(0)) < exit.Value.DistanceTo(column.Middle(last)) ? 0
            : last;
        var forward = Math.Sign(target - entry);
        // What does not lead on comes first, each way out and back.
        foreach (var end in (ReadOnlySpan<int>)[0, last])
        {
            if (end != entry && Math.Sign(end - entry) != forward)
            {
                Arm(number, entry, end, path, onPath, back);
            }
        }
        if (!isOnPath || forward == 0)
        {
            Links(number, entry, path, onPath);
        }
        else
        {
            Forward(number, entry, target, path, onPath);
        }
        if (isOnPath && onPath + 1 < path.Count)
        {
            Sew(next.Column, next.Entry, path, onPath + 1, exit, exit!.Value);
        }
    }

    /// <summary>Out to an end and back in strokes.</summary>
    private void Arm(int number, int from, int to, List<int> path, int onPath, Point? back)
    {
        var passes = ColumnUnderlay.Passes(Width(number, from, to), _numbers.Underlay, comesBack: false);
        Out(number, from, to, passes, path, onPath);
        Top(number, to, from, back);
    }

    /// <summary>Out to a place and back underneath, what lies beyond it as an arm of its own, then in strokes.</summary>
    private void Forward(int number, int from, int to, List<int> path, int onPath)
    {
        var last = _columns[number].Places.Length - 1;
        var end = to > from ? last : 0;
        if (end != to)
        {
            var first = ColumnUnderlay.Line(Span(number, from, to), ColumnUnderlay.Track.Middle, to < from);
            Under(first, number, from, to, path, onPath, withLinks: true);
            Arm(number, to, end, path, onPath, _columns[number].Middle(to));
            Under(
                ColumnUnderlay.Line(Span(number, from, to), ColumnUnderlay.Track.Middle, to > from),
                number,
                to,
                from,
                path,
                onPath,
                withLinks: false
            );
        }
        else
        {
            Out(
                number,
                from,
                to,
                ColumnUnderlay.Passes(Width(number, from, to), _numbers.Underlay, comesBack: true),
                path,
                onPath
            );
        }
        Top(number, from, to, _columns[number].Middle(to));
    }

    private void Out(
        int number,
        int from,
        int to,
        ImmutableArray<ColumnUnderlay.Track> passes,
        List<int> path,
        int onPath
    )
    {
        for (var pass = 0; pass < passes.Length; pass++)
        {
            var isBack = pass % 2 == 1;
            var line = ColumnUnderlay.Line(Span(number, from, to), passes[pass], to > from == isBack);
            Under(line, number, isBack ? to : from, isBack ? from : to, path, onPath, withLinks: pass == 0);
        }
    }

    private void SewRing(int number, int entry, List<int> path, int onPath, bool isOnPath, Point? exit)
    {
        var column = _columns[number];
        var turned = Turned(column, entry);
        // The ring is sewn as a line that begins and ends at its entry.
        var places = turned.Places;
        var links = _tree
            .LinksOf(number)
            .Select(link => (Link: link, At: (link.At - entry + places.Length - 1) % (places.Length - 1)))
            .OrderBy(pair => pair.At)
            .ToList();
        var line = ColumnUnderlay.Line(places, ColumnUnderlay.Track.Middle, isReversed: false);
        var at = 0;
        foreach (var (link, on) in links.Where(pair => !IsNext(pair.Link, path, onPath)))
        {
            _under.AddRange(line[at..(on + 1)]);
            at = on;
            Visit(number, link);
        }
        _under.AddRange(line[at..]);
        var width = Width(turned, 0, places.Length - 1);
        foreach (
            var track in ColumnUnderlay
                .Passes(width, _numbers.Underlay, comesBack: true)
                .Where(track => track != ColumnUnderlay.Track.Middle)
        )
        {
            _under.AddRange(ColumnUnderlay.Line(places, track, isReversed: false));
        }
        // Strokes end where they begin: where the way goes on, and the needle comes there underneath.
        var next = links.FirstOrDefault(pair => IsNext(pair.Link, path, onPath));
        var leave =
            !isOnPath ? 0
            : onPath + 1 < path.Count ? next.At
            : turned.Nearest(exit!.Value) % (places.Length - 1);
        var isNearBack = leave > places.Length / 2;
        var round = ColumnUnderlay.Line(places, ColumnUnderlay.Track.Middle, isNearBack);
        _under.AddRange(round[..((isNearBack ? places.Length - 1 - leave : leave) + 1)]);
        Flush();
        var sewn = Turned(turned, leave);
        var parts = ColumnParts.Of(sewn, SatinColumns.Limits);
        foreach (var part in parts)
        {
            _bits.Add(
                new Bit(
                    RunKind.Top,
                    [],
                    _threads.Add(sewn, part, isReversed: false, closes: parts.Count == 1, sewn.Middle(0))
                )
            );
        }
        if (isOnPath && onPath + 1 < path.Count)
        {
            Sew(next.Link.Column, next.Link.Entry, path, onPath + 1, exit, exit!.Value);
        }
    }

    private static bool IsNext(ColumnLink link, List<int> path, int onPath) =>
        onPath + 1 < path.Count && path[onPath + 1] == link.Column;

    private static SatinColumn Turned(SatinColumn ring, int entry)
    {
        var count = ring.Places.Length - 1;
        var at = entry % count;
        return ring with { Places = [.. ring.Places[at..count], .. ring.Places[..at], ring.Places[at]] };
    }

    /// <summary>A pass underneath, with what is reached on the way.</summary>
    private void Under(List<Point> line, int number, int from, int to, List<int> path, int onPath, bool withLinks)
    {
        if (!withLinks)
        {
            _under.AddRange(line);
            return;
        }
        var way = Math.Sign(to - from);
        var links = _tree
            .LinksOf(number)
            .Where(link => way > 0 ? link.At > from && link.At <= to : link.At < from && link.At >= to)
            .Where(link => !IsNext(link, path, onPath))
            .OrderBy(link => Math.Abs(link.At - from));
        var at = 0;
        Links(number, from, path, onPath);
        foreach (var link in links)
        {
            var on = (int)
                Math.Round((line.Count - 1) * Math.Abs(link.At - from) / (double)Math.Max(1, Math.Abs(to - from)));
            _under.AddRange(line[at..(on + 1)]);
            at = on;
            Visit(number, link);
        }
        _under.AddRange(line[at..]);
    }

    /// <summary>What is reached from one very place.</summary>
    private void Links(int number, int at, List<int> path, int onPath)
    {
        foreach (var link in _tree.LinksOf(number).Where(link => link.At == at && !IsNext(link, path, onPath)))
        {
            Visit(number, link);
        }
    }

    /// <summary>Sews what is reached by a link, once: two stretches of a column may share the place.</summary>
    private void Visit(int number, ColumnLink link)
    {
        if (_visited.Add(link.Column))
        {
            if (_columns[number].Middle(link.At).DistanceTo(_columns[link.Column].Middle(link.Entry)) > Near)
            {
                // A straight line might lead over a gap; the way there is looked for when all strokes are known.
                Flush();
            }
            Sew(link.Column, link.Entry, [], 0, null, _columns[number].Middle(link.At));
        }
    }

    private void Top(int number, int from, int to, Point? back)
    {
        Flush();
        var column = _columns[number];
        var (low, high) = (Math.Min(from, to), Math.Max(from, to));
        var parts = _parts[number]
            .Select(part => part with { From = Math.Max(part.From, low), To = Math.Min(part.To, high) })
            .Where(part => part.To > part.From);
        Point? stands = null;
        foreach (var part in to < from ? parts.Reverse() : parts)
        {
            var thread = _threads.Add(column, part, to < from, closes: false, back, stands);
            _bits.Add(new Bit(RunKind.Top, [], thread));
            stands = _threads.EndOf(thread);
        }
    }

    /// <summary>What was laid underneath becomes a run; a single place, where nothing was, is a way to it.</summary>
    private void Flush()
    {
        var line = _under
            .Where((at, i) => i == 0 || at.DistanceTo(_under[i - 1]) > Tolerance.Quantum)
            .ToImmutableArray();
        if (line.Length > 0)
        {
            var run = line.Length > 1 ? RunStitch.Along(line, StitchDefaults.FineRunLength) : line;
            _bits.Add(new Bit(RunKind.Underlay, run, -1));
        }
        _under.Clear();
    }

    private Span<StrokePlace> Span(int number, int from, int to) =>
        _columns[number].Places.AsSpan()[Math.Min(from, to)..(Math.Max(from, to) + 1)];

    private double Width(int number, int from, int to) => Width(_columns[number], from, to);

    /// <summary>How wide most of a stretch is at least, mm.</summary>
    private static double Width(SatinColumn column, int from, int to)
    {
        var lengths = column
            .Places[Math.Min(from, to)..(Math.Max(from, to) + 1)]
            .Select(place => place.Length)
            .Order()
            .ToList();
        return lengths[lengths.Count / 4];
    }

    /// <summary>A run underneath, or the number of a run of strokes.</summary>
    internal readonly record struct Bit(RunKind Kind, ImmutableArray<Point> Points, int Thread);
}
