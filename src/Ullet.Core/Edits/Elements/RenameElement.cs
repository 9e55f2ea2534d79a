using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

public sealed record RenameElement : Edit
{
    public required string ElementId { get; init; }

    public required string Name { get; init; }

    public override string Label(Project before) => $"Rename {NameOf(before, [ElementId])}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.Find(ElementId) is not { } element)
        {
            return EditRefusals.NoElement(ElementId);
        }
        return Limits.CheckName(Name, "The element") is { } refusal
            ? refusal
            : project.With(element with { Name = Name.Trim() });
    }
}
