using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

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
        var touches = TouchesOf(element, parts);
        foreach (var part in parts)
        {
            var id = made.Count == 0 ? element.Id : $"e{number++}";
            var bare = Bare(element, part, id) with
            {
                GroupId = group,
                Operations = keepsOperations ? element.Operations : [],
            };
            bare = bare.SettingsOf<ClothMaking>() is { } cloth
                ? bare.WithSettings(cloth with { EdgeTouches = [.. touches[part]] })
                : bare;
            made.Add(NodeLines.With(bare, NodeLines.Of(part.Outline)));
        }
        var at = project.Elements.IndexOf(element);
        var changed = project with
        {
            Elements = project.Elements.RemoveAt(at).InsertRange(at, made),
            NextNumber = number,
        };
        return made.Count == 1 ? changed : WithAllAsSources(changed, element.Id, [.. made.Select(each => each.Id)]);
    }

    /// <summary>Each part's stretches set by hand: those nearer to its edge than to the other parts'.</summary>
    private static ILookup<PartOutline, EdgeTouch> TouchesOf(Element element, ImmutableArray<PartOutline> parts) =>
        (element.SettingsOf<ClothMaking>()?.EdgeTouches ?? []).ToLookup(touch =>
            parts.MinBy(part => part.Outline.DistanceToEdge(BoxFit.OnWall(element.Box, touch.At)))!
        );

    /// <summary>A drawn element in the frame of the one that it comes from, its lines not yet.</summary>
    private static Element Bare(Element element, PartOutline part, string id)
    {
        var name = part.Letter is { } letter ? $"{element.Name}, {letter}" : element.Name;
        name += part.Side is { } side ? $", {side}" : "";
        name = name.Length <= Limits.LongestName ? name : element.Name;
        var bare = element with
        {
            Id = id,
            Name = name,
            Form = new DrawingForm(new DrawnShape([])),
            PatternPart = null,
        };
        return part.ClothId is { } own && bare.SettingsOf<ClothMaking>() is { } cloth
            ? bare.WithSettings(cloth with { ClothId = own })
            : bare;
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
