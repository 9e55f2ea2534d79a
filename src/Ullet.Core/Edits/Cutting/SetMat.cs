using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets the size of the cutter's mat, of the project or of one cloth alone, mm.</summary>
public sealed record SetMat : Edit
{
    public required double Width { get; init; }

    public required double Height { get; init; }

    /// <summary>Nothing is laid nearer to the edges; null for as it is.</summary>
    public double? Margin { get; init; }

    /// <summary>The cloth that gets a mat of its own; null for the project's mat.</summary>
    public string? ClothId { get; init; }

    public override string Label(Project before) =>
        before.FindCloth(ClothId) is { } cloth ? $"Change the mat of {cloth.Name}" : "Change the mat";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (ClothId is not null && project.FindCloth(ClothId) is null)
        {
            return EditRefusals.NoCloth(ClothId);
        }
        var own = ClothId is null ? null : project.Cut.Of(ClothId);
        var mat = new MatSize(Width, Height, Margin ?? own?.Mat?.Margin ?? project.Cut.MatMargin);
        if (CutLimits.Check(mat) is { } refusal)
        {
            return refusal;
        }
        return project with
        {
            Cut = own is null
                ? project.Cut with
                {
                    MatWidth = mat.Width,
                    MatHeight = mat.Height,
                    MatMargin = mat.Margin,
                }
                : project.Cut.With(own with { Mat = mat }),
        };
    }
}

/// <summary>Takes a cloth's own mat away: the project's serves it again.</summary>
public sealed record ShareMat : ClothCutEdit
{
    public override string Label(Project before) => $"Use the project's mat for {ClothName(before)}";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context) =>
        cut with
        {
            Mat = null,
        };
}
