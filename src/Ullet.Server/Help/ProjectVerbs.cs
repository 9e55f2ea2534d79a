using System.Collections.Immutable;

namespace Ullet.Server.Help;

/// <summary>What can be done in any room of a project.</summary>
internal static class ProjectVerbs
{
    internal static readonly ImmutableArray<VerbRow> All =
    [
        new(VerbId.ToWall, "Go to the wall", "room arrange", "", VerbPlace.Project, "Opens the wall of this project."),
        new(
            VerbId.ToRunSheet,
            "Go to the run sheet",
            "room order steps",
            "",
            VerbPlace.Project,
            "Opens the order of steps."
        ),
        new(
            VerbId.ToCuttingTable,
            "Go to the cutting table",
            "room cut mat",
            "",
            VerbPlace.Project,
            "Opens what is cut."
        ),
        new(VerbId.ToDryRun, "Go to the dry run", "cutter blade", "", VerbPlace.Project, "Opens the stand-in cutter."),
        new(
            VerbId.ToRehearsal,
            "Go to the rehearsal",
            "room machine play",
            "",
            VerbPlace.Project,
            "Opens the stand-in machine."
        ),
        new(
            VerbId.ToOrders,
            "Go to the order book",
            "room names personalise",
            "",
            VerbPlace.Project,
            "Opens the table of orders."
        ),
        new(
            VerbId.ToPacket,
            "Go to the packet",
            "room export files hand over",
            "",
            VerbPlace.Project,
            "Opens what is handed over."
        ),
        new(VerbId.Undo, "Undo", "back", "Ctrl+Z", VerbPlace.Project, "Takes the last change back."),
        new(VerbId.Redo, "Do it again", "redo", "Ctrl+Y", VerbPlace.Project, "Makes an undone change again."),
        new(
            VerbId.OpenHistory,
            "History",
            "states earlier go back versions",
            "",
            VerbPlace.Project,
            "Shows every state as a picture; goes back to one, or names it."
        ),
        new(
            VerbId.MakeVariant,
            "A variant in another size",
            "scale resize set copy",
            "",
            VerbPlace.Project,
            "Makes the same thing in another size, in one set with this one."
        ),
        new(
            VerbId.ChangeUnit,
            "Show mm or inches",
            "unit length",
            "",
            VerbPlace.Project,
            "Shows lengths in the other unit."
        ),
        new(
            VerbId.ChangeHoop,
            "Change the hoop",
            "field size frame",
            "",
            VerbPlace.Project,
            "Chooses another hoop, or one of your own."
        ),
        new(
            VerbId.ShowFindings,
            "Show the findings",
            "checks warnings trouble",
            "",
            VerbPlace.Project,
            "Lists what the checks found, with their mends."
        ),
        new(
            VerbId.PutRight,
            "Put it right",
            "order steps mend planner",
            "",
            VerbPlace.Project,
            "Moves as few steps as it can until the order works."
        ),
        new(
            VerbId.LetOrder,
            "Let Ullet order",
            "planner steps",
            "",
            VerbPlace.Project,
            "Gives up your own order for the planned one."
        ),
        new(
            VerbId.AddHandStep,
            "Add a hand step",
            "pause stop hands lay",
            "",
            VerbPlace.Project,
            "Puts a step for the hands into the run sheet."
        ),
        new(
            VerbId.MakePacket,
            "Make the packet",
            "export zip all files",
            "",
            VerbPlace.Project,
            "Hands out everything in one folder."
        ),
        new(
            VerbId.SaveStitchFile,
            "Save the stitch file",
            "export download machine",
            "",
            VerbPlace.Project,
            "Hands out the stitch list."
        ),
        new(
            VerbId.SaveBooklet,
            "Save the booklet",
            "export instructions pdf print",
            "",
            VerbPlace.Project,
            "Hands out the booklet on A4."
        ),
        new(
            VerbId.SaveProject,
            "Save the project file",
            "export ullet backup",
            "",
            VerbPlace.Project,
            "Hands out the whole project as a .ullet file."
        ),
        new(VerbId.NewCloth, "New cloth", "fabric add", "", VerbPlace.Project, "Adds a cloth to this project."),
        new(VerbId.NewThread, "New thread", "colour add", "", VerbPlace.Project, "Adds a thread to this project."),
        new(
            VerbId.TakeCloth,
            "Take a cloth from the stash",
            "fabric own",
            "",
            VerbPlace.Project,
            "Takes a copy of a cloth that you own."
        ),
        new(
            VerbId.TakeThread,
            "Take a thread from the stash",
            "colour own",
            "",
            VerbPlace.Project,
            "Takes a copy of a thread that you own."
        ),
    ];
}
