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

    /// <summary>True when a fill of very many stitches is meant.</summary>
    public bool IsLargeMeant { get; init; }

    public override string Label(Project before)
    {
        var name = before.Find(ElementId)?.Name ?? "element";
        return Width is not null || Height is not null ? $"Resize {name}"
            : Rotation is not null ? $"Turn {name}"
            : $"Move {name}";
    }

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen.Find(project, [ElementId]).Then(found => Place(project, found[0], context));

    private Result<Project> Place(Project project, Element element, EditContext context)
    {
        var old = element.Box;
        var width = Width ?? (KeepProportions && Height is { } h ? old.Width * h / old.Height : old.Width);
        var height = Height ?? (KeepProportions && Width is { } w ? old.Height * w / old.Width : old.Height);
        var turn = Rotation is { } degrees && double.IsFinite(degrees) ? degrees % 360 : Rotation ?? old.Rotation;
        var box = old with { X = X ?? old.X, Y = Y ?? old.Y, Width = width, Height = height, Rotation = turn };
        // What was typed is judged first: a refusal should not name a side that only follows.
        var typed = old with
        {
            Width = Width ?? old.Width,
            Height = Height ?? old.Height,
        };
        if (Limits.CheckBox(typed, element.Name, mayBeFlat: element.IsLinework) is { } refusal)
        {
            return refusal;
        }
        // A new place given without a size is a wish to stand elsewhere; a handle gives both.
        var isMoved = (X is not null || Y is not null) && Width is null && Height is null;
        var stays = element.StaysCentred && !isMoved;
        return Resizing
            .InBox(project, element with { StaysCentred = stays }, box, context)
            .Then(placed =>
                !IsLargeMeant && LargeFill.Asked(element, placed, context) is { } asked
                    ? asked
                    : (Result<Project>)placed
            );
    }
}
