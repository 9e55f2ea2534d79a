using System.Collections.Immutable;

namespace Ullet.Server.Help;

/// <summary>What can be done with what is selected on the wall.</summary>
internal static class SelectionVerbs
{
    internal static readonly ImmutableArray<VerbRow> All =
    [
        new(
            VerbId.Copy,
            "Copy",
            "clip",
            "Ctrl+C",
            VerbPlace.Selection,
            "Copies what is selected, for other projects too."
        ),
        new(
            VerbId.Cut,
            "Cut out and keep",
            "clip move",
            "Ctrl+X",
            VerbPlace.Selection,
            "Copies what is selected and takes it away."
        ),
        new(
            VerbId.Duplicate,
            "Duplicate",
            "twice again",
            "Ctrl+D",
            VerbPlace.Selection,
            "Lays the same again beside it."
        ),
        new(
            VerbId.Remove,
            "Delete",
            "take away",
            "Delete",
            VerbPlace.Selection,
            "Deletes what is selected with all its stages."
        ),
        new(
            VerbId.Up,
            "Up the stack",
            "above front",
            "Alt+↑ in the stack",
            VerbPlace.Selection,
            "Lays an element over the next one."
        ),
        new(
            VerbId.Down,
            "Down the stack",
            "below back",
            "Alt+↓ in the stack",
            VerbPlace.Selection,
            "Lays an element under the next one."
        ),
        new(VerbId.Group, "Group", "together", "Ctrl+G", VerbPlace.Selection, "Makes one of several elements."),
        new(
            VerbId.Ungroup,
            "Take the group apart",
            "separate",
            "Ctrl+Shift+G",
            VerbPlace.Selection,
            "Makes single elements of a group."
        ),
        new(
            VerbId.Lock,
            "Lock or unlock",
            "fix",
            "",
            VerbPlace.Selection,
            "Keeps an element from being changed, or lets it."
        ),
        new(
            VerbId.Hide,
            "Hide or show",
            "see",
            "",
            VerbPlace.Selection,
            "Takes an element out of sight; it is sewn all the same."
        ),
        new(
            VerbId.Construction,
            "Make a construction shape",
            "helper carve",
            "",
            VerbPlace.Selection,
            "Makes a shape that is neither sewn nor cut, or has it sewn again."
        ),
        new(
            VerbId.FlipAcross,
            "Flip left to right",
            "mirror",
            "",
            VerbPlace.Selection,
            "Mirrors what is selected across."
        ),
        new(VerbId.FlipDown, "Flip top to bottom", "mirror", "", VerbPlace.Selection, "Mirrors what is selected down."),
        new(
            VerbId.Centre,
            "Centre in the hoop",
            "middle",
            "",
            VerbPlace.Selection,
            "Brings what is selected to the middle as one."
        ),
        new(
            VerbId.KeepPart,
            "Keep as a part",
            "save reuse",
            "",
            VerbPlace.Selection,
            "Keeps what is selected with its steps and hands for other projects."
        ),
    ];
}
