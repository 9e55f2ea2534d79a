using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Projects;

namespace Ullet.Core.Sketches;

/// <summary>A part of a small drawing as an element, and what is made of it in each way.</summary>
public static class SketchMaking
{
    /// <summary>The side of the square that drawings are drawn on, units.</summary>
    public const double Square = 100;

    /// <summary>A detail wider than this is filled, one narrower is sewn in strokes, mm.</summary>
    private const double WidestStrokes = 7;

    /// <summary>A part where it stands in a drawing of a size, without a name for ever.</summary>
    /// <param name="sketch">The drawing.</param>
    /// <param name="number">The part's number, from the lowest.</param>
    /// <param name="size">The square's side, mm.</param>
    public static Element Element(Sketch sketch, int number, double size)
    {
        var part = sketch.Parts[number];
        var scale = size / Square;
        return new Element
        {
            Id = "",
            Name = $"{sketch.Name}, {part.Name}",
            Form = OutlinedForms.Of(part.Shape),
            Box = part.Box.Scaled(scale),
            Making = part.Role == SketchRole.Stroke ? new LineMaking() : new SatinMaking(),
            Sketch = new SketchUse(sketch.Id, number),
        };
    }

    /// <summary>Its outline, mm.</summary>
    public static Outline OutlineOf(Element element) =>
        FormModules.Of(element.Form).Outline(element, new NoFonts()).Whole;

    /// <summary>The way in which a body of a drawing is made; null for other parts, and for a body that was made something else.</summary>
    public static SketchWay? WayOf(Element element) =>
        SketchShelf.PartOf(element) is { Role: SketchRole.Body } body
            ? Enum.GetValues<SketchWay>()
                .Where(way => IsMade(body, way, element.Making))
                .Select(way => (SketchWay?)way)
                .FirstOrDefault()
            : null;

    /// <summary>True where a part that is made so goes with a way. What a person made of a stroke, or of a detail in thread, stays.</summary>
    public static bool IsMade(SketchNature part, SketchWay way, Making making) =>
        (part.Role, way) switch
        {
            (SketchRole.Stroke, _) => true,
            (_, SketchWay.Line) => making is LineMaking,
            (SketchRole.Body, SketchWay.Cloth) => making is ClothMaking,
            (SketchRole.Body, SketchWay.Thread) => making is FilledMaking,
            (SketchRole.Detail, _) => making is SatinMaking or FilledMaking,
            _ => throw new ArgumentOutOfRangeException(nameof(way), way, "no such way"),
        };

    /// <summary>What is made of a part in a way.</summary>
    /// <param name="part">The part.</param>
    /// <param name="way">The way.</param>
    /// <param name="element">The part on the wall: its size decides between strokes and rows.</param>
    /// <param name="cloth">Cloth as a new piece of the project begins.</param>
    /// <param name="clothId">The cloth of its colour.</param>
    /// <param name="threadId">The thread of its colour.</param>
    public static Making Of(
        SketchNature part,
        SketchWay way,
        Element element,
        ClothMaking cloth,
        string clothId,
        string threadId
    ) =>
        (part.Role, way) switch
        {
            (SketchRole.Stroke, _) or (SketchRole.Body, SketchWay.Line) => Line(LineKind.Bean, threadId),
            (SketchRole.Detail, SketchWay.Line) => Line(LineKind.Run, threadId),
            (SketchRole.Body, SketchWay.Cloth) => cloth with
            {
                ClothId = clothId,
                Stages = cloth.Stages with { Cover = cloth.Stages.Cover with { ThreadId = threadId } },
            },
            (SketchRole.Body, SketchWay.Thread) => new FilledMaking { ThreadId = threadId, Angle = part.Turn },
            (SketchRole.Detail, _) => SketchFit.WidestOf(OutlineOf(element with { Making = new SatinMaking() }))
            > WidestStrokes
                ? new FilledMaking { ThreadId = threadId, Angle = part.Turn }
                : new SatinMaking { ThreadId = threadId },
            _ => throw new ArgumentOutOfRangeException(nameof(way), way, "no such way"),
        };

    private static LineMaking Line(LineKind kind, string threadId) =>
        new()
        {
            Stitching = new LineSettings { Kind = kind, ThreadId = threadId },
        };
}
