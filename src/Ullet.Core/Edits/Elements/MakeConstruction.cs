using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Makes elements construction shapes, which are neither sewn nor cut, or has them sewn again.</summary>
public sealed record MakeConstruction : StateEdit
{
    public required bool IsConstruction { get; init; }

    public override string Label(Project before) =>
        $"{(IsConstruction ? "Make a construction shape of" : "Sew")} {NameOf(before, ElementIds)}";

    private protected override bool MayBeLocked => false;

    private protected override Element Changed(Element element) =>
        IsConstruction ? Construction.Of(element) : Construction.Sewn(element);
}
