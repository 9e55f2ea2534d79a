using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Cuts a cloth's shapes mirrored, or not.</summary>
public sealed record MirrorCloth : Edit
{
    public required string ClothId { get; init; }

    public required bool Mirrored { get; init; }

    public override string Label(Project before)
    {
        var cloth = before.FindCloth(ClothId)?.Name ?? "cloth";
        return Mirrored ? $"Mirror the cut of {cloth}" : $"Cut {cloth} unmirrored";
    }

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.FindCloth(ClothId) is null)
        {
            return EditRefusals.NoCloth(ClothId);
        }
        var rest = project.Cut.MirroredClothIds.Remove(ClothId);
        return project with { Cut = project.Cut with { MirroredClothIds = Mirrored ? rest.Add(ClothId) : rest } };
    }
}
