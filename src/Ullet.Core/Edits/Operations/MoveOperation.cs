using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Moves an operation to another place among those of its element.</summary>
public sealed record MoveOperation : OperationEdit
{
    public required string OperationId { get; init; }

    /// <summary>Its new place, 0 for the first; beyond the last means the last.</summary>
    public required int Place { get; init; }

    public override string Label(Project before) => $"Reorder the operations of {ElementName(before)}";

    private protected override Result<Project> Change(Project project, Element element)
    {
        var index = IndexOf(element, OperationId);
        if (index < 0)
        {
            return NoOperation(element, OperationId);
        }
        if (Place < 0)
        {
            return new Refusal("place-out-of-range", "place", "There is no place before the first operation.");
        }
        var rest = element.Operations.RemoveAt(index);
        return project.With(
            element with
            {
                Operations = rest.Insert(Math.Min(Place, rest.Length), element.Operations[index]),
            }
        );
    }
}
