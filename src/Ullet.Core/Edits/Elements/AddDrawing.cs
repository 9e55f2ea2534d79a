using System.Collections.Immutable;
using Ullet.Core.Drawings;
using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts an imported drawing on the wall at its true size: closed pieces with their holes, open lines.</summary>
public sealed record AddDrawing : Edit
{
    /// <summary>What the import answered.</summary>
    public required string Token { get; init; }

    /// <summary>Width of the whole drawing, mm; null for the file's own.</summary>
    public double? Width { get; init; }

    /// <summary>True size of one of the file's units, mm; needed when the file does not say it and no width is given.</summary>
    public double? MmPerUnit { get; init; }

    public FillRule? Crossing { get; init; }

    public bool InnerAreHoles { get; init; } = true;

    /// <summary>What elements without a name in the file are called; null for "Drawing".</summary>
    public string? Name { get; init; }

    public override string Label(Project before) => $"Import {Name ?? "a drawing"}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (context.Imports.Find(Token) is not { } drawing)
        {
            return new Refusal("import-unknown", "token", "That import is not known any more; choose the file again.");
        }
        return Scale(drawing, Width, MmPerUnit).Then(scale => Placed(project, drawing, scale, context));
    }

    /// <summary>True size of a unit, mm: from a typed width, a typed unit, or the file.</summary>
    public static Result<double> Scale(Drawing drawing, double? width, double? mmPerUnit)
    {
        if (width is { } wish)
        {
            var own = drawing.Bounds().Width;
            return Limits.CheckRange(
                    wish,
                    Limits.SmallestSize,
                    Limits.LargestSize,
                    "mm",
                    "The drawing's width",
                    "width"
                )
                    is { } refusal
                    ? refusal
                : own < 1e-9
                    ? new Refusal(
                        "width-zero",
                        "width",
                        "This drawing has no width that could be set; it is one upright line."
                    )
                : wish / own;
        }
        return mmPerUnit is { } unit
            ? Limits.CheckRange(unit, 1e-6, 1000, "mm", "The size of a unit", "mmPerUnit") is { } wrong
                ? wrong
                : unit
            : drawing.MmPerUnit is { } known
                ? known
                : new Refusal(
                    "units-missing",
                    "mmPerUnit",
                    "This drawing does not say how large it is. Type its width, or say what one of its units is."
                );
    }

    private Result<Project> Placed(Project project, Drawing drawing, double scale, EditContext context)
    {
        var sorted = DrawingSorter.Sort(drawing, new DrawingWish(scale, Crossing, InnerAreHoles));
        if (sorted.Pieces.IsEmpty && sorted.Lines.IsEmpty)
        {
            return new Refusal(
                "drawing-empty",
                "token",
                $"Nothing of this drawing is at least {DrawingSorter.LeastSize:0} mm large at that size."
            );
        }
        if (UsualCloths.Of(project) is not { } cloth)
        {
            return EditRefusals.NoCloth("");
        }
        var middle = sorted.Bounds().Centre;
        var first = project.NextNumber;
        var count = sorted.Pieces.Length + sorted.Lines.Length;
        var group = count > 1 ? $"g{first}" : null;
        var made = ImmutableArray.CreateBuilder<Element>();
        foreach (var (name, outline) in sorted.Pieces)
        {
            made.Add(
                DrawnElements.Piece(outline, middle) with
                {
                    Making = AddPiece.Begun(project, cloth.Id),
                    Id = $"e{first + made.Count}",
                    Name = NameOf(name, made.Count, count),
                    GroupId = group,
                }
            );
        }
        foreach (var (name, line) in sorted.Lines)
        {
            made.Add(
                DrawnElements.Line(line, middle) with
                {
                    Id = $"e{first + made.Count}",
                    Name = NameOf(name, made.Count, count),
                    GroupId = group,
                }
            );
        }
        foreach (var element in made)
        {
            var refusal =
                Limits.CheckBox(element.Box, element.Name, mayBeFlat: element.IsLinework)
                ?? FormModules.Of(element.Form).CheckAdded(element, context.Evaluator.Fonts);
            if (refusal is not null)
            {
                return refusal;
            }
        }
        return project with { Elements = project.Elements.AddRange(made), NextNumber = first + made.Count };
    }

    private string NameOf(string? own, int index, int count)
    {
        var name = own is not null && Limits.CheckName(own, "") is null ? own : Name ?? "Drawing";
        name = name.Length > Limits.LongestName - 6 ? name[..(Limits.LongestName - 6)] : name;
        return own is null && count > 1 ? $"{name} {index + 1}" : name;
    }
}
