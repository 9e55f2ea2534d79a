using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes elements as large as fits into another element's box, in its middle and turned as it is.</summary>
public sealed record FitInto : Edit
{
    /// <summary>Room left between the covers and the box when none is asked for, mm.</summary>
    public const double UsualMargin = 2;

    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>The element into whose box they go; it may be locked.</summary>
    public required string TargetId { get; init; }

    /// <summary>Room on every side between what is fitted, cover included, and the box, mm.</summary>
    public double Margin { get; init; } = UsualMargin;

    public override string Label(Project before) =>
        $"Fit {NameOf(before, ElementIds)} into {before.Find(TargetId)?.Name ?? "an element"}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Find(TargetId) is not { } target)
        {
            return EditRefusals.NoElement(TargetId);
        }
        return Chosen
            .Find(project, [.. ElementIds.Where(id => id != TargetId)])
            .Then(elements => Fitted(project, elements, target.Box, context));
    }

    private Result<Project> Fitted(
        Project project,
        ImmutableArray<Element> elements,
        ElementBox target,
        EditContext context
    )
    {
        if (Limits.CheckRange(Margin, 0, 200, "mm", "The margin", "margin") is { } wrong)
        {
            return wrong;
        }
        var box = elements.Aggregate(Box.Empty, (sum, each) => sum.Union(Bands.BoxOf(each, context)));
        var outside = elements.Max(each => Bands.Outside(each, project));
        var room = 2 * (Margin + outside);
        var scale = Math.Min((target.Width - room) / box.Width, (target.Height - room) / box.Height);
        if (scale <= 0)
        {
            return new Refusal(
                "no-room",
                "margin",
                $"There is no room: the margin and the covers take {LengthText.Mm(room)} of "
                    + $"{LengthText.Mm(Math.Min(target.Width, target.Height))}."
            );
        }
        Result<Project> changed = project;
        foreach (var element in elements)
        {
            var way = new Point(element.Box.X, element.Box.Y) - box.Centre;
            var at = BoxFit.OnWall(target with { IsFlipped = false }, way * scale);
            var fitted = element.Box with
            {
                X = at.X,
                Y = at.Y,
                Width = element.Box.Width * scale,
                Height = element.Box.Height * scale,
                Rotation = (element.Box.Rotation + target.Rotation) % 360,
            };
            var free = element with { StaysCentred = false };
            changed = changed.Then(so => Resizing.InBox(so, free, fitted, context));
        }
        return changed;
    }
}
