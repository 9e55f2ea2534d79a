using System.Collections.Immutable;

namespace Ullet.Server.Help;

/// <summary>What a key, or a hand with a key held, does.</summary>
public sealed record KeyRow(string Keys, string What);

/// <summary>All keys, a row each: the keys' panel and the help read them here.</summary>
public static class KeyTable
{
    public static readonly ImmutableArray<KeyRow> All =
    [
        new("Arrows", "Move what is selected, or the chosen letter, by 1 mm; with Shift 10, with Alt 0.1"),
        new("/ or Ctrl+K", "Search for what to do, projects and help"),
        new("F1", "Open the help"),
        new("Delete", "Delete what is selected"),
        new("Ctrl+Z · Ctrl+Y", "Undo · redo"),
        new("Ctrl+C · Ctrl+X · Ctrl+V", "Copy, cut out, paste; from project to project too"),
        new("Ctrl+D", "Duplicate"),
        new("Ctrl+G · Ctrl+Shift+G", "Group · take the group apart"),
        new("Ctrl+A", "Select everything"),
        new("Tab", "On the wall: select the next element"),
        new("Shift+F10, right button", "What can be done with the selection"),
        new("Double click", "Into a group, or one letter of words"),
        new("T", "Set new words; Ctrl+Enter sets them"),
        new("Tab · Alt+Enter in words", "The next words · more words like these"),
        new("L", "Select the next element like this one"),
        new("M", "Measure"),
        new("P", "Draw with the pen"),
        new("N", "Edit the nodes of what is selected"),
        new("Wheel or pinch", "Zoom at the pointer"),
        new("Space or middle button", "Drag the wall"),
        new("0 · 1", "Fit the hoop · true size"),
        new("+ · −", "Zoom in · out"),
        new("Shift while scaling", "Free the proportions when locked, lock them when free"),
        new("Alt while dragging", "Past the guides; turning: freely instead of in steps of 15°"),
        new("Shift+Enter in the stack", "Add to what is selected, or take from it"),
        new("Alt+↑ · Alt+↓ in the stack", "Up · down the stack"),
        new("Page up · Page down · R", "On the mat: choose a shape (arrows move it), turn it by a quarter"),
        new("F2 on the shelf", "Rename the project"),
        new("Escape", "Let go, then select nothing"),
        new("?", "These keys"),
    ];
}
