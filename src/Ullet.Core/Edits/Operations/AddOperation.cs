using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Adds an operation after those that an element has.</summary>
public sealed record AddOperation : OperationEdit
{
    /// <summary>What is to be done; its id is given here.</summary>
    public required Operation Operation { get; init; }

    public override string Label(Project before) =>
        Operation.Sources.Length == 1 && before.Find(Operation.Sources[0]) is { } source
            ? $"{OperationTable.Of(Operation).Name(Operation)}: {ElementName(before)} with {source.Name}"
            : $"{OperationTable.Of(Operation).Name(Operation)}: {ElementName(before)}";

    /// <remarks>The sources of a join or of a kept overlap become construction shapes: their cloth is part of the element
    /// now, and would be sewn twice.</remarks>
    private protected override Result<Project> Change(Project project, Element element)
    {
        if (element.Operations.Length >= OperationLimits.MostOperations)
        {
            return new Refusal(
                "operations-too-many",
                "operation",
                $"{element.Name} has {OperationLimits.MostOperations} operations already. Freeze them into nodes first."
            );
        }
        if ((OperationLimits.Check(Operation) ?? OperationLimits.CheckSources(project, element, Operation)) is { } no)
        {
            return no;
        }
        var added = Operation with { Id = $"o{project.NextNumber}" };
        var changed = project.With(element with { Operations = element.Operations.Add(added) }) with
        {
            NextNumber = project.NextNumber + 1,
        };
        return Operation is Join or KeepOverlap ? Construction.Made(changed, Operation.Sources) : changed;
    }
}
