using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>An edit of an element's list of operations.</summary>
public abstract record OperationEdit : Edit
{
    public required string ElementId { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context) =>
        project.Find(ElementId) switch
        {
            null => EditRefusals.NoElement(ElementId),
            { IsLocked: true } locked => EditRefusals.Locked(locked),
            { Form: OpenedForm } opened => EditRefusals.NeedlePoints(opened),
            { } element => Change(project, element),
        };

    private protected abstract Result<Project> Change(Project project, Element element);

    private protected string ElementName(Project project) => project.Find(ElementId)?.Name ?? "element";

    private protected static Refusal NoOperation(Element element, string id) =>
        new("operation-unknown", "operationId", $"{element.Name} has no operation \"{id}\"; it may have been removed.");

    private protected static int IndexOf(Element element, string id) =>
        Enumerable.Range(0, element.Operations.Length).FirstOrDefault(i => element.Operations[i].Id == id, -1);
}
