using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Turns what an element is made by into nodes: letters, generators and operations are no longer live.</summary>
public sealed record FreezeElement : Edit
{
    public required string ElementId { get; init; }

    /// <summary>True to keep the operations live and turn only the form beneath them into nodes.</summary>
    public bool KeepsOperations { get; init; }

    public override string Label(Project before) =>
        $"{(KeepsOperations ? "Turn into nodes" : "Freeze")}: {before.Find(ElementId)?.Name ?? "element"}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        project.Find(ElementId) switch
        {
            null => EditRefusals.NoElement(ElementId),
            { IsLocked: true } locked => EditRefusals.Locked(locked),
            { } element => Freezing.Frozen(project, element, context, KeepsOperations),
        };
}

/// <summary>Makes nodes of outlines.</summary>
internal static class Freezing
{
    /// <summary>The document with an element as nodes. One of several pieces of cloth becomes several elements in a group; the
    /// first keeps the id, and whatever used the element uses them all.</summary>
    internal static Result<Project> Frozen(
        Project project,
        Element element,
        EditContext context,
        bool keepsOperations = false
    )
    {
        var shape = keepsOperations
            ? context.Evaluator.Bare(element)
            : context.Evaluator.Shape(project, element).Outline;
        if (shape.Whole.IsEmpty)
        {
            return new Refusal(
                "outline-empty",
                "elementId",
                $"{element.Name} has no outline that could be turned into nodes: its operations leave nothing, or its font is missing."
            );
        }
        if (shape.Whole.NodeCount > ShapeLimits.MostCurves)
        {
            return new Refusal(
                "nodes-too-many",
                "elementId",
                $"{element.Name} would have {shape.Whole.NodeCount} nodes; up to {ShapeLimits.MostCurves} can be kept."
            );
        }
        ImmutableArray<PartOutline> parts =
            shape.Parts.Length > 1 && !keepsOperations ? shape.Parts : [new PartOutline(0, null, shape.Whole)];
        var (number, group) = (project.NextNumber, element.GroupId);
        if (parts.Length > 1)
        {
            group ??= $"g{number++}";
        }
        var made = ImmutableArray.CreateBuilder<Element>();
        foreach (var part in parts)
        {
            var id = made.Count == 0 ? element.Id : $"e{number++}";
            var operations = keepsOperations ? element.Operations : [];
            made.Add(Made(element, part, id) with { GroupId = group, Operations = operations });
        }
        var at = project.Elements.IndexOf(element);
        var changed = project with
        {
            Elements = project.Elements.RemoveAt(at).InsertRange(at, made),
            NextNumber = number,
        };
        return made.Count == 1 ? changed : WithAllAsSources(changed, element.Id, [.. made.Select(each => each.Id)]);
    }

    private static Element Made(Element element, PartOutline part, string id)
    {
        var name = part.Letter is { } letter ? $"{element.Name}, {letter}" : element.Name;
        name += part.Side is { } side ? $", {side}" : "";
        var drawn = DrawnElements.ShapeOf(part.Outline);
        var bounds = part.Outline.Bounds();
        var box = new ElementBox(bounds.Centre.X, bounds.Centre.Y, bounds.Width, bounds.Height, 0);
        var line = element switch
        {
            StitchedLine stitched => stitched.Stitching,
            Words { Use: LetteringUse.StitchedOutline } words => words.Line,
            _ => null,
        };
        Element made =
            line is null && element is AppliqueElement cloth
                ? new Piece
                {
                    Id = id,
                    Name = "",
                    Box = box,
                    Shape = drawn,
                    ClothId = part.ClothId ?? cloth.ClothId,
                    Method = cloth.Method,
                    Stages = cloth.Stages,
                }
                : new StitchedLine
                {
                    Id = id,
                    Name = "",
                    Box = box,
                    Line = drawn,
                    Stitching = line ?? new LineSettings(),
                };
        return made with
        {
            Name = name.Length <= Limits.LongestName ? name : element.Name,
            IsHidden = element.IsHidden,
            IsLocked = element.IsLocked,
            IsConstruction = element.IsConstruction,
            StaysCentred = element.StaysCentred,
        };
    }

    private static Project WithAllAsSources(Project project, string id, ImmutableArray<string> all) =>
        project with
        {
            Elements =
            [
                .. project.Elements.Select(element =>
                    element with
                    {
                        Operations =
                        [
                            .. element.Operations.Select(operation =>
                                operation is SourcedOperation sourced && sourced.SourceIds.Contains(id)
                                    ? sourced with
                                    {
                                        SourceIds = sourced.SourceIds.Remove(id).AddRange(all),
                                    }
                                    : operation
                            ),
                        ],
                    }
                ),
            ],
        };
}
