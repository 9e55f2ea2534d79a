using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Turns what an element is made by into nodes: letters, generators and operations are no longer live.</summary>
public sealed record FreezeElement : Edit
{
    public required string ElementId { get; init; }

    /// <summary>True to keep the operations live and turn only the form beneath them into nodes.</summary>
    public bool KeepsOperations { get; init; }

    public override string Label(Project before) =>
        $"{(KeepsOperations ? "Turn into nodes" : "Freeze")}: {before.Find(ElementId)?.Name ?? "element"}";

    public override Result<Project> Apply(Project project, EditContext context) =>
        project.Find(ElementId) switch
        {
            null => EditRefusals.NoElement(ElementId),
            { IsLocked: true } locked => EditRefusals.Locked(locked),
            { Form: OpenedForm } opened => EditRefusals.NeedlePoints(opened),
            { } element => Freezing.Frozen(project, element, context, KeepsOperations),
        };
}
