using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Sketches;

/// <summary>Our own small drawings, from the world of an allotment.</summary>
public static class SketchShelf
{
    /// <summary>All of them, as they stand on the shelf.</summary>
    public static readonly ImmutableArray<Sketch> All =
    [
        .. Garden.All,
        .. Animals.All,
        .. ToolsAndWeather.All,
        .. Ornaments.All,
    ];

    /// <summary>A drawing by its name for ever; null where there is none.</summary>
    public static Sketch? Find(string id) => All.FirstOrDefault(sketch => sketch.Id == id);

    /// <summary>The part that an element is; null for anything else.</summary>
    public static SketchNature? PartOf(Element element) =>
        element.Sketch?.Own
        ?? (
            element.Sketch is { } use
            && Find(use.SketchId) is { } sketch
            && use.Part >= 0
            && use.Part < sketch.Parts.Length
                ? sketch.Parts[use.Part]
                : null
        );
}
