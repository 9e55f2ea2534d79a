using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>An outline made by a generator.</summary>
/// <param name="Shape">The generator with its numbers; never a drawing.</param>
public sealed record ShapeForm(ShapeSource Shape) : Form
{
    /// <summary>Holes, each placed in the element's own frame.</summary>
    public ImmutableArray<PieceHole> Holes { get; init; } = [];
}

/// <summary>An outline drawn by hand, or imported: lines with nodes, fitted to the element's box.</summary>
/// <param name="Drawing">Its lines, in any unit.</param>
public sealed record DrawingForm(DrawnShape Drawing) : Form
{
    /// <summary>Holes given apart from the lines, each placed in the element's own frame.</summary>
    public ImmutableArray<PieceHole> Holes { get; init; } = [];

    /// <summary>True when one of its lines does not end where it starts.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsOpen => Drawing.Lines.Any(line => !line.IsClosed);
}

/// <summary>A hole, placed in its element's own frame (before turning, from its middle).</summary>
/// <param name="Shape">The hole's form.</param>
/// <param name="X">Middle, mm right of the element's middle.</param>
/// <param name="Y">Middle, mm below the element's middle.</param>
/// <param name="Width">Width, mm.</param>
/// <param name="Height">Height, mm.</param>
public sealed record PieceHole(ShapeSource Shape, double X, double Y, double Width, double Height);

/// <summary>What shapes and drawings have in common.</summary>
public static class OutlinedForms
{
    /// <summary>The form of a shape: a drawing's own kind, or a generator's.</summary>
    public static Form Of(ShapeSource shape, ImmutableArray<PieceHole> holes = default)
    {
        holes = holes.IsDefault ? [] : holes;
        return shape is DrawnShape drawn
            ? new DrawingForm(drawn) { Holes = holes }
            : new ShapeForm(shape) { Holes = holes };
    }

    /// <summary>The shape of a form; null for one that has none, as words.</summary>
    public static ShapeSource? ShapeOf(this Form form) => (form as ShapeForm)?.Shape ?? (form as DrawingForm)?.Drawing;

    /// <summary>The holes given apart from a form's outline.</summary>
    public static ImmutableArray<PieceHole> HolesOf(this Form form) =>
        (form as ShapeForm)?.Holes ?? (form as DrawingForm)?.Holes ?? [];

    /// <summary>The form with other holes; one that has none stays.</summary>
    public static Form WithHoles(this Form form, ImmutableArray<PieceHole> holes)
    {
        Budget.Spend();
        return form.ShapeOf() is { } shape ? Of(shape, holes) : form;
    }
}
