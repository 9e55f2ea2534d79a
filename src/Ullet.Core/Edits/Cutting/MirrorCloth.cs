using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Says how a cloth lies on the mat; what is not face up is cut mirrored.</summary>
public sealed record MirrorCloth : ClothCutEdit
{
    public required Lying Lies { get; init; }

    public override string Label(Project before) =>
        Lies == Lying.FaceUp ? $"Cut {ClothName(before)} unmirrored" : $"Mirror the cut of {ClothName(before)}";

    private protected override Result<ClothCut> Change(ClothCut cut, Project project, EditContext context) =>
        cut with
        {
            Lies = Lies,
        };
}
