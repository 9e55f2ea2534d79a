using System.Collections.Immutable;

namespace Ullet.Core.Layers;

/// <summary>A cut through the layers along a way, seen from the side; mm along it, and layers counted from 0 at the bottom.</summary>
/// <param name="Length">How long the cut is, mm.</param>
/// <param name="Layers">The layers that it meets, from the bottom.</param>
/// <param name="Way">The way, from outside: how far along, and at which height (1.5 is between the layers 1 and 2).</param>
public sealed record TurningSection(
    double Length,
    ImmutableArray<SectionLayer> Layers,
    ImmutableArray<(double Along, double Height)> Way
)
{
    /// <summary>The cut along a way.</summary>
    /// <param name="grid">The work.</param>
    /// <param name="way">The gaps that the way leads through.</param>
    internal static TurningSection Of(TurningGrid grid, ImmutableArray<WayPlace> way)
    {
        var (along, at) = (new double[way.Length], 0.0);
        for (var i = 1; i < way.Length; i++)
        {
            at += grid.CellOf(way[i].Gap) == grid.CellOf(way[i - 1].Gap) ? 0 : grid.Cells.Side;
            along[i] = at;
        }
        var layers = Enumerable
            .Range(0, grid.Cells.Work.Layers.Length)
            .Select(number => (Layer: grid.Cells.Work.Layers[number], Runs: Runs(grid, way, along, number)))
            .Where(met => !met.Runs.IsEmpty)
            .ToList();
        var heights = layers.Select((met, height) => (met.Layer.Id, height)).ToDictionary(StringComparer.Ordinal);
        double HeightOf(int gap)
        {
            var (below, above) = grid.Bounds(gap);
            var (low, high) = (-1.0, (double)layers.Count);
            for (var i = 0; i < grid.Cells.Work.Layers.Length; i++)
            {
                if (heights.TryGetValue(grid.Cells.Work.Layers[i].Id, out var height))
                {
                    low = i <= below ? height : low;
                    high = i >= above ? Math.Min(high, height) : high;
                }
            }
            return (low + high) / 2;
        }
        return new TurningSection(
            at,
            [.. layers.Select(met => new SectionLayer(met.Layer.Name, met.Layer.Role, met.Layer.FaceUp, met.Runs))],
            [.. way.Select((place, i) => (along[i], HeightOf(place.Gap)))]
        );
    }

    /// <summary>Where a layer is met along the way.</summary>
    private static ImmutableArray<(double From, double To)> Runs(
        TurningGrid grid,
        ImmutableArray<WayPlace> way,
        double[] along,
        int layer
    )
    {
        var runs = ImmutableArray.CreateBuilder<(double, double)>();
        double? from = null;
        for (var i = 0; i < way.Length; i++)
        {
            var cell = grid.CellOf(way[i].Gap);
            var isMet = (grid.Cells.Present(cell) & ~grid.Cells.Open(cell) & (1UL << layer)) != 0;
            if (isMet)
            {
                from ??= along[i];
            }
            else if (from is { } begun)
            {
                runs.Add((begun, along[i]));
                from = null;
            }
        }
        if (from is { } last)
        {
            runs.Add((last, along[^1]));
        }
        return runs.ToImmutable();
    }
}

/// <summary>A layer of a section.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Role">What it is to the finished thing.</param>
/// <param name="FaceUp">Which face is up.</param>
/// <param name="Runs">Where it is met, mm along the section.</param>
public sealed record SectionLayer(
    string Name,
    LayerRole Role,
    bool FaceUp,
    ImmutableArray<(double From, double To)> Runs
);
