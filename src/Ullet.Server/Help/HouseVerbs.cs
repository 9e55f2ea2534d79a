using System.Collections.Immutable;

namespace Ullet.Server.Help;

/// <summary>What can be done anywhere, on the shelf too.</summary>
internal static class HouseVerbs
{
    internal static readonly ImmutableArray<VerbRow> All =
    [
        new(
            VerbId.ToShelf,
            "Go to the shelf",
            "projects all home",
            "",
            VerbPlace.Everywhere,
            "Opens the shelf with all projects."
        ),
        new(
            VerbId.ToStash,
            "Go to the stash",
            "cloths threads own",
            "",
            VerbPlace.Everywhere,
            "Opens the cloths and threads that you own."
        ),
        new(VerbId.ToHelp, "Open the help", "explain what is how", "", VerbPlace.Everywhere, "Opens the help."),
        new(VerbId.ShowKeys, "Show the keys", "shortcuts keyboard", "?", VerbPlace.Everywhere, "Lists all keys."),
        new(
            VerbId.NewProject,
            "New project",
            "begin blank start",
            "",
            VerbPlace.Everywhere,
            "Begins a project in a hoop of your choice."
        ),
        new(
            VerbId.FromPattern,
            "New from a pattern",
            "begin pouch patch rug",
            "",
            VerbPlace.Everywhere,
            "Begins with a pattern that is sewn whole inside the hoop."
        ),
        new(
            VerbId.OpenFile,
            "Open a project file",
            "import ullet",
            "",
            VerbPlace.Everywhere,
            "Opens a .ullet file as a project."
        ),
        new(
            VerbId.OpenBin,
            "Open the bin",
            "deleted thrown away restore",
            "",
            VerbPlace.Everywhere,
            "Shows what was thrown away; it can be put back for 30 days."
        ),
        new(
            VerbId.MakeRoom,
            "Make room",
            "clear disk space",
            "",
            VerbPlace.Everywhere,
            "Tells what takes room in the data folder, and clears some."
        ),
    ];
}
