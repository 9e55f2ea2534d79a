using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>Finds room for a label on a shape and writes it there; it reads the same way on a mirrored sheet.</summary>
internal static class LabelPlace
{
    private static readonly double[] Heights = [5, 4, 3, 2.2];

    /// <summary>Room between the label and everything else, mm.</summary>
    private const double Clear = 1;

    /// <summary>The strokes of a label; none where it finds no room.</summary>
    /// <param name="text">What it says; where it is too long, its first word.</param>
    /// <param name="regions">The shape where it lies, mm.</param>
    /// <param name="marks">Lines that it must not run across.</param>
    internal static IEnumerable<MarkLine> Strokes(
        string text,
        ImmutableArray<Region> regions,
        ImmutableArray<MarkLine> marks
    )
    {
        var area = new AreaIndex(regions);
        var box = regions.Aggregate(Box.Empty, (all, region) => all.Union(region.Bounds()));
        // The deepest place costs a search; most labels find room before it is asked for.
        var deepest = new Lazy<Point>(() => DeepestPlace.Of(regions).Middle);
        ImmutableArray<MarkLine> crossLines = [.. marks.Where(mark => mark.Name is "centre" or "top")];
        var cross = crossLines.Aggregate(Box.Empty, (all, mark) => all.Union(BoxOf(mark)));
        // Clear of every line where that can be had, clear of the cross alone otherwise.
        foreach (var clear in new[] { marks, crossLines })
        {
            foreach (var words in new[] { text, text.Split([' ', ','], 2)[0] })
            {
                foreach (var height in Heights)
                {
                    if (
                        Found(words, height, area, Middles(box.Centre, deepest, cross, height / 2), clear) is
                        { } strokes
                    )
                    {
                        return strokes;
                    }
                }
            }
        }
        return [];
    }

    private static IEnumerable<MarkLine>? Found(
        string words,
        double height,
        AreaIndex area,
        IEnumerable<Point> middles,
        ImmutableArray<MarkLine> clear
    )
    {
        var (x, y) = (StrokeLetters.WidthOf(words, height) / 2, height / 2);
        foreach (var middle in middles)
        {
            Budget.Spend();
            var room = new Box(middle.X - x, middle.Y - y, middle.X + x, middle.Y + y).Grown(Clear);
            if (area.Covers(room) && !clear.Any(mark => Crosses(mark, room)))
            {
                return StrokeLetters
                    .Strokes(words, middle.X - x, middle.Y - y, height)
                    .Select(stroke => new MarkLine(CutRole.Draw, "label", stroke));
            }
        }
        return null;
    }

    private static bool Crosses(MarkLine mark, Box room) =>
        BoxOf(mark).Overlaps(room)
        && mark.Curves.Any(curve =>
        {
            var points = new OpenPath([curve]).Flatten(0.1);
            return Enumerable.Range(1, points.Length - 1).Any(i => Box.Of([points[i - 1], points[i]]).Overlaps(room));
        });

    private static Box BoxOf(MarkLine mark) =>
        mark.Curves.Aggregate(Box.Empty, (all, curve) => all.Union(curve.Bounds()));

    private static IEnumerable<Point> Middles(Point centre, Lazy<Point> deepest, Box cross, double half)
    {
        if (cross.IsEmpty)
        {
            yield return centre;
            yield return deepest.Value;
            yield break;
        }
        yield return new Point(cross.Centre.X, cross.MaxY + Clear + half + 0.01);
        yield return new Point(cross.Centre.X, cross.MinY - Clear - half - 0.01);
        yield return deepest.Value;
    }
}
