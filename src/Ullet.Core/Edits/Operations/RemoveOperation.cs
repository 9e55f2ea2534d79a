using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Takes an operation away; what it used to join is sewn by itself again.</summary>
public sealed record RemoveOperation : OperationEdit
{
    public required string OperationId { get; init; }

    public override string Label(Project before) =>
        before.Find(ElementId)?.Operations.FirstOrDefault(own => own.Id == OperationId) is { } own
            ? $"Remove {OperationTable.Of(own).Name(own).ToLowerInvariant()} of {ElementName(before)}"
            : $"Remove an operation of {ElementName(before)}";

    private protected override Result<Project> Change(Project project, Element element)
    {
        var index = IndexOf(element, OperationId);
        if (index < 0)
        {
            return NoOperation(element, OperationId);
        }
        var old = element.Operations[index];
        var changed = project.With(element with { Operations = element.Operations.RemoveAt(index) });
        return old is Join or KeepOverlap ? Construction.Released(changed, old.Sources) : changed;
    }
}
