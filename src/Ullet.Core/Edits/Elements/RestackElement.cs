using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Moves an element up or down the stack.</summary>
public sealed record RestackElement : Edit
{
    public required string ElementId { get; init; }

    /// <summary>The place it gets, 0 at the bottom; beyond the top means the top.</summary>
    public required int Place { get; init; }

    public override string Label(Project before) => $"Restack {NameOf(before, [ElementId])}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Find(ElementId) is not { } element)
        {
            return EditRefusals.NoElement(ElementId);
        }
        if (element.IsLocked)
        {
            return EditRefusals.Locked(element);
        }
        if (Place < 0)
        {
            return new Refusal("place-out-of-range", "place", "The stack has no place below its bottom.");
        }
        var rest = project.Elements.Remove(element);
        return project with { Elements = rest.Insert(Math.Min(Place, rest.Length), element) };
    }
}
