using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts a new piece on top of the stack.</summary>
public sealed record AddPiece : Edit
{
    /// <summary>The side that a new piece gets at most when no size is given, mm.</summary>
    public const double UsualSize = 60;

    /// <summary>Middles nearer to each other than this are one, mm.</summary>
    private const double SameMiddle = 2;

    public required ShapeSource Shape { get; init; }

    /// <summary>Where it goes; null for the field's centre at <see cref="UsualSize"/> or half of the field.</summary>
    public ElementBox? Box { get; init; }

    /// <summary>True to look for another place, without a box, where a shape lies in the field's very middle already.</summary>
    public bool Aside { get; init; }

    /// <summary>A name; null for the shape's own.</summary>
    public string? Name { get; init; }

    /// <summary>The cloth; null for the one used last.</summary>
    public string? ClothId { get; init; }

    public Method? Method { get; init; }

    public override string Label(Project before) => $"Add {Name ?? ShapeNames.Of(Shape).ToLowerInvariant()}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var hoop = project.Hooping.Hoop;
        var size = Math.Min(UsualSize, Math.Min(hoop.FieldWidth, hoop.FieldHeight) / 2);
        var box = Box ?? Placed(size, project, context);
        var name = Name ?? ShapeNames.Of(Shape);
        var cloth = ClothId is null ? UsualCloths.Of(project) : project.FindCloth(ClothId);
        if (cloth is null)
        {
            return EditRefusals.NoCloth(ClothId ?? "");
        }
        if ((Limits.CheckName(name, "The piece") ?? ShapeLimits.Check(Shape) ?? Limits.CheckBox(box, name)) is { } no)
        {
            return no;
        }
        var piece = new Element
        {
            Id = $"e{project.NextNumber}",
            Name = name,
            Box = box,
            Form = OutlinedForms.Of(Shape),
            Making = Begun(project, cloth.Id, Method),
        };
        return project with
        {
            Elements = project.Elements.Add(piece),
            NextNumber = project.NextNumber + 1,
            Habits = project.Habits with { ClothId = ClothId ?? project.Habits.ClothId },
        };
    }

    /// <summary>A box with a larger side of a size, in the shape's own proportions.</summary>
    private ElementBox Placed(double size, Project project, EditContext context)
    {
        var ratio = ShapeContours.Proportions(Shape);
        var (width, height) = (size * Math.Min(1, ratio), size / Math.Max(1, ratio));
        var others = FreePlace.Alike<ShapeForm>(project, context).ToList();
        if (!Aside || !others.Exists(other => other.Centre.DistanceTo(FreePlace.Field(project).Centre) < SameMiddle))
        {
            return new ElementBox(0, 0, width, height, 0);
        }
        var place = FreePlace.OnGround(Geometry.Box.Centred(width, height), others, FreePlace.Field(project));
        return new ElementBox(place.X, place.Y, width, height, 0);
    }

    /// <summary>New cloth as it begins: as chosen last in the project.</summary>
    internal static ClothMaking Begun(Project project, string clothId, Method? method = null) =>
        project.Habits.Begun(new ClothMaking { ClothId = clothId }, method ?? UsualCloths.MethodOf(project));
}
