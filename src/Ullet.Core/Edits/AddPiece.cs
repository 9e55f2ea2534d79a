using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts a new piece on top of the stack.</summary>
public sealed record AddPiece : Edit
{
    /// <summary>The side that a new piece gets at most when no size is given, mm.</summary>
    public const double UsualSize = 60;

    public required ShapeSource Shape { get; init; }

    /// <summary>Where it goes; null for the field's centre at <see cref="UsualSize"/> or half of the field.</summary>
    public ElementBox? Box { get; init; }

    /// <summary>A name; null for the shape's own.</summary>
    public string? Name { get; init; }

    /// <summary>The cloth; null for the first that is neither ground nor stabiliser.</summary>
    public string? ClothId { get; init; }

    public Method? Method { get; init; }

    public override string Label(Project before) => $"Add {Name ?? ShapeName(Shape).ToLowerInvariant()}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var hoop = project.Hooping.Hoop;
        var size = Math.Min(UsualSize, Math.Min(hoop.FieldWidth, hoop.FieldHeight) / 2);
        var box = Box ?? new ElementBox(0, 0, size, size, 0);
        var name = Name ?? ShapeName(Shape);
        var cloth = ClothId is null ? UsualCloth(project) : project.FindCloth(ClothId);
        if (cloth is null)
        {
            return EditRefusals.NoCloth(ClothId ?? "");
        }
        if ((Limits.CheckName(name, "The piece") ?? ShapeLimits.Check(Shape) ?? Limits.CheckBox(box, name)) is { } no)
        {
            return no;
        }
        var piece = new Piece
        {
            Id = $"e{project.NextNumber}",
            Name = name,
            Box = box,
            Shape = Shape,
            ClothId = cloth.Id,
        };
        return project with
        {
            Elements = project.Elements.Add(Begun(project, piece, Method)),
            NextNumber = project.NextNumber + 1,
        };
    }

    /// <summary>What a shape is called.</summary>
    public static string ShapeName(ShapeSource shape) =>
        shape switch
        {
            RectangleShape => "Rectangle",
            EllipseShape => "Ellipse",
            PolygonShape => "Polygon",
            StarShape => "Star",
            HeartShape => "Heart",
            LeafShape => "Leaf",
            DropShape => "Drop",
            CrescentShape => "Crescent",
            ShieldShape => "Shield",
            _ => "Drawing",
        };

    /// <summary>A new piece or new words as they begin: as chosen last in the project.</summary>
    internal static TPiece Begun<TPiece>(Project project, TPiece piece, Method? method = null)
        where TPiece : AppliqueElement => project.Habits.Begun(piece, method ?? UsualMethod(project));

    /// <summary>The method used last; trim in the hoop in a new project.</summary>
    private static Method UsualMethod(Project project) =>
        project.Habits.Method
        ?? project.Elements.OfType<AppliqueElement>().LastOrDefault()?.Method
        ?? Projects.Method.TrimInTheHoop;

    /// <summary>The first cloth that is neither ground nor stabiliser.</summary>
    internal static Cloth? UsualCloth(Project project) =>
        project.Cloths.FirstOrDefault(cloth =>
            cloth.Id != project.Hooping.GroundClothId
            && cloth.Kind is not (ClothKind.Stabiliser or ClothKind.Batting or ClothKind.Zip)
        ) ?? project.Cloths.FirstOrDefault();
}
