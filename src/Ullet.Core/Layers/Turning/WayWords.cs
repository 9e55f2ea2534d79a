using System.Collections.Immutable;
using System.Numerics;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Layers;

/// <summary>Names what a way leads through.</summary>
internal static class WayWords
{
    /// <summary>A free edge this far inside what is sewn is the edge of a half, not a gap in a seam, mm.</summary>
    private const double Inside = 8;

    internal static ImmutableArray<string> Of(ImmutableArray<WayPlace> way, TurningGrid grid)
    {
        var names = new List<string>();
        var sewn = grid
            .Cells.Work.Seams.SelectMany(seam => seam.Lines)
            .Aggregate(Box.Empty, (box, line) => box.Union(Box.Of(line)))
            .Grown(-Inside);
        for (var i = 1; i < way.Length; i++)
        {
            if (way[i].Opened != 0)
            {
                Add(names, Opening(way[i].Opened, grid.Cells.Work.Layers));
            }
            else if (Entered(way[i - 1].Gap, way[i].Gap, grid) is { } between)
            {
                // Where all layers end together the work was cut out; where some go on, others have an edge of their own.
                var goesOn = grid.Cells.Present(grid.CellOf(way[i - 1].Gap)) != 0;
                var isInside = goesOn && sewn.Contains(grid.Cells.At(grid.CellOf(way[i].Gap)));
                Add(names, Gap(between, isInside, grid.Cells.Work.Layers));
            }
        }
        return [.. names];
    }

    /// <summary>The layers between which a way goes in from outside; null where it does not.</summary>
    private static (int Below, int Above)? Entered(int from, int to, TurningGrid grid)
    {
        return grid.IsOutside(from) && !grid.IsOutside(to) ? grid.Bounds(to) : null;
    }

    private static string Opening(ulong layers, ImmutableArray<PresentLayer> all)
    {
        var opened = new List<PresentLayer>();
        for (var left = layers; left != 0; left &= left - 1)
        {
            opened.Add(all[BitOperations.TrailingZeroCount(left)]);
        }
        return opened.Exists(layer => layer.Cloth.Kind == ClothKind.Zip) ? "the zip"
            : opened.Find(layer => layer.Role is LayerRole.Outer or LayerRole.Lining) is { } cloth
                ? $"the window in {cloth.Name.ToLowerInvariant()}"
            : $"the slot in {opened[0].Name.ToLowerInvariant()}";
    }

    private static string Gap((int Below, int Above) between, bool isInside, ImmutableArray<PresentLayer> layers)
    {
        var (below, above) = (layers[between.Below], layers[between.Above]);
        if (isInside)
        {
            return $"the free edge between {below.Name.ToLowerInvariant()} and {above.Name.ToLowerInvariant()}";
        }
        return below.Role == LayerRole.Lining || above.Role == LayerRole.Lining
            ? "the gap in the lining"
            : "the gap in the seam";
    }

    private static void Add(List<string> names, string name)
    {
        if (names.Count == 0 || names[^1] != name)
        {
            names.Add(name);
        }
    }
}
