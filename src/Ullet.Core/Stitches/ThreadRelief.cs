using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Takes top thread away where more than is promised still lies after strokes were spread and shortened: where legs,
/// caps and facing edges meet in ways that no single leg knows of.</summary>
/// <remarks>Thread is counted on a grid. At the thickest place the smallest change is looked for (a needle point drawn back, a
/// stroke to and fro left out) that takes most thread away without baring the cloth; then at the next.</remarks>
internal sealed class ThreadRelief
{
    private const double Cell = 0.1;

    /// <summary>Layers are averaged over squares of this many cells.</summary>
    private const int Place = 9;

    /// <summary>What is aimed for, over what lies on a straight edge; a little under what is promised.</summary>
    private const double Most = 1.46;

    /// <summary>The same where a closed cover runs on over its start.</summary>
    private const double MostInOverlap = 1.9;

    /// <summary>From here on a coarse count is looked at closely, over what lies on a straight edge.</summary>
    private const double Suspicious = 1.2;

    /// <summary>The side of the coarse count's cells, mm.</summary>
    private const double Coarse = Cell * Place;

    /// <summary>How many of the coarse cells a place that is looked at closely has along a side at most.</summary>
    private const int Largest = 8;

    private const int MostChanges = 40;

    /// <summary>How far a needle point may be drawn back towards the middle of its strokes, tried in this order.</summary>
    private static readonly double[] Draws = [0.2, 0.35, 0.5, 0.65];

    /// <summary>A bared cell weighs as much as this much surplus thread in a square, layers.</summary>
    private const double BareWeight = 4;

    /// <summary>A change may bare no more cells than this.</summary>
    private const int MostBared = 3;

    private readonly NeedleChain _chain;
    private readonly List<Point> _starts;
    private readonly double _straight;
    private readonly double _overlap;

    private ThreadRelief(IReadOnlyList<StitchRun> runs, SatinNumbers numbers)
    {
        _chain = new NeedleChain([.. runs.Select(run => run.Points)]);
        _starts = [.. runs.Select(run => Point.Lerp(run.Points[0], run.Points[1], 0.5))];
        _straight = 2 * StitchDefaults.ThreadWidth / numbers.Spacing;
        _overlap = numbers.Band.Width + StitchDefaults.ClosingOverlap;
    }

    /// <summary>The runs of one cover, with its top thread relieved where needed.</summary>
    internal static List<StitchRun> Of(List<StitchRun> runs, SatinNumbers numbers, CancellationToken cancellation)
    {
        var tops = runs.Where(run => run.Kind == RunKind.Top).ToList();
        if (numbers.Spacing > 2 * StitchDefaults.CoverSpacing || tops.Count == 0)
        {
            return runs;
        }
        var relief = new ThreadRelief(tops, numbers);
        var changed = false;
        foreach (var box in relief.ThickBoxes())
        {
            cancellation.ThrowIfCancellationRequested();
            changed |= relief.Relieve(box);
        }
        if (!changed)
        {
            return runs;
        }
        var number = 0;
        return [.. runs.Select(run => run.Kind == RunKind.Top ? run with { Points = relief._chain.Run(number++) } : run)];
    }

    /// <summary>The boxes around coarse cells with much thread.</summary>
    private IEnumerable<Box> ThickBoxes()
    {
        var counts = new Dictionary<(int X, int Y), double>();
        for (var i = 0; i < _chain.Count; i++)
        {
            if (_chain.After(i) is var next && next < 0)
            {
                continue;
            }
            var (from, to) = (_chain[i], _chain[next]);
            var steps = Math.Max(1, (int)Math.Ceiling(from.DistanceTo(to) / (Coarse / 2)));
            var share = from.DistanceTo(to) / steps * StitchDefaults.ThreadWidth / (Coarse * Coarse);
            for (var s = 0; s < steps; s++)
            {
                var at = Point.Lerp(from, to, (s + 0.5) / steps);
                var cell = ((int)Math.Floor(at.X / Coarse), (int)Math.Floor(at.Y / Coarse));
                System.Runtime.InteropServices.CollectionsMarshal.GetValueRefOrAddDefault(counts, cell, out _) += share;
            }
        }
        var thick = counts
            .Where(pair => pair.Value > Suspicious * _straight)
            .Select(pair => pair.Key)
            .OrderBy(cell => cell)
            .ToList();
        var left = thick.ToHashSet();
        foreach (var cell in thick)
        {
            if (!left.Remove(cell))
            {
                continue;
            }
            var (low, high) = (cell, cell);
            var open = new Stack<(int X, int Y)>([cell]);
            while (open.TryPop(out var here))
            {
                (low, high) = (
                    (Math.Min(low.X, here.X), Math.Min(low.Y, here.Y)),
                    (Math.Max(high.X, here.X), Math.Max(high.Y, here.Y))
                );
                for (var near = 0; near < 9; near++)
                {
                    var beside = (X: here.X - 1 + (near % 3), Y: here.Y - 1 + (near / 3));
                    var fits =
                        Math.Max(high.X, beside.X) - Math.Min(low.X, beside.X) < Largest
                        && Math.Max(high.Y, beside.Y) - Math.Min(low.Y, beside.Y) < Largest;
                    if (fits && left.Remove(beside))
                    {
                        open.Push(beside);
                    }
                }
            }
            yield return new Box(
                low.X * Coarse,
                low.Y * Coarse,
                (high.X + 1) * Coarse,
                (high.Y + 1) * Coarse
            ).Grown(Coarse);
        }
    }

    private bool Relieve(Box box)
    {
        var near = PointsNear(box);
        var wide = Box.Of(near.Select(i => _chain[i])).Grown(StitchDefaults.ThreadWidth);
        var field = new Field(this, wide, box);
        foreach (var i in PointsNear(wide).Where(i => _chain.After(i) >= 0))
        {
            field.Raster.Draw(_chain[i], _chain[_chain.After(i)]);
        }
        var changed = false;
        for (var change = 0; change < MostChanges; change++)
        {
            var (surplus, thickest) = field.Surplus();
            if (thickest is not { } square || !ChangeAt(square, surplus, field, near))
            {
                break;
            }
            changed = true;
        }
        return changed;
    }

    /// <summary>Every point of which a stroke crosses a box.</summary>
    private List<int> PointsNear(Box box)
    {
        var wide = box.Grown(StitchDefaults.ThreadWidth);
        var near = new List<int>();
        for (var i = 0; i < _chain.Count; i++)
        {
            var (before, after) = (_chain.Before(i), _chain.After(i));
            if ((before >= 0 && Crosses(before, i, wide)) || (after >= 0 && Crosses(i, after, wide)))
            {
                near.Add(i);
            }
        }
        return near;
    }

    private bool Crosses(int from, int to, Box box)
    {
        var (a, b) = (_chain[from], _chain[to]);
        return Math.Max(a.X, b.X) >= box.MinX
            && Math.Min(a.X, b.X) <= box.MaxX
            && Math.Max(a.Y, b.Y) >= box.MinY
            && Math.Min(a.Y, b.Y) <= box.MaxY;
    }

    /// <summary>Makes the best change at a square; false when none helps.</summary>
    private bool ChangeAt(Box square, double surplus, Field field, List<int> near)
    {
        (double Gain, int Number, double Draw) best = (1e-9, -1, 0);
        foreach (var i in near)
        {
            var (before, after) = (_chain.Before(i), _chain.After(i));
            if (before < 0 || after < 0 || (!Crosses(before, i, square) && !Crosses(i, after, square)))
            {
                continue;
            }
            foreach (var draw in Draws)
            {
                if (Drawn(i, draw) is { } to)
                {
                    Try(draw, [(_chain[before], _chain[i]), (_chain[i], _chain[after])], [(_chain[before], to), (to, _chain[after])]);
                }
            }
            if (_chain.After(after) is var beyond && beyond >= 0)
            {
                Try(
                    LeaveOut,
                    [(_chain[before], _chain[i]), (_chain[i], _chain[after]), (_chain[after], _chain[beyond])],
                    [(_chain[before], _chain[beyond])]
                );
            }

            void Try(double draw, ReadOnlySpan<(Point, Point)> taken, ReadOnlySpan<(Point, Point)> laid)
            {
                var bared = field.Change(taken, laid);
                var gain = bared > MostBared ? 0 : surplus - field.Surplus().Sum - (BareWeight * bared);
                field.Change(laid, taken);
                if (gain > best.Gain)
                {
                    best = (gain, i, draw);
                }
            }
        }
        if (best.Number < 0)
        {
            return false;
        }
        Make(best.Number, best.Draw, field);
        return true;
    }

    /// <summary>Stands for a stroke to and fro that is left out.</summary>
    private const double LeaveOut = 1;

    private void Make(int i, double draw, Field field)
    {
        var (before, after) = (_chain.Before(i), _chain.After(i));
        if (draw < LeaveOut)
        {
            var to = Drawn(i, draw)!.Value;
            field.Change(
                [(_chain[before], _chain[i]), (_chain[i], _chain[after])],
                [(_chain[before], to), (to, _chain[after])]
            );
            _chain.Move(i, to);
            return;
        }
        var beyond = _chain.After(after);
        field.Change(
            [(_chain[before], _chain[i]), (_chain[i], _chain[after]), (_chain[after], _chain[beyond])],
            [(_chain[before], _chain[beyond])]
        );
        _chain.LeaveOut(i);
        _chain.LeaveOut(after);
    }

    private Point? Drawn(int i, double draw)
    {
        var (before, after) = (_chain[_chain.Before(i)], _chain[_chain.After(i)]);
        var to = Point.Lerp(_chain[i], Point.Lerp(before, after, 0.5), draw);
        var shortest = 2 * StitchDefaults.ShortestStitch;
        return to.DistanceTo(before) < shortest || to.DistanceTo(after) < shortest ? null : to;
    }

    /// <summary>The thread on a part of the cover.</summary>
    private sealed class Field
    {
        private readonly int[] _columns;
        private readonly double[] _limits;
        private readonly (int First, int Last) _across;
        private readonly (int First, int Last) _down;

        /// <param name="owner">Knows the limits.</param>
        /// <param name="box">What thread is counted on: as far as the strokes reach that may be changed, mm.</param>
        /// <param name="judged">The part of it where too much may lie, mm.</param>
        internal Field(ThreadRelief owner, Box box, Box judged)
        {
            Raster = new ThreadRaster(box, Cell);
            _across = (Cells(judged.MinX - box.MinX), Math.Min(Raster.Columns - 1, Cells(judged.MaxX - box.MinX)));
            _down = (Cells(judged.MinY - box.MinY), Math.Min(Raster.Rows - 1, Cells(judged.MaxY - box.MinY)));
            _columns = new int[Raster.Columns];
            _limits = new double[Raster.Columns * Raster.Rows];
            for (var at = 0; at < _limits.Length; at++)
            {
                var centre = Raster.At((at % Raster.Columns) - (Place / 2), (at / Raster.Columns) - (Place / 2));
                var isOverlap = owner._starts.Exists(start => start.DistanceTo(centre) < owner._overlap);
                _limits[at] = owner._straight * (isOverlap ? MostInOverlap : Most) * Place * Place;
            }

            static int Cells(double distance) => Math.Max(0, (int)Math.Round(distance / Cell));
        }

        internal ThreadRaster Raster { get; }

        /// <summary>Takes some threads away and lays others.</summary>
        /// <returns>How many cells are bare now that were not.</returns>
        internal int Change(ReadOnlySpan<(Point From, Point To)> taken, ReadOnlySpan<(Point From, Point To)> laid)
        {
            var bare = Raster.Bare;
            foreach (var (from, to) in laid)
            {
                Raster.Draw(from, to);
            }
            foreach (var (from, to) in taken)
            {
                Raster.Draw(from, to, -1);
            }
            return Raster.Bare - bare;
        }

        /// <summary>How much more thread than wanted lies on squares, summed up, layers, and the square where most does.</summary>
        internal (double Sum, Box? Thickest) Surplus()
        {
            var (total, most, thickest) = (0.0, 0.0, -1);
            var layers = Raster.Layers;
            var columns = Raster.Columns;
            Array.Clear(_columns);
            for (var row = _down.First; row <= _down.Last; row++)
            {
                var sum = 0;
                for (var column = _across.First; column <= _across.Last; column++)
                {
                    var at = (row * columns) + column;
                    _columns[column] += layers[at] - (row >= _down.First + Place ? layers[at - (Place * columns)] : 0);
                    sum += _columns[column] - (column >= _across.First + Place ? _columns[column - Place] : 0);
                    var surplus = sum - _limits[at];
                    if (surplus > 0)
                    {
                        total += surplus;
                        if (surplus > most)
                        {
                            (most, thickest) = (surplus, at);
                        }
                    }
                }
            }
            if (thickest < 0)
            {
                return (0, null);
            }
            var corner = Raster.At(thickest % columns, thickest / columns);
            return (
                total / (Place * Place),
                new Box(corner.X - Coarse + Cell, corner.Y - Coarse + Cell, corner.X, corner.Y)
            );
        }
    }
}
