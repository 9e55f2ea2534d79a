using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Recovery;

/// <summary>Reads the needle points of a block: how they look, along which lines they run, and what they cover.</summary>
public static class BlockReader
{
    /// <summary>Strokes with their holes nearer to one another than this lie side by side, mm.</summary>
    private const double Dense = 0.9;

    /// <summary>Strokes this much farther apart than the block's densest lie under them.</summary>
    private const double UnderlayTimes = 1.7;

    /// <summary>How the points look, without what they cover: quick.</summary>
    public static OpenedLook LookOf(IReadOnlyList<OpenedPoint> points) => Looked(Cores(points)).Look;

    /// <summary>All that can be read.</summary>
    public static BlockReading Read(IReadOnlyList<OpenedPoint> points)
    {
        var cores = Cores(points);
        var (look, stretches) = Looked(cores);
        return look switch
        {
            OpenedLook.Satin or OpenedLook.Zigzag => new BlockReading(look, [], StrokeBands.Of(Top(stretches))),
            OpenedLook.Bean => new BlockReading(
                look,
                [
                    .. cores
                        .SelectMany(core => RunLines.Of(Restepped.WithoutReturns(core)))
                        .Select(line => line with { Passes = 3 }),
                ],
                null
            ),
            OpenedLook.Blanket => Blanket(cores),
            OpenedLook.Fill => new BlockReading(look, [], FillRowsBand.Of(cores)),
            OpenedLook.Run => new BlockReading(look, [.. cores.SelectMany(core => RunLines.Of(core))], null)
            {
                Places = [.. cores.SelectMany(core => core)],
            },
            OpenedLook.Motif or OpenedLook.Mixed => new BlockReading(
                look,
                [.. cores.SelectMany(core => RunLines.Of(core))],
                null
            )
            {
                Places = [.. cores.SelectMany(core => core)],
            },
        };
    }

    /// <summary>The sections of a block without what holds their ends.</summary>
    internal static ImmutableArray<ImmutableArray<Point>> Cores(IReadOnlyList<OpenedPoint> points) =>
        [
            .. NeedleSections
                .Of(points)
                .Select(section => LockEnds.Parts(section).Core)
                .Select(WithoutRepeats)
                .Where(core => core.Length > 1),
        ];

    private static (OpenedLook Look, List<ImmutableArray<Point>> Stretches) Looked(
        ImmutableArray<ImmutableArray<Point>> cores
    )
    {
        var stretches = cores.SelectMany(core => StrokeBands.Stretches(core)).ToList();
        var (all, returns, returnsInRun) = (0, 0, 0);
        foreach (var core in cores)
        {
            var strides = Strides.Of(core);
            all += strides.Length;
            returns += strides.Count(stride => stride == Stride.Return);
            for (var i = 1; i < strides.Length; i++)
            {
                Budget.Spend();
                returnsInRun += strides[i] == Stride.Return && strides[i - 1] == Stride.Return ? 1 : 0;
            }
        }
        if (all == 0)
        {
            return (OpenedLook.Mixed, stretches);
        }
        var strokes = stretches.Sum(stretch => stretch.Length) / (double)all;
        if (strokes > 0.45)
        {
            var top = Top(stretches);
            return (
                StrokeBands.Median([.. top.Select(StrokeBands.Spacing)]) < Dense ? OpenedLook.Satin : OpenedLook.Zigzag,
                stretches
            );
        }
        var share = returns / (double)all;
        if (share > 0.45 && returnsInRun > returns * 0.3)
        {
            return (OpenedLook.Bean, stretches);
        }
        if (FillRowsBand.Share(cores) > 0.6)
        {
            return (OpenedLook.Fill, stretches);
        }
        if (share is > 0.2 and < 0.45 && returnsInRun < returns * 0.1 && BlanketTeeth.Share(cores) > 0.7)
        {
            return (OpenedLook.Blanket, stretches);
        }
        return (share < 0.06 && strokes < 0.1 && Smooth(cores) ? OpenedLook.Run : OpenedLook.Motif, stretches);
    }

    /// <summary>The strokes that are seen: those as dense as the densest, which lie on the others.</summary>
    private static List<ImmutableArray<Point>> Top(List<ImmutableArray<Point>> stretches)
    {
        var spacings = stretches.ConvertAll(StrokeBands.Spacing);
        var counted = stretches.SelectMany((stretch, i) => Enumerable.Repeat(spacings[i], stretch.Length)).ToList();
        var usual = StrokeBands.Median(counted);
        return [.. stretches.Where((_, i) => spacings[i] <= usual * UnderlayTimes)];
    }

    /// <summary>True for stitches of like lengths that mostly go on: the units of a motif turn at most of theirs.</summary>
    private static bool Smooth(ImmutableArray<ImmutableArray<Point>> cores)
    {
        var (turns, all) = (0, 0);
        foreach (var core in cores)
        {
            for (var i = 1; i + 1 < core.Length; i++)
            {
                Budget.Spend();
                all++;
                turns += Math.Abs(Strides.Turn(core[i - 1], core[i], core[i + 1])) > 50 ? 1 : 0;
            }
        }
        return turns <= Math.Max(12, all * 0.3);
    }

    private static BlockReading Blanket(ImmutableArray<ImmutableArray<Point>> cores)
    {
        var lines = ImmutableArray.CreateBuilder<RunLine>();
        var teeth = new List<double>();
        foreach (var core in cores)
        {
            var (spine, found) = BlanketTeeth.Of(core);
            lines.AddRange(RunLines.Of(spine));
            teeth.AddRange(found);
        }
        return new BlockReading(OpenedLook.Blanket, lines.ToImmutable(), BlanketTeeth.Band(cores))
        {
            Teeth = StrokeBands.Median(teeth),
        };
    }

    private static ImmutableArray<Point> WithoutRepeats(ImmutableArray<Point> points)
    {
        var kept = ImmutableArray.CreateBuilder<Point>(points.Length);
        foreach (var point in points)
        {
            Budget.Spend();
            if (kept.Count == 0 || kept[^1].DistanceTo(point) > 0.02)
            {
                kept.Add(point);
            }
        }
        return kept.ToImmutable();
    }
}
