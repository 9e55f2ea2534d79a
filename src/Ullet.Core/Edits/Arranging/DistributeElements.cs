using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Which way elements follow one another.</summary>
public enum Direction
{
    Across,
    Down,
}

/// <summary>Spaces elements evenly by the gaps between their bare outlines; a group moves as one.</summary>
public sealed record DistributeElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public required Direction Direction { get; init; }

    /// <summary>The gap, mm; null keeps the first and the last where they are and shares out the room between them.</summary>
    public double? Gap { get; init; }

    /// <summary>Selection: between the outermost. Hoop: from edge to edge of the field, covers inside. Key: round an element
    /// that stays.</summary>
    public AlignTo To { get; init; } = AlignTo.Selection;

    /// <summary>The element that stays, for <see cref="AlignTo.Key"/>.</summary>
    public string? KeyElementId { get; init; }

    public override string Label(Project before) => $"Space {NameOf(before, ElementIds)} evenly";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen.Find(project, ElementIds).Then(elements => Spaced(project, elements, context));

    private bool HasKey(Unit unit) => unit.Elements.Any(element => element.Id == KeyElementId);

    private Result<Project> Spaced(Project project, ImmutableArray<Element> elements, EditContext context)
    {
        var across = Direction == Direction.Across;
        var units = Chosen
            .Units(elements, project, context, withCover: To == AlignTo.Hoop)
            .OrderBy(unit => across ? unit.Box.Centre.X : unit.Box.Centre.Y)
            .ToList();
        var least = Gap is null && To != AlignTo.Hoop ? 3 : 2;
        if (units.Count < least)
        {
            return new Refusal(
                "too-few",
                "elementIds",
                $"Even spacing needs at least {least} elements or groups; {units.Count} "
                    + $"{(units.Count == 1 ? "is" : "are")} selected."
            );
        }
        if (Gap is { } wish && Limits.CheckRange(wish, -500, 1000, "mm", "The gap", "gap") is { } refusal)
        {
            return refusal;
        }
        double From(Unit unit) => across ? unit.Box.MinX : unit.Box.MinY;
        double Size(Unit unit) => across ? unit.Box.Width : unit.Box.Height;
        var usable = project.Hooping.Hoop.Usable;
        var field = across ? usable.Width : usable.Height;
        var whole = To == AlignTo.Hoop ? field : From(units[^1]) + Size(units[^1]) - From(units[0]);
        var gap = Gap ?? (whole - units.Sum(Size)) / (units.Count - 1);
        var at = To switch
        {
            AlignTo.Hoop => -(units.Sum(Size) + (gap * (units.Count - 1))) / 2,
            AlignTo.Key when units.FindIndex(HasKey) is >= 0 and var key => From(units[key])
                - units.Take(key).Sum(unit => Size(unit) + gap),
            _ => From(units[0]),
        };
        foreach (var unit in units)
        {
            var by = at - From(unit);
            var moved = Chosen.Move(project, unit.Elements, across ? by : 0, across ? 0 : by);
            if (!moved.IsOk)
            {
                return moved;
            }
            project = moved.Value;
            at += Size(unit) + gap;
        }
        return project;
    }
}
