using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives copies of opened stitches an opening of their own: their order and their layers never mix with the originals'.</summary>
internal static class FileCopies
{
    /// <summary>The openings of a clip in the project, from old id to new.</summary>
    internal static Dictionary<string, string> Brought(ref Project project, Clip clip) =>
        Copied(
            ref project,
            clip.Files.IsDefault ? [] : clip.Files,
            clip.Elements.Select(element => element.MadeAs<OpenedMaking>()?.FileId).OfType<string>()
        );

    /// <summary>The same for copies within a project.</summary>
    internal static Dictionary<string, string> Copied(ref Project project, IEnumerable<Element> copied) =>
        Copied(
            ref project,
            project.OpenedFiles,
            copied.Select(element => element.MadeAs<OpenedMaking>()?.FileId).OfType<string>()
        );

    private static Dictionary<string, string> Copied(
        ref Project project,
        ImmutableArray<OpenedFile> known,
        IEnumerable<string> used
    )
    {
        var ids = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var id in used.Distinct(StringComparer.Ordinal))
        {
            ids[id] = $"o{project.NextNumber}";
            project = project with
            {
                NextNumber = project.NextNumber + 1,
                OpenedFiles = known.FirstOrDefault(file => file.Id == id) is { } file
                    ? project.OpenedFiles.Add(file with { Id = ids[id] })
                    : project.OpenedFiles,
            };
        }
        return ids;
    }
}
