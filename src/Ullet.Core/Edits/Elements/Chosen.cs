using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>The elements that an edit is about.</summary>
internal static class Chosen
{
    /// <summary>The elements in the order of the stack.</summary>
    /// <returns>Or the refusal: none named, one unknown, or (unless it may be) one locked.</returns>
    internal static Result<ImmutableArray<Element>> Find(
        Project project,
        IReadOnlyCollection<string> ids,
        bool mayBeLocked = false
    )
    {
        if (ids.Count == 0)
        {
            return new Refusal("nothing-selected", "elementIds", "Nothing is selected; select an element first.");
        }
        if (ids.FirstOrDefault(id => project.Find(id) is null) is { } missing)
        {
            return EditRefusals.NoElement(missing);
        }
        ImmutableArray<Element> found = [.. project.Elements.Where(element => ids.Contains(element.Id))];
        return !mayBeLocked && found.FirstOrDefault(element => element.IsLocked) is { } locked
            ? EditRefusals.Locked(locked)
            : found;
    }

    /// <summary>Elements of one group as one, the others each alone; each with the box of its outlines, mm.</summary>
    internal static ImmutableArray<Unit> Units(
        IEnumerable<Element> elements,
        Project project,
        EditContext context,
        bool withCover
    ) =>
        [
            .. elements
                .GroupBy(element => element.GroupId ?? element.Id, StringComparer.Ordinal)
                .Select(group => new Unit(
                    [.. group],
                    group.Aggregate(
                        Box.Empty,
                        (box, each) =>
                            box.Union(
                                withCover ? Bands.CoveredBoxOf(each, project, context) : Bands.BoxOf(each, context)
                            )
                    )
                )),
        ];

    /// <summary>The document with elements moved by a distance, mm; they are no longer kept centred.</summary>
    internal static Result<Project> Move(Project project, IEnumerable<Element> elements, double x, double y)
    {
        foreach (var element in elements)
        {
            var box = element.Box with { X = element.Box.X + x, Y = element.Box.Y + y };
            if (Limits.CheckBox(box, element.Name, mayBeFlat: element.IsLinework) is { } refusal)
            {
                return refusal;
            }
            var centred = element.StaysCentred && x == 0 && y == 0;
            project = project.With(element with { Box = box, StaysCentred = centred });
        }
        return project;
    }
}

/// <summary>Elements that are arranged as one, and the box they take.</summary>
internal sealed record Unit(ImmutableArray<Element> Elements, Box Box);
