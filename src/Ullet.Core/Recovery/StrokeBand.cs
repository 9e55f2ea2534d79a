using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>What strokes from side to side cover.</summary>
/// <param name="Area">The band between the holes of their two sides, mm.</param>
/// <param name="Width">From side to side, mm, as sewn.</param>
/// <param name="Spacing">Between neighbouring holes of one side, mm, where the sides are farther apart.</param>
public sealed record StrokeBand(ImmutableArray<Region> Area, double Width, double Spacing);

/// <summary>Strokes to bands.</summary>
internal static class StrokeBands
{
    /// <summary>Cracks between strokes narrower than twice this are none, mm.</summary>
    private const double Crack = 0.2;

    /// <summary>A band's last stroke lies as near to its first where it goes round, mm.</summary>
    private const double Closes = 1;

    /// <summary>A stroke this much shorter than its neighbours is one of relief: it does not reach its side.</summary>
    private const double Short = 0.88;

    /// <summary>The points of strokes: from the first that goes back across to the last one.</summary>
    /// <param name="core">A section without its locks.</param>
    internal static ImmutableArray<ImmutableArray<Point>> Stretches(ImmutableArray<Point> core)
    {
        var strides = Strides.Of(core);
        var stretches = ImmutableArray.CreateBuilder<ImmutableArray<Point>>();
        var begin = -1;
        for (var i = 0; i <= core.Length; i++)
        {
            Budget.Spend();
            var isAcross = i < core.Length && strides[i] == Stride.Across;
            if (isAcross && begin < 0)
            {
                begin = i;
            }
            if (!isAcross && begin >= 0)
            {
                if (i - begin >= 4)
                {
                    stretches.Add(core[Math.Max(0, begin - 1)..Math.Min(core.Length, i + 1)]);
                }
                begin = -1;
            }
        }
        return stretches.ToImmutable();
    }

    /// <summary>The usual distance between neighbouring holes on one side, mm: the larger one of both sides.</summary>
    internal static double Spacing(ImmutableArray<Point> strokes)
    {
        var found = new List<double>();
        for (var i = 0; i + 3 < strokes.Length; i++)
        {
            Budget.Spend();
            found.Add(Math.Max(Step(strokes, i), Step(strokes, i + 1)));
        }
        return Median(found);
    }

    /// <summary>How far a stroke and the next one back take a side on, mm: across the two, as strokes of relief end at any depth.</summary>
    private static double Step(ImmutableArray<Point> strokes, int i)
    {
        var along = (strokes[i + 1] - strokes[i]).Unit() + (strokes[i + 1] - strokes[i + 2]).Unit();
        var way = strokes[i + 2] - strokes[i];
        return along.Length < 0.2 ? way.Length : Math.Abs(Point.Cross(along.Unit(), way));
    }

    /// <summary>From side to side, mm: what most strokes that reach both sides say.</summary>
    internal static double Width(ImmutableArray<Point> strokes)
    {
        var lengths = strokes.Zip(strokes.Skip(1), (from, to) => from.DistanceTo(to)).ToList();
        var full = new List<double>();
        for (var i = 1; i + 1 < lengths.Count; i++)
        {
            Budget.Spend();
            if (lengths[i] >= Short * Math.Max(lengths[i - 1], lengths[i + 1]))
            {
                var half = strokes[i].DistanceTo(strokes[Math.Min(strokes.Length - 1, i + 2)]) / 2;
                full.Add(Math.Sqrt(Math.Max(0, (lengths[i] * lengths[i]) - (half * half))));
            }
        }
        return Median(full);
    }

    /// <summary>The band of stretches that belong together.</summary>
    internal static StrokeBand? Of(IReadOnlyList<ImmutableArray<Point>> stretches)
    {
        var parts = new List<Region>();
        var (widths, spacings) = (new List<double>(), new List<double>());
        foreach (var strokes in stretches)
        {
            for (var i = 0; i + 2 < strokes.Length; i++)
            {
                Budget.Spend();
                Add(parts, strokes[i], strokes[i + 1], strokes[i + 2]);
                if (i + 4 < strokes.Length && strokes[i].DistanceTo(strokes[i + 4]) < 1.5)
                {
                    // A stroke of relief leaves a dent in its side.
                    Add(parts, strokes[i], strokes[i + 2], strokes[i + 4]);
                }
            }
            if (strokes[^1].DistanceTo(strokes[0]) < Closes || strokes[^1].DistanceTo(strokes[1]) < Closes)
            {
                // A band that goes round ends where it began.
                Add(parts, strokes[^2], strokes[^1], strokes[0]);
                Add(parts, strokes[^1], strokes[0], strokes[1]);
                Add(parts, strokes[^2], strokes[^1], strokes[1]);
            }
            widths.AddRange(Enumerable.Repeat(Width(strokes), strokes.Length));
            spacings.AddRange(Enumerable.Repeat(Spacing(strokes), strokes.Length));
        }
        if (parts.Count == 0)
        {
            return null;
        }
        var area = RegionOffset.By(RegionOffset.By(Union(parts), Crack), -Crack);
        return new StrokeBand(area, Median(widths), Median(spacings));
    }

    private static ImmutableArray<Region> Union(List<Region> parts) =>
        PlaneGeometry.ToRegions(
            NetTopologySuite.Operation.OverlayNG.OverlayNGRobust.Union(
                PlaneGeometry.Factory.BuildGeometry([
                    .. parts.Select(part => PlaneGeometry.Factory.CreatePolygon(PlaneGeometry.LinearRing(part.Shell))),
                ])
            )
        );

    private static void Add(List<Region> parts, Point a, Point b, Point c)
    {
        if (Math.Abs(Point.Cross(b - a, c - a)) > 0.004)
        {
            parts.Add(new Region(new Ring([a, b, c]), []));
        }
    }

    internal static double Median(List<double> numbers)
    {
        numbers.Sort();
        return numbers.Count == 0 ? 0 : numbers[numbers.Count / 2];
    }
}
