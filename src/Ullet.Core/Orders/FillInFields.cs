using System.Collections.Immutable;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>Everything of a project that changes from order to order.</summary>
public static class FillInFields
{
    /// <summary>Ids of a pattern's own fill-ins begin so.</summary>
    private const string OfPattern = "p-";

    /// <summary>Its own fill-ins in their order; before them those of its pattern of which nothing more is said.</summary>
    public static ImmutableArray<FillIn> Of(Project project)
    {
        if (project.Pattern is not { } use || PatternShelf.Find(use) is not { } pattern)
        {
            return project.FillIns;
        }
        var said = project.FillIns.Select(own => own.PatternFillInId).ToHashSet(StringComparer.Ordinal);
        return
        [
            .. pattern.FillIns.Where(fill => !said.Contains(fill.Id)).Select(fill => Begun(fill, project, use)),
            .. project.FillIns.Where(own =>
                own.PatternFillInId is null || pattern.FillIns.Any(fill => fill.Id == own.PatternFillInId)
            ),
        ];
    }

    private static FillIn Begun(PatternFillIn fill, Project project, PatternUse use)
    {
        var (id, label) = (OfPattern + fill.Id, FreeLabel(fill.Label, project));
        return fill.Choices.IsEmpty
            ? new WordsFillIn
            {
                Id = id,
                Label = label,
                Example = use.TextOf(fill.Id) ?? fill.Usual,
                PatternFillInId = fill.Id,
                Longest = PatternFillIn.LongestText,
            }
            : new MotifFillIn
            {
                Id = id,
                Label = label,
                Example = use.TextOf(fill.Id) ?? fill.Usual,
                PatternFillInId = fill.Id,
                Options = fill.Choices,
            };
    }

    /// <summary>A pattern's label, told apart from one of the project's own.</summary>
    private static string FreeLabel(string label, Project project) =>
        project.FillIns.Any(own => string.Equals(own.Label, label, StringComparison.OrdinalIgnoreCase))
            ? $"{label} (pattern)"
            : label;
}
