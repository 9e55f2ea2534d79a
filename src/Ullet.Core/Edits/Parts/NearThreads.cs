using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Takes a project's own threads for those of a clip where they look nearly alike.</summary>
internal static class NearThreads
{
    /// <summary>The clip with the project's threads in the place of near ones of the same kind.</summary>
    internal static Clip In(Project project, Clip clip) =>
        clip with
        {
            Threads =
            [
                .. clip.Threads.Select(thread =>
                    project
                        .Threads.Where(own => own.Kind == thread.Kind)
                        .Select(own => (Thread: own, Apart: ColourDistance.Between(own.Colour, thread.Colour)))
                        .Where(own => own.Apart <= ColourDistance.Near)
                        .OrderBy(own => own.Apart)
                        .Select(own => own.Thread)
                        .FirstOrDefault()
                        is { } near
                        ? near with
                        {
                            Id = thread.Id,
                        }
                        : thread
                ),
            ],
        };
}
