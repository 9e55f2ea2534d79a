using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>The names that groups, layers and lines get in cut files, and what they say when they are read.</summary>
internal static class CutNames
{
    /// <summary>A name that XML takes as an id: letters, figures and hyphens, a letter first.</summary>
    internal static string Id(string name)
    {
        var plain = string.Join(
            '-',
            new string([.. name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : ' ')]).Split(
                ' ',
                StringSplitOptions.RemoveEmptyEntries
            )
        );
        return plain.Length > 0 && char.IsAsciiLetter(plain[0]) ? plain : "shape-" + plain;
    }

    /// <summary>The group of a cloth's lines of one role.</summary>
    internal static string Group(string cloth, CutRole role) => $"{Id(cloth)}-{role.ToString().ToLowerInvariant()}";

    internal static CutRole RoleOf(string group) =>
        Enum.GetValues<CutRole>()
            .FirstOrDefault(role => group.EndsWith($"-{role}", StringComparison.OrdinalIgnoreCase));

    /// <summary>A name that was not used before: a number follows where it was.</summary>
    internal static string Unique(string id, HashSet<string> used)
    {
        var candidate = id;
        for (var i = 2; !used.Add(candidate); i++)
        {
            candidate = $"{id}-{i}";
        }
        return candidate;
    }

    /// <summary>Text for a line of a file in plain ASCII.</summary>
    internal static string Plain(string text) => new([.. text.Select(c => c is >= ' ' and <= '~' ? c : '?')]);
}
