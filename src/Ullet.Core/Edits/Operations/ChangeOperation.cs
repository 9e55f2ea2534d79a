using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives an operation other numbers or sources, mutes it or lets it work again; its place stays.</summary>
public sealed record ChangeOperation : OperationEdit
{
    /// <summary>The operation as it is to be; its id says which one.</summary>
    public required Operation Operation { get; init; }

    public override string Label(Project before) =>
        before.Find(ElementId)?.Operations.FirstOrDefault(own => own.Id == Operation.Id) is { } own
        && own.IsMuted != Operation.IsMuted
            ? $"{(Operation.IsMuted ? "Mute" : "Unmute")} {OperationTable.Of(Operation).Name(Operation).ToLowerInvariant()} of {ElementName(before)}"
            : $"Change {OperationTable.Of(Operation).Name(Operation).ToLowerInvariant()} of {ElementName(before)}";

    private protected override Result<Project> Change(Project project, Element element)
    {
        var index = IndexOf(element, Operation.Id);
        if (index < 0)
        {
            return NoOperation(element, Operation.Id);
        }
        var without = element with { Operations = element.Operations.RemoveAt(index) };
        if (
            (
                OperationLimits.Check(Operation)
                ?? OperationLimits.CheckSources(project.With(without), without, Operation)
            ) is
            { } no
        )
        {
            return no;
        }
        var old = element.Operations[index];
        var changed = project.With(element with { Operations = element.Operations.SetItem(index, Operation) });
        if (Operation is not (Join or KeepOverlap))
        {
            return changed;
        }
        changed = Construction.Released(changed, old.Sources.Except(Operation.Sources));
        return Construction.Made(changed, [.. Operation.Sources.Except(old.Sources)]);
    }
}
