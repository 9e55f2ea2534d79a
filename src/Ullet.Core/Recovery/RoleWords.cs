using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Recovery;

/// <summary>Roles by the words that stitch files use for them.</summary>
public static class RoleWords
{
    /// <summary>Words that begin so, or hold so, and what they mean; the first that fits counts.</summary>
    private static readonly ImmutableArray<(string Part, bool IsAtStart, OpenedRole Role)> Known =
    [
        ("basting", true, OpenedRole.Basting),
        ("placement", false, OpenedRole.Placement),
        ("cut guide", true, OpenedRole.Placement),
        ("tack", true, OpenedRole.TackDown),
        ("outline", true, OpenedRole.TackDown),
        ("cover", true, OpenedRole.Cover),
        ("holding line", true, OpenedRole.Cover),
        ("quilting", false, OpenedRole.Quilting),
        ("seam", false, OpenedRole.Seam),
        ("bar ", true, OpenedRole.Seam),
        ("topstitching", false, OpenedRole.Seam),
        ("lines along the folds", false, OpenedRole.Seam),
        ("lettering", false, OpenedRole.Lettering),
        ("decoration", false, OpenedRole.Decoration),
    ];

    /// <summary>What words mean; null for words that only say how it is sewn, and for none.</summary>
    public static OpenedRole? Of(string? words)
    {
        if (words is null)
        {
            return null;
        }
        foreach (var (part, isAtStart, role) in Known)
        {
            if (
                isAtStart
                    ? words.StartsWith(part, StringComparison.OrdinalIgnoreCase)
                    : words.Contains(part, StringComparison.OrdinalIgnoreCase)
            )
            {
                return role;
            }
        }
        return null;
    }
}
