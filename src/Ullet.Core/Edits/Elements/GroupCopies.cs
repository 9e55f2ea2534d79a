using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives copies of grouped elements groups of their own: copies of one group stay together, apart from the originals.</summary>
internal sealed class GroupCopies
{
    private readonly Dictionary<string, string> _copies = new(StringComparer.Ordinal);

    /// <summary>The copy in its new group, and the document with the group's number counted.</summary>
    internal (Project Project, Element Copy) Regrouped(Project project, Element copy)
    {
        if (copy.GroupId is not { } old)
        {
            return (project, copy);
        }
        if (!_copies.TryGetValue(old, out var own))
        {
            _copies[old] = own = $"g{copy.Id[1..]}";
        }
        return (project, copy with { GroupId = own });
    }
}
