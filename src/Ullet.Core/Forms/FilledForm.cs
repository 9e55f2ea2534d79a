using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Forms;

/// <summary>What shapes and closed drawings have in common: an area with holes in its element's box.</summary>
internal static class FilledForm
{
    /// <summary>Most holes of one element.</summary>
    internal const int MostHoles = 200;

    /// <summary>The area in its element's box, mm. Holes keep their size; they are placed in the element's own frame.</summary>
    internal static ElementOutline Outline(ShapeSource source, ImmutableArray<PieceHole> holes, Element element)
    {
        var shape = ShapeContours.Outline(source, element.Box.Width, element.Box.Height);
        foreach (var hole in holes.Select(hole => PlacedHoles.Own(hole).Oriented(clockwise: false)))
        {
            var place = hole.Bounds().Centre;
            var around = shape.Parts.FirstOrDefault(part => part.Shell.Flatten(0.05).Winding(place) != 0);
            around ??= shape.Parts.FirstOrDefault();
            if (around is not null)
            {
                shape = new Outline(shape.Parts.Replace(around, around with { Holes = around.Holes.Add(hole) }));
            }
        }
        var outline = shape.IsEmpty ? shape : shape.InBox(element.Box);
        return new ElementOutline(
            outline,
            outline.IsEmpty || !element.Making.IsInParts ? [] : [new PartOutline(0, null, outline)]
        );
    }

    internal static ContentHash Key(ShapeSource shape, ImmutableArray<PieceHole> holes) =>
        ContentHash.Of(new Input(shape, [.. holes]), "filled");

    internal static Refusal? CheckHoles(ImmutableArray<PieceHole> holes) =>
        holes.Select(Check).FirstOrDefault(wrong => wrong is not null);

    internal static Refusal? CheckAddedHoles(ImmutableArray<PieceHole> holes) =>
        holes.Select(hole => ShapeLimits.Check(hole.Shape)).FirstOrDefault(wrong => wrong is not null);

    internal static string? Missing(ImmutableArray<PieceHole> holes) =>
        holes
            .Select(hole => hole.Shape)
            .OfType<DrawnShape>()
            .Select(Missing)
            .FirstOrDefault(missing => missing is not null);

    internal static string? Missing(DrawnShape drawn) =>
        drawn.Lines.IsDefaultOrEmpty || drawn.Lines.Any(line => line.Curves.IsDefaultOrEmpty)
            ? "a drawn shape has no lines, or a line no curves"
            : null;

    internal static ImmutableArray<PieceHole> Clamped(ImmutableArray<PieceHole> holes) =>
        [
            .. holes
                .Select(hole => hole with { Shape = ShapeLimits.Clamped(hole.Shape) })
                .Where(hole => Check(hole) is null),
        ];

    internal static ImmutableArray<PieceHole> Scaled(ImmutableArray<PieceHole> holes, double across, double down) =>
        across == 1 && down == 1
            ? holes
            :
            [
                .. holes.Select(hole =>
                    hole with
                    {
                        X = hole.X * across,
                        Y = hole.Y * down,
                        Width = hole.Width * across,
                        Height = hole.Height * down,
                    }
                ),
            ];

    internal static int Curves(ImmutableArray<PieceHole> holes) => holes.Sum(hole => CurvesOf(hole.Shape));

    internal static int CurvesOf(ShapeSource shape) =>
        shape is DrawnShape { Lines.IsDefault: false } drawn
            ? drawn.Lines.Sum(line => line.Curves.IsDefault ? 0 : line.Curves.Length)
            : 0;

    internal static IEnumerable<(string What, int Count, int Most)> Counts(ImmutableArray<PieceHole> holes) =>
        [("holes in one piece", holes.Length, MostHoles)];

    private static Refusal? Check(PieceHole hole) =>
        ShapeLimits.CheckNumbers(hole.Shape)
        ?? Limits.CheckBox(new ElementBox(hole.X, hole.Y, hole.Width, hole.Height, 0), "the hole");

    private sealed record Input(ShapeSource Shape, PieceHole[] Holes);
}
