using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

public sealed record RenameProject : Edit
{
    public required string Title { get; init; }

    public override string Label(Project before) => "Rename the project";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Limits.CheckName(Title, "The project") is { } refusal ? refusal : project with { Title = Title.Trim() };
}
