using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Hides elements on the wall, or shows them again; they are sewn and cut all the same.</summary>
public sealed record HideElements : StateEdit
{
    public required bool Hidden { get; init; }

    public override string Label(Project before) => $"{(Hidden ? "Hide" : "Show")} {NameOf(before, ElementIds)}";

    private protected override Element Changed(Element element) => element with { IsHidden = Hidden };
}
