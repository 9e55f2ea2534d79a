using Ullet.Core.Opened;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>The project's ids for what a design is sewn with.</summary>
/// <param name="Threads">By the design's number, from 0.</param>
/// <param name="Cloths">By the design's own ids.</param>
internal sealed record OpenedStuff(IReadOnlyList<string> Threads, IReadOnlyDictionary<string, string> Cloths)
{
    /// <summary>The project with the design's threads and cloths: those that it has already are used, others come along.</summary>
    internal static (Project Project, OpenedStuff Stuff) Brought(Project project, StitchDesign design)
    {
        var threads = new List<string>();
        foreach (var thread in design.Threads)
        {
            var same = project.Threads.FirstOrDefault(own => own with { Id = thread.Id } == thread);
            threads.Add(same?.Id ?? $"t{project.NextNumber}");
            if (same is null)
            {
                project = project with
                {
                    Threads = project.Threads.Add(thread with { Id = threads[^1] }),
                    NextNumber = project.NextNumber + 1,
                };
            }
        }
        var cloths = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var cloth in design.Cloths)
        {
            var same = project.Cloths.FirstOrDefault(own => own with { Id = cloth.Id, Swatch = null } == cloth);
            cloths[cloth.Id] = same?.Id ?? $"c{project.NextNumber}";
            if (same is null)
            {
                project = project with
                {
                    Cloths = project.Cloths.Add(cloth with { Id = cloths[cloth.Id] }),
                    NextNumber = project.NextNumber + 1,
                };
            }
        }
        return (project, new OpenedStuff(threads, cloths));
    }
}
