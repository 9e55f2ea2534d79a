using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts a zone on the wall: kept clear, kept within, or a guide for the eyes.</summary>
public sealed record AddZone : Edit
{
    public required ShapeSource Shape { get; init; }

    public ZoneRole Role { get; init; }

    /// <summary>Where it goes; null for the field's centre at half of the field.</summary>
    public ElementBox? Box { get; init; }

    public string? Name { get; init; }

    public override string Label(Project before) => $"Add {(Name ?? NameOf(Role)).ToLowerInvariant()}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var hoop = project.Hooping.Hoop;
        var side = Math.Min(hoop.FieldWidth, hoop.FieldHeight) / 2;
        var box = Box ?? new ElementBox(0, 0, side, side / 3, 0);
        var name = Name ?? NameOf(Role);
        if ((Limits.CheckName(name, "The zone") ?? ShapeChecks(box, name)) is { } refusal)
        {
            return refusal;
        }
        var zone = new Element
        {
            Id = $"e{project.NextNumber}",
            Name = name,
            Box = box,
            Form = OutlinedForms.Of(Shape),
            Making = new ZoneMaking { Role = Role },
        };
        return project with { Elements = project.Elements.Add(zone), NextNumber = project.NextNumber + 1 };
    }

    private Refusal? ShapeChecks(ElementBox box, string name) =>
        Outlines.ShapeLimits.Check(Shape) ?? Limits.CheckBox(box, name);

    /// <summary>What a zone is called that was given no name.</summary>
    public static string NameOf(ZoneRole role) =>
        role switch
        {
            ZoneRole.KeepClear => "Keep clear",
            ZoneRole.StayWithin => "Stay within",
            ZoneRole.Guide => "Guide",
        };
}
