using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets blade, depth and speed for a cloth.</summary>
public sealed record SetCutProfile : ClothCutEdit
{
    /// <summary>Null for the generic profile of the cloth's kind.</summary>
    public CutProfile? Profile { get; init; }

    public override bool IsOfTheCutter => true;

    public override string Label(Project before) => $"Change how {ClothName(before)} is cut";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context) =>
        cut with
        {
            Profile = Profile,
        };
}

/// <summary>Sets how exact cutter and hands are with a cloth; the edge match counts with it.</summary>
public sealed record SetTolerances : ClothCutEdit
{
    public required EdgeTolerances Tolerances { get; init; }

    public override bool IsOfTheCutter => true;

    public override string Label(Project before) => $"Change the tolerances of {ClothName(before)}";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context) =>
        cut with
        {
            Tolerances = Tolerances,
        };
}

/// <summary>Lays a photo of the printed cloth on the mat, or takes it away.</summary>
public sealed record SetMatPhoto : ClothCutEdit
{
    public MatPhoto? Photo { get; init; }

    public override string Label(Project before) =>
        Photo is null ? "Take the photo off the mat" : "Lay a photo on the mat";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context) =>
        cut with
        {
            Photo = Photo,
        };
}
