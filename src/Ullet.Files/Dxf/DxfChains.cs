using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Dxf;

/// <summary>Joins open lines whose ends meet into longer ones, and closes those that come back to their start.</summary>
internal static class DxfChains
{
    /// <param name="lines">In the file's order; closed ones stay as they are. A chain stands where its first line stood.</param>
    /// <param name="within">Ends nearer than this meet.</param>
    internal static List<DxfLine> Joined(List<DxfLine> lines, double within)
    {
        var joined = new List<DxfLine>();
        var ends = new EndIndex(lines, Math.Max(within, 1e-9));
        for (var i = 0; i < lines.Count; i++)
        {
            if (!ends.Take(i))
            {
                continue;
            }
            var line = lines[i];
            var isClosed = line.IsClosed;
            if (!isClosed)
            {
                var chain = Chain(line, ends, within);
                isClosed = Meets(chain, within);
                line = line with { Curves = [.. chain], IsClosed = isClosed };
            }
            joined.Add(isClosed ? Closed(line, within) : line);
        }
        return joined;
    }

    private static LinkedList<Curve> Chain(DxfLine line, EndIndex ends, double within)
    {
        var chain = new LinkedList<Curve>(line.Curves);
        while (!Meets(chain, within) && ends.TakeAt(chain.Last!.Value.End, line) is { } next)
        {
            foreach (var curve in next)
            {
                chain.AddLast(curve);
            }
        }
        while (!Meets(chain, within) && ends.TakeAt(chain.First!.Value.Start, line) is { } before)
        {
            foreach (var curve in before)
            {
                chain.AddFirst(curve.Reversed());
            }
        }
        return chain;
    }

    private static bool Meets(LinkedList<Curve> chain, double within) =>
        chain.First!.Value.Start.DistanceTo(chain.Last!.Value.End) <= within
        && (chain.Count > 1 || !chain.First.Value.IsLine);

    /// <summary>With its end led back to its very start.</summary>
    private static DxfLine Closed(DxfLine line, double within)
    {
        var (start, last) = (line.Curves[0].Start, line.Curves[^1]);
        var gap = last.End.DistanceTo(start);
        return gap < Tolerance.Same ? line
            : gap <= within
                ? line with
                {
                    Curves = line.Curves.SetItem(line.Curves.Length - 1, last with { End = start }),
                }
            : line with { Curves = line.Curves.Add(Curve.Line(last.End, start)) };
    }

    /// <summary>Finds the open line that has an end at a place: a grid of the ends.</summary>
    private sealed class EndIndex
    {
        private readonly List<DxfLine> _lines;
        private readonly double _cell;
        private readonly bool[] _taken;
        private readonly Dictionary<(long, long), List<int>> _cells = [];

        internal EndIndex(List<DxfLine> lines, double cell)
        {
            (_lines, _cell, _taken) = (lines, cell, new bool[lines.Count]);
            for (var i = 0; i < lines.Count; i++)
            {
                if (!lines[i].IsClosed)
                {
                    Cell(lines[i].Curves[0].Start).Add(i);
                    Cell(lines[i].Curves[^1].End).Add(i);
                }
            }
        }

        internal bool Take(int i)
        {
            var free = !_taken[i];
            _taken[i] = true;
            return free;
        }

        /// <summary>Takes the line that goes on from a place, turned so that it begins there; null where the chain ends.</summary>
        internal List<Curve>? TakeAt(Point place, DxfLine line)
        {
            var (x, y) = Address(place);
            for (var dx = -1; dx <= 1; dx++)
            {
                for (var dy = -1; dy <= 1; dy++)
                {
                    foreach (var i in _cells.GetValueOrDefault((x + dx, y + dy), []))
                    {
                        Budget.Spend();
                        // Lines with names of their own were meant to be lines of their own.
                        if (_taken[i] || _lines[i].Layer != line.Layer || _lines[i].Name != line.Name)
                        {
                            continue;
                        }
                        var curves = _lines[i].Curves;
                        if (curves[0].Start.DistanceTo(place) <= _cell)
                        {
                            _taken[i] = true;
                            return Led(place, [.. curves]);
                        }
                        if (curves[^1].End.DistanceTo(place) <= _cell)
                        {
                            _taken[i] = true;
                            return Led(place, [.. curves.Reverse().Select(curve => curve.Reversed())]);
                        }
                    }
                }
            }
            return null;
        }

        private static List<Curve> Led(Point place, List<Curve> curves)
        {
            curves[0] = curves[0] with { Start = place };
            return curves;
        }

        private List<int> Cell(Point place)
        {
            var address = Address(place);
            return _cells.TryGetValue(address, out var list) ? list : _cells[address] = [];
        }

        private (long, long) Address(Point place) =>
            ((long)Math.Floor(place.X / _cell), (long)Math.Floor(place.Y / _cell));
    }
}
