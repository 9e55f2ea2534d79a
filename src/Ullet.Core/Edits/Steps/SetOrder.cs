using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sews the pieces one by one, or together stage by stage.</summary>
public sealed record SetOrder : Edit
{
    public required StitchOrder Order { get; init; }

    public override string Label(Project before) =>
        Order == StitchOrder.Together ? "Sew the pieces together" : "Sew the pieces one by one";

    public override Result<Project> Apply(Project project, EditContext context) =>
        project with
        {
            RunSheet = project.RunSheet with { Order = Order },
        };
}
