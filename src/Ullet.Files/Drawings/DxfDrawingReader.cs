using System.Collections.Immutable;
using Ullet.Core.Drawings;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Files.Dxf;

namespace Ullet.Files.Drawings;

/// <summary>Reads a DXF drawn elsewhere: lines, polylines with arcs, circles, ellipses, splines, inserted blocks, units; open
/// ends that meet are joined.</summary>
public static class DxfDrawingReader
{
    public const int LargestFile = 40_000_000;

    /// <returns>What it draws, or "drawing-…" with a sentence that says where.</returns>
    public static Result<Drawing> Read(ReadOnlyMemory<byte> file) =>
        DxfPairs
            .Of(file, "This drawing", "drawing", LargestFile)
            .Then(pairs =>
            {
                var document = DxfDocument.Of(pairs);
                var walk = new DxfWalk(document, "This drawing", "drawing");
                return walk.Read().Then(lines => Drawn(lines, document.MmPerUnit, walk.Left));
            });

    private static Result<Drawing> Drawn(
        List<DxfLine> lines,
        double? mmPerUnit,
        SortedDictionary<string, (int Count, string Place)> left
    )
    {
        var words = left.Select(pair =>
                $"{pair.Value.Count} {pair.Key} {(pair.Value.Count == 1 ? "is" : "are")} not imported ({pair.Value.Place})."
            )
            .ToImmutableArray();
        if (lines.Count == 0)
        {
            return new Refusal(
                "drawing-empty",
                "file",
                $"This drawing has no outlines in it. {string.Join(' ', words)}".TrimEnd()
            );
        }
        var down = Affine.Scale(1, -1);
        return new Drawing(
            [
                .. lines.Select(line =>
                {
                    var contour = new Contour(line.Curves).Transform(down);
                    return new DrawnPath(
                        line.Layer == "0" ? null : line.Layer,
                        line.IsClosed ? [contour] : [],
                        line.IsClosed ? [] : [new OpenPath(contour.Curves)],
                        FillRule.EvenOdd,
                        null
                    );
                }),
            ],
            mmPerUnit,
            words
        )
        {
            LikelyUnits = LikelyUnit.OfPlans,
        };
    }
}
