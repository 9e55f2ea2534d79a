using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Which lines of the elements' outlines are brought together.</summary>
public enum AlignLine
{
    Left,
    Centre,
    Right,
    Top,
    Middle,
    Bottom,
}

/// <summary>What elements are aligned to.</summary>
public enum AlignTo
{
    /// <summary>The box of all that is selected.</summary>
    Selection,

    /// <summary>The sewing field; covers are counted in, so that edges end inside it.</summary>
    Hoop,

    /// <summary>One of the selected elements, which stays.</summary>
    Key,
}

/// <summary>Brings elements on one line, by their bare outlines; a group moves as one.</summary>
public sealed record AlignElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    public required AlignLine Line { get; init; }

    public AlignTo To { get; init; } = AlignTo.Selection;

    /// <summary>The element that stays, for <see cref="AlignTo.Key"/>.</summary>
    public string? KeyElementId { get; init; }

    public override string Label(Project before) => $"Align {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen
            .Find(project, [.. ElementIds.Where(id => id != KeyElementId || To != AlignTo.Key)])
            .Then(elements => Aligned(project, elements, context));

    private Result<Project> Aligned(Project project, ImmutableArray<Element> elements, EditContext context)
    {
        var target = Target(project, elements, context);
        if (!target.IsOk)
        {
            return target.Refusal!;
        }
        foreach (var unit in Chosen.Units(elements, project, context, withCover: To == AlignTo.Hoop))
        {
            var (from, to) = (unit.Box, target.Value);
            var (x, y) = Line switch
            {
                AlignLine.Left => (to.MinX - from.MinX, 0),
                AlignLine.Centre => (to.Centre.X - from.Centre.X, 0),
                AlignLine.Right => (to.MaxX - from.MaxX, 0.0),
                AlignLine.Top => (0, to.MinY - from.MinY),
                AlignLine.Middle => (0, to.Centre.Y - from.Centre.Y),
                AlignLine.Bottom => (0, to.MaxY - from.MaxY),
            };
            var moved = Chosen.Move(project, unit.Elements, x, y);
            if (!moved.IsOk)
            {
                return moved.Refusal!;
            }
            project = moved.Value;
        }
        return project;
    }

    private Result<Box> Target(Project project, ImmutableArray<Element> elements, EditContext context)
    {
        switch (To)
        {
            case AlignTo.Hoop:
                return Box.Centred(project.Hooping.Hoop.FieldWidth, project.Hooping.Hoop.FieldHeight);
            case AlignTo.Key:
                return KeyElementId is { } id && project.Find(id) is { } key
                    ? Bands.BoxOf(key, context)
                    : EditRefusals.NoElement(KeyElementId ?? "");
            default:
                return elements.Aggregate(Box.Empty, (box, each) => box.Union(Bands.BoxOf(each, context)));
        }
    }
}
