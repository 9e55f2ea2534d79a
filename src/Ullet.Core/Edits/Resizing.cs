using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives elements other boxes; what stands in their frame goes along.</summary>
internal static class Resizing
{
    /// <summary>An element in another box, or why it can't have it.</summary>
    internal static Result<Project> InBox(Project project, Element element, ElementBox box, EditContext context)
    {
        if (Limits.CheckBox(box, element.Name, mayBeFlat: element is StitchedLine) is { } wrong)
        {
            return wrong;
        }
        var old = element.Box;
        var moved = element is Piece piece
            ? piece with
            {
                Box = box,
                Holes = Scaled(piece.Holes, box.Width / old.Width, box.Height / old.Height),
            }
            : element with
            {
                Box = box,
            };
        return Centring.Kept(project.With(moved), moved, context);
    }

    /// <summary>An element larger by factors along its own width and height; its middle stays.</summary>
    internal static Result<Project> Scaled(
        Project project,
        Element element,
        double across,
        double down,
        EditContext context
    ) =>
        InBox(
            project,
            element,
            element.Box with
            {
                Width = element.Box.Width * across,
                Height = element.Box.Height * down,
            },
            context
        );

    private static ImmutableArray<PieceHole> Scaled(ImmutableArray<PieceHole> holes, double x, double y) =>
        x == 1 && y == 1
            ? holes
            :
            [
                .. holes.Select(hole =>
                    hole with
                    {
                        X = hole.X * x,
                        Y = hole.Y * y,
                        Width = hole.Width * x,
                        Height = hole.Height * y,
                    }
                ),
            ];
}
