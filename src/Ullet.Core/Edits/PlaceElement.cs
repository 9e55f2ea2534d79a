using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets an element's place, size and turn; what is null stays.</summary>
public sealed record PlaceElement : Edit
{
    public required string ElementId { get; init; }

    /// <summary>Middle across, mm right of the field's centre.</summary>
    public double? X { get; init; }

    /// <summary>Middle down, mm below the field's centre.</summary>
    public double? Y { get; init; }

    /// <summary>Width before turning, mm, cover excluded.</summary>
    public double? Width { get; init; }

    /// <summary>Height before turning, mm, cover excluded.</summary>
    public double? Height { get; init; }

    /// <summary>Turn, degrees clockwise; any multiple of a full turn is taken off.</summary>
    public double? Rotation { get; init; }

    /// <summary>When only one of width and height is given: true lets the other follow.</summary>
    public bool KeepProportions { get; init; }

    public override string Label(Project before)
    {
        var name = before.Find(ElementId)?.Name ?? "element";
        return Width is not null || Height is not null ? $"Resize {name}"
            : Rotation is not null ? $"Turn {name}"
            : $"Move {name}";
    }

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Find(ElementId) is not { } element)
        {
            return EditRefusals.NoElement(ElementId);
        }
        var old = element.Box;
        var width = Width ?? (KeepProportions && Height is { } h ? old.Width * h / old.Height : old.Width);
        var height = Height ?? (KeepProportions && Width is { } w ? old.Height * w / old.Width : old.Height);
        var turn = Rotation is { } degrees && double.IsFinite(degrees) ? degrees % 360 : Rotation ?? old.Rotation;
        var box = new ElementBox(X ?? old.X, Y ?? old.Y, width, height, turn);
        // What was typed is judged first: a refusal should not name a side that only follows.
        var typed = old with
        {
            Width = Width ?? old.Width,
            Height = Height ?? old.Height,
        };
        if ((Limits.CheckBox(typed, element.Name) ?? Limits.CheckBox(box, element.Name)) is { } refusal)
        {
            return refusal;
        }
        return project.With(
            element is Piece piece
                ? piece with
                {
                    Box = box,
                    Holes = Scaled(piece.Holes, width / old.Width, height / old.Height),
                }
                : element with
                {
                    Box = box,
                }
        );
    }

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
