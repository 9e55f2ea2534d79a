using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Sketches;

/// <summary>Parts of small drawings, from lines on a square of 100 units.</summary>
internal static class SketchParts
{
    /// <summary>The middle of the square, units.</summary>
    private const double Middle = SketchMaking.Square / 2;

    internal static SketchPart Body(string name, SketchColour colour, string lines, double turn) =>
        Drawn(name, SketchRole.Body, colour, lines, turn);

    internal static SketchPart Detail(string name, SketchColour colour, string lines, double turn) =>
        Drawn(name, SketchRole.Detail, colour, lines, turn);

    internal static SketchPart Stroke(string name, SketchColour colour, string lines) =>
        Drawn(name, SketchRole.Stroke, colour, lines, 0);

    internal static SketchPart Shaped(
        string name,
        SketchColour colour,
        ShapeSource shape,
        ElementBox box,
        double turn
    ) => new(name, SketchRole.Body, colour, shape, box, turn);

    private static SketchPart Drawn(string name, SketchRole role, SketchColour colour, string lines, double turn)
    {
        var drawn = SketchLines.Read(lines);
        var box = drawn.Select(DrawnElements.BoundsOf).Aggregate((all, one) => all.Union(one));
        var at = new ElementBox(box.Centre.X - Middle, box.Centre.Y - Middle, box.Width, box.Height, 0);
        return new SketchPart(name, role, colour, new DrawnShape(drawn), at, turn);
    }
}
