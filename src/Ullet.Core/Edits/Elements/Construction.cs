using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Elements that are only there to make others.</summary>
internal static class Construction
{
    /// <summary>An element made a construction shape.</summary>
    internal static Element Of(Element element) =>
        element.IsConstruction
            ? element
            : element.Made(new ConstructionMaking { AlongLines = element.Making.FollowsLines });

    /// <summary>A construction shape made again what it was last; one that never was anything else stays.</summary>
    internal static Element Sewn(Element element) => element.Made(element.LastMaking);

    /// <summary>The document with elements made construction shapes, or the refusal: one is locked.</summary>
    internal static Result<Project> Made(Project project, ImmutableArray<string> ids)
    {
        foreach (var source in ids.Select(project.Find).OfType<Element>().Where(source => !source.IsConstruction))
        {
            if (source.IsLocked)
            {
                return new Refusal(
                    "element-locked",
                    "sourceIds",
                    $"{source.Name} is locked, and it would no longer be sewn by itself. Unlock it first."
                )
                {
                    Kind = RefusalKind.NotPossible,
                };
            }
            project = project.With(Of(source));
        }
        return project;
    }

    /// <summary>The document with those construction shapes sewn again that nothing uses any more.</summary>
    internal static Project Released(Project project, IEnumerable<string> ids)
    {
        foreach (var id in ids)
        {
            if (
                project.Find(id) is { IsConstruction: true } source
                && !project.Elements.Any(element => element.SourceIds().Contains(id))
            )
            {
                project = project.With(Sewn(source));
            }
        }
        return project;
    }
}
