using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Locks elements against moving, resizing and deleting, or unlocks them.</summary>
public sealed record LockElements : StateEdit
{
    public required bool Locked { get; init; }

    public override string Label(Project before) => $"{(Locked ? "Lock" : "Unlock")} {NameOf(before, ElementIds)}";

    private protected override Element Changed(Element element) => element with { IsLocked = Locked };
}
