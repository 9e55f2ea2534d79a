using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives the order of the steps back to the planner; held steps are let go.</summary>
public sealed record PlanOrder : Edit
{
    public override string Label(Project before) => "Let Ullet order the steps";

    public override Result<Project> Apply(Project project, EditContext context) =>
        project with
        {
            RunSheet = project.RunSheet with
            {
                Sequence = [],
                Steps =
                [
                    .. project.RunSheet.Steps.Select(step => step with { IsHeld = false }).Where(step => !step.IsNone),
                ],
            },
        };
}
