using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Sketches;

/// <summary>How small a small drawing may be: measured on its parts.</summary>
public static class SketchFit
{
    /// <summary>A piece of cloth needs so much room inside its edge, mm: hands lay and trim it, and covers take some from each side.</summary>
    private const double LeastCloth = 10;

    /// <summary>A filled body is at least so wide somewhere, mm.</summary>
    private const double LeastFilled = 3;

    /// <summary>A dot or a bar in strokes is at least so wide, mm.</summary>
    private const double LeastStrokes = 1.5;

    /// <summary>A body in line is at least so large, mm.</summary>
    private const double LeastOutline = 8;

    /// <summary>A line is at least so long, mm.</summary>
    private const double LeastLine = 3;

    /// <summary>No drawing is smaller, mm.</summary>
    private const double Least = 8;

    /// <summary>Drawings are no larger, mm.</summary>
    public const double Largest = 300;

    private static readonly ConcurrentDictionary<string, ImmutableArray<Measures>> Known = new(StringComparer.Ordinal);

    /// <summary>The smallest size at which no body is too small, whole mm.</summary>
    public static double Smallest(Sketch sketch, SketchWay way)
    {
        var bodies = Bodies(sketch).Select(i => Smallest(sketch, i, way)).ToList();
        // Where nothing is a body, something of it must be left.
        return Math.Max(
            Least,
            bodies.Count > 0
                ? bodies.Max()
                : Enumerable.Range(0, sketch.Parts.Length).Min(i => Smallest(sketch, i, way))
        );
    }

    private static IEnumerable<int> Bodies(Sketch sketch) =>
        Enumerable.Range(0, sketch.Parts.Length).Where(i => sketch.Parts[i].Role == SketchRole.Body);

    /// <summary>The smallest size at which a part is not too small, whole mm.</summary>
    public static double Smallest(Sketch sketch, int part, SketchWay way)
    {
        var (width, length) = Known.GetOrAdd(sketch.Id, _ => Measured(sketch))[part];
        var share = (sketch.Parts[part].Role, way) switch
        {
            (SketchRole.Body, SketchWay.Line) => LeastOutline / length,
            (SketchRole.Stroke, _) or (_, SketchWay.Line) => LeastLine / length,
            (SketchRole.Body, SketchWay.Cloth) => LeastCloth / width,
            (SketchRole.Body, SketchWay.Thread) => LeastFilled / width,
            (SketchRole.Detail, _) => LeastStrokes / width,
            _ => throw new ArgumentOutOfRangeException(nameof(way), way, "no such way"),
        };
        return Math.Ceiling(SketchMaking.Square * share);
    }

    /// <summary>The parts that are too small at a size, by number.</summary>
    public static ImmutableArray<int> LeftOut(Sketch sketch, SketchWay way, double size) =>
        [.. Enumerable.Range(0, sketch.Parts.Length).Where(i => Smallest(sketch, i, way) > size)];

    /// <summary>Why a drawing can't be set so small, or null.</summary>
    public static Refusal? Check(Sketch sketch, SketchWay way, double size)
    {
        if (Limits.CheckRange(size, 5, Largest, "mm", "The drawing's size", "size") is { } refusal)
        {
            return refusal;
        }
        var least = Smallest(sketch, way);
        if (size >= least)
        {
            return null;
        }
        var part = Bodies(sketch).DefaultIfEmpty(0).MaxBy(i => Smallest(sketch, i, way));
        return new Refusal(
            "sketch-too-small",
            "size",
            $"{sketch.Name} {Words(way)} is at least {least:0} mm large: smaller, its {sketch.Parts[part].Name} can't be sewn."
        );
    }

    /// <summary>What a drawing is at a size, in words: what is left out.</summary>
    public static string Said(Sketch sketch, SketchWay way, double size)
    {
        var left = LeftOut(sketch, way, size);
        return left.IsEmpty
            ? $"All of it can be sewn {Words(way)}."
            : "Left out, for they would be too small: "
                + string.Join(", ", left.Select(i => $"{sketch.Parts[i].Name} (from {Smallest(sketch, i, way):0} mm)"))
                + ".";
    }

    /// <summary>A way in words.</summary>
    public static string Words(SketchWay way) =>
        way switch
        {
            SketchWay.Cloth => "in cloth",
            SketchWay.Thread => "in thread",
            SketchWay.Line => "in line",
            _ => throw new ArgumentOutOfRangeException(nameof(way), way, "no such way"),
        };

    /// <summary>The widest place of an outline's narrowest area, mm; 0 for one without area.</summary>
    internal static double WidestOf(Outline outline) =>
        outline.Flatten() is { IsEmpty: false } regions ? regions.Min(Widest) : 0;

    private static ImmutableArray<Measures> Measured(Sketch sketch) =>
        [
            .. Enumerable
                .Range(0, sketch.Parts.Length)
                .Select(i =>
                {
                    var outline = SketchMaking.OutlineOf(SketchMaking.Element(sketch, i, SketchMaking.Square));
                    var shapes = sketch.Parts[i].Shape is DrawnShape drawn
                        ? drawn.Lines.Select(Outlines.DrawnElements.BoundsOf)
                        : outline.Contours.Select(contour => contour.Bounds());
                    return new Measures(
                        sketch.Parts[i].Role == SketchRole.Stroke ? 0 : WidestOf(outline),
                        shapes.Min(box => Math.Max(box.Width, box.Height))
                    );
                }),
        ];

    /// <summary>The diameter of the largest disc inside, mm.</summary>
    private static double Widest(Region region)
    {
        var box = region.Bounds();
        var (inside, outside) = (0.0, Math.Min(box.Width, box.Height));
        while (outside - inside > 0.02 * outside)
        {
            Budget.Spend();
            var middle = (inside + outside) / 2;
            (inside, outside) = RegionOffset.By([region], -middle / 2).IsEmpty ? (inside, middle) : (middle, outside);
        }
        return inside;
    }

    /// <param name="Width">The widest place of the narrowest area, units.</param>
    /// <param name="Length">The larger side of the shortest line, units.</param>
    private readonly record struct Measures(double Width, double Length);
}
