using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What deleting means for parts of a pattern.</summary>
internal static class PatternPlaces
{
    /// <summary>The first element that a pattern can't do without; null for none.</summary>
    internal static Element? Owned(Project project, IEnumerable<Element> elements)
    {
        var places = PatternShelf
            .PlanOf(project)
            ?.Places.Select(place => place.ElementId)
            .ToHashSet(StringComparer.Ordinal);
        return places is null
            ? null
            : elements.FirstOrDefault(element => element.PatternPart is not null && !places.Contains(element.Id));
    }

    /// <summary>The document with the fill-ins of deleted elements empty, so that they do not come back with the next size.</summary>
    internal static Project Emptied(Project project, IEnumerable<Element> elements)
    {
        if (project.Pattern is not { } use || PatternShelf.PlanOf(project) is not { } plan)
        {
            return project;
        }
        var gone = elements.Select(element => element.Id).ToHashSet(StringComparer.Ordinal);
        var pattern = PatternShelf.Find(use)!;
        // A fill-in that is shown more than once stays while one of its elements does.
        var empty = pattern
            .FillIns.Where(fill =>
                plan.Places.Where(place => place.FillInId == fill.Id).All(place => gone.Contains(place.ElementId))
            )
            .ToDictionary(fill => fill.Id, fill => fill.Choices.IsEmpty ? "" : fill.Choices[0], StringComparer.Ordinal);
        return project with
        {
            Pattern = use with
            {
                FillIns =
                [
                    .. use.FillIns.Select(text => text with { Text = empty.GetValueOrDefault(text.Id, text.Text) }),
                ],
            },
        };
    }

    /// <summary>The document in which the pattern's lines do not keep clear any more of what goes.</summary>
    internal static Project LetGo(Project project, IEnumerable<Element> elements)
    {
        var lines = PatternShelf
            .PlanOf(project)
            ?.KeepsOut.Select(keep => keep.ElementId)
            .ToHashSet(StringComparer.Ordinal);
        if (lines is null || lines.Count == 0)
        {
            return project;
        }
        var gone = elements.Select(element => element.Id).ToHashSet(StringComparer.Ordinal);
        return project with
        {
            Elements =
            [
                .. project.Elements.Select(element =>
                    lines.Contains(element.Id)
                        ? element with
                        {
                            Operations = [.. element.Operations.Select(Without).OfType<Operation>()],
                        }
                        : element
                ),
            ],
        };

        Operation? Without(Operation operation) =>
            operation is not Carve carve ? operation
            : carve.SourceIds.RemoveAll(gone.Contains) is { Length: > 0 } left ? carve with { SourceIds = left }
            : null;
    }
}
