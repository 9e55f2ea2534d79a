using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Centres elements in the hoop or in another element: each by itself, or all of them as one.</summary>
public sealed record CentreElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>True keeps the elements' places to one another.</summary>
    public bool AsOne { get; init; } = true;

    /// <summary>The element in whose middle they go; null for the field's centre.</summary>
    public string? KeyElementId { get; init; }

    public override string Label(Project before) => $"Centre {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var target = project.Hooping.Hoop.Middle;
        if (KeyElementId is { } id)
        {
            if (project.Find(id) is not { } key)
            {
                return EditRefusals.NoElement(id);
            }
            target = Bands.BoxOf(key, context).Centre;
        }
        return Chosen
            .Find(project, [.. ElementIds.Where(element => element != KeyElementId)])
            .Then(elements =>
            {
                var units = Chosen.Units(elements, project, context, withCover: false);
                if (AsOne)
                {
                    units = [new Unit(elements, units.Aggregate(Box.Empty, (box, unit) => box.Union(unit.Box)))];
                }
                Result<Project> moved = project;
                foreach (var unit in units)
                {
                    var by = target - unit.Box.Centre;
                    moved = moved.Then(so => Chosen.Move(so, unit.Elements, by.X, by.Y));
                }
                return moved;
            });
    }
}
