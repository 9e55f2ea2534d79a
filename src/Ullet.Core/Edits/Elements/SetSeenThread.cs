using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sews what is seen of an element in another thread.</summary>
public sealed record SetSeenThread : OneElementEdit
{
    public required string ThreadId { get; init; }

    public override string Label(Project before) => $"Change the thread of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, Project project)
    {
        if (project.FindThread(ThreadId) is null)
        {
            return EditRefusals.NoThread(ThreadId);
        }
        var module = MakingModules.Of(element);
        return module.ThreadOf(element.Making, project) is null
            ? EditRefusals.WrongKind(element)
            : project.With(element.Made(module.InThread(element.Making, ThreadId)));
    }
}
