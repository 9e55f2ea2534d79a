using System.Text.Json.Serialization;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>An edit of how one cloth is cut.</summary>
public abstract record ClothCutEdit : Edit
{
    public required string ClothId { get; init; }

    /// <summary>True for what is so of the cutter and the hands, and not of one project: it is remembered.</summary>
    [JsonIgnore]
    public virtual bool IsOfTheCutter => false;

    public sealed override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.FindCloth(ClothId) is null)
        {
            return EditRefusals.NoCloth(ClothId);
        }
        return Change(project.Cut.Of(ClothId), project, context)
            .Then(changed =>
                CutLimits.Check(changed) is { } refusal
                    ? (Result<Project>)refusal
                    : project with
                    {
                        Cut = project.Cut.With(changed),
                    }
            );
    }

    /// <summary>The cloth's settings after the change, or why it can't be made; their numbers are checked afterwards.</summary>
    private protected abstract Result<ClothCut> Change(ClothCut cut, Project project, EditContext context);

    private protected string ClothName(Project project) => project.FindCloth(ClothId)?.Name ?? "cloth";
}
