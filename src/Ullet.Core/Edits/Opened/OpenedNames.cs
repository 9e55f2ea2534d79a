using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Names of parts of blocks.</summary>
internal static class OpenedNames
{
    internal static string Part(string name, int number) => With(name, $", part {number}");

    internal static string Cut(string name) => With(name, ", to cut");

    private static string With(string name, string tail)
    {
        return name.Length + tail.Length <= Limits.LongestName
            ? name + tail
            : name[..(Limits.LongestName - tail.Length)] + tail;
    }
}
