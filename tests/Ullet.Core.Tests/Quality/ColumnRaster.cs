using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Quality;

/// <summary>Looks plainly at satin columns: thread drawn on cells of 0.05 mm, nothing of how they were made.</summary>
internal sealed class ColumnRaster
{
    private const double Cell = 0.05;

    /// <summary>Narrower parts are left out of the cover, mm.</summary>
    private const double Narrow = 0.9;

    private const double Thread = 0.4;
    private const double Counted = 0.36;

    /// <summary>Needle points may lie so far outside, mm, and a cell more for the raster.</summary>
    private const double Outside = 0.1;

    private readonly PlainGrid _grid;

    /// <param name="regions">The outline that should be covered, compensation included, mm.</param>
    /// <param name="stitches">What was sewn.</param>
    internal ColumnRaster(ImmutableArray<Region> regions, StepStitches stitches)
    {
        _grid = new PlainGrid(regions, Cell);
        var inside = _grid.Filled(regions);
        var fromEdge = _grid.Distances(inside);
        var core = fromEdge.Select(distance => distance >= Narrow / 2).ToArray();
        var fromCore = _grid.Distances([.. core.Select(isCore => !isCore)]);
        var fromShape = _grid.Distances([.. inside.Select(isInside => !isInside)]);
        var wide = Enumerable.Range(0, inside.Length).Select(i => inside[i] && fromCore[i] <= Narrow / 2).ToArray();
        var (covered, layers) = (new bool[inside.Length], new int[inside.Length]);
        var (length, spilled) = (0.0, 0.0);
        ShortestStitch = double.MaxValue;
        var holes = new List<Point>();
        foreach (var points in stitches.Runs.Where(run => run.Kind == RunKind.Top).Select(run => run.Points))
        {
            holes.AddRange(points);
            for (var k = 1; k < points.Length; k++)
            {
                var (from, to) = (points[k - 1], points[k]);
                var stitch = from.DistanceTo(to);
                length += stitch;
                spilled += stitch * SpilledShare(from, to, fromShape);
                (LongestStitch, ShortestStitch) = (Math.Max(LongestStitch, stitch), Math.Min(ShortestStitch, stitch));
                _grid.Draw(from, to, Thread / 2, isRound: true, cell => covered[cell] = true);
                _grid.Draw(from, to, Counted / 2, isRound: false, cell => layers[cell]++);
            }
        }
        TopLength = length;
        FarthestOut = holes.Select(hole => _grid.At(hole) is { } cell ? fromShape[cell] : 9).DefaultIfEmpty(0).Max();
        Spilled = length > 0 ? spilled / length : 0;
        var (all, counted) = (inside.Count(isInside => isInside), wide.Count(isWide => isWide));
        NarrowShare = 1 - (counted / (double)Math.Max(1, all));
        Coverage =
            counted == 0 ? 1 : Enumerable.Range(0, wide.Length).Count(i => wide[i] && covered[i]) / (double)counted;
        OverThree =
            Enumerable.Range(0, inside.Length).Count(i => inside[i] && layers[i] > 3) / (double)Math.Max(1, all);
        OverFour = Enumerable.Range(0, inside.Length).Count(i => inside[i] && layers[i] > 4) / (double)Math.Max(1, all);
        MostInDisc = Crowd(holes);
    }

    /// <summary>Share of what is at least 0.9 mm wide that lies under thread 0.4 mm wide.</summary>
    internal double Coverage { get; }

    /// <summary>Share of the outline that is narrower.</summary>
    internal double NarrowShare { get; }

    /// <summary>How far the farthest needle point lies outside, mm.</summary>
    internal double FarthestOut { get; }

    /// <summary>Share of the strokes' length that lies outside.</summary>
    internal double Spilled { get; }

    internal double OverThree { get; }

    internal double OverFour { get; }

    /// <summary>Most needle points in a disc of 0.5 mm radius.</summary>
    internal int MostInDisc { get; }

    internal double LongestStitch { get; }

    internal double ShortestStitch { get; }

    /// <summary>Length of all strokes, mm.</summary>
    internal double TopLength { get; }

    /// <summary>What is not as good satin is, in words.</summary>
    /// <param name="least">Least share that must be covered.</param>
    internal IEnumerable<string> Breaches(double least)
    {
        if (Coverage < least)
        {
            yield return $"covered {Coverage:P2}";
        }
        if (FarthestOut > Outside + Cell + 1e-9)
        {
            yield return $"a needle point {FarthestOut:0.00} mm outside";
        }
        if (Spilled > 0.01)
        {
            yield return $"{Spilled:P2} of the strokes outside";
        }
        if (OverThree > 0.01)
        {
            yield return $"over three layers on {OverThree:P2}";
        }
        if (OverFour > 0.001)
        {
            yield return $"over four layers on {OverFour:P3}";
        }
        if (MostInDisc > StitchDefaults.NeedleLimit)
        {
            yield return $"{MostInDisc} needle points in a disc";
        }
        if (LongestStitch > StitchDefaults.LongestStitch + 1e-6)
        {
            yield return $"a stitch of {LongestStitch:0.00} mm";
        }
        if (TopLength > 0 && ShortestStitch < StitchDefaults.ShortestStitch - 1e-6)
        {
            yield return $"a stitch of {ShortestStitch:0.00} mm";
        }
    }

    private double SpilledShare(Point from, Point to, double[] fromShape)
    {
        var looks = Math.Max(2, (int)(from.DistanceTo(to) / 0.1));
        return Enumerable
                .Range(0, looks)
                .Select(i => _grid.At(Point.Lerp(from, to, (i + 0.5) / looks)))
                .Count(cell => cell is null || fromShape[cell.Value] > Outside + Cell) / (double)looks;
    }

    private static int Crowd(List<Point> holes)
    {
        var most = 0;
        var sorted = holes.OrderBy(hole => hole.X).ToList();
        for (var (i, first) = (0, 0); i < sorted.Count; i++)
        {
            while (sorted[first].X < sorted[i].X - 0.5)
            {
                first++;
            }
            var count = 0;
            for (var k = first; k < sorted.Count && sorted[k].X <= sorted[i].X + 0.5; k++)
            {
                count += sorted[k].DistanceTo(sorted[i]) < 0.5 ? 1 : 0;
            }
            most = Math.Max(most, count);
        }
        return most;
    }
}
