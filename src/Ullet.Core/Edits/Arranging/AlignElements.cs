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

    /// <summary>The line that letters stand on; what is no words stands on its lowest edge.</summary>
    Baseline,

    /// <summary>The middle across as the eye finds it: where the form balances.</summary>
    OpticalCentre,

    /// <summary>The middle down as the eye finds it.</summary>
    OpticalMiddle,
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
        if (Line == AlignLine.Baseline)
        {
            return OnOneBaseline(project, elements, context);
        }
        var target = Target(project, elements, context);
        if (!target.IsOk)
        {
            return target.Refusal!;
        }
        foreach (var unit in Chosen.Units(elements, project, context, withCover: To == AlignTo.Hoop))
        {
            var (from, to) = (unit.Box, target.Value);
            var eye = Line is AlignLine.OpticalCentre or AlignLine.OpticalMiddle
                ? AlignLines.OpticalMiddle(unit.Elements, context)
                : Point.Zero;
            var middle = To == AlignTo.Hoop ? project.Hooping.Hoop.Middle : to.Centre;
            var aim = KeyMiddle(project, context) ?? middle;
            var (x, y) = Line switch
            {
                AlignLine.Left => (to.MinX - from.MinX, 0),
                AlignLine.Centre => (middle.X - from.Centre.X, 0),
                AlignLine.Right => (to.MaxX - from.MaxX, 0.0),
                AlignLine.Top => (0, to.MinY - from.MinY),
                AlignLine.Middle => (0, middle.Y - from.Centre.Y),
                AlignLine.Bottom => (0, to.MaxY - from.MaxY),
                AlignLine.OpticalCentre => (aim.X - eye.X, 0),
                AlignLine.OpticalMiddle => (0, aim.Y - eye.Y),
                AlignLine.Baseline => (0, 0),
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

    /// <summary>The optical middle of the element that stays; null where none does.</summary>
    private Point? KeyMiddle(Project project, EditContext context) =>
        To == AlignTo.Key && project.Find(KeyElementId ?? "") is { } key
            ? AlignLines.OpticalMiddle([key], context)
            : null;

    /// <summary>All on the lowest baseline of them; on that of the element that stays; or on the line through the field's centre.</summary>
    private Result<Project> OnOneBaseline(Project project, ImmutableArray<Element> elements, EditContext context)
    {
        if (To == AlignTo.Key && project.Find(KeyElementId ?? "") is null)
        {
            return EditRefusals.NoElement(KeyElementId ?? "");
        }
        ImmutableArray<Element> all =
            To == AlignTo.Key ? elements.Insert(0, project.Find(KeyElementId ?? "")!) : elements;
        return AlignLines
            .TurnOfWords(all)
            .Then(turn =>
            {
                var units = Chosen.Units(elements, project, context, withCover: false);
                var standing = units.Select(unit => AlignLines.Standing(unit.Elements, turn, context)).ToList();
                var line = To switch
                {
                    AlignTo.Hoop => Point.Dot(project.Hooping.Hoop.Middle, AlignLines.Down(turn)),
                    AlignTo.Key => AlignLines.Standing([all[0]], turn, context),
                    AlignTo.Selection => standing.Max(),
                };
                Result<Project> moved = project;
                for (var i = 0; i < units.Length; i++)
                {
                    var (unit, by) = (units[i], AlignLines.Down(turn) * (line - standing[i]));
                    moved = moved.Then(so => Chosen.Move(so, unit.Elements, by.X, by.Y));
                }
                return moved;
            });
    }

    private Result<Box> Target(Project project, ImmutableArray<Element> elements, EditContext context)
    {
        switch (To)
        {
            case AlignTo.Hoop:
                return project.Hooping.Hoop.Usable;
            case AlignTo.Key:
                return KeyElementId is { } id && project.Find(id) is { } key
                    ? Bands.BoxOf(key, context)
                    : EditRefusals.NoElement(KeyElementId ?? "");
            default:
                return elements.Aggregate(Box.Empty, (box, each) => box.Union(Bands.BoxOf(each, context)));
        }
    }
}
