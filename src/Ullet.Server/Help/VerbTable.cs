using System.Collections.Immutable;

namespace Ullet.Server.Help;

/// <summary>Something that can be done; the search box, the keys and the help go by it.</summary>
public enum VerbId
{
    ToShelf,
    ToStash,
    ToHelp,
    ShowKeys,
    NewProject,
    FromPattern,
    OpenFile,
    OpenBin,
    MakeRoom,
    ToWall,
    ToRunSheet,
    ToCuttingTable,
    ToDryRun,
    ToRehearsal,
    ToOrders,
    ToPacket,
    Undo,
    Redo,
    OpenHistory,
    MakeVariant,
    ChangeUnit,
    ChangeHoop,
    ShowFindings,
    PutRight,
    LetOrder,
    AddHandStep,
    MakePacket,
    SaveStitchFile,
    SaveBooklet,
    SaveProject,
    NewCloth,
    NewThread,
    TakeCloth,
    TakeThread,
    AddShape,
    SetLetters,
    AddDrawing,
    DrawPen,
    DrawByHand,
    ImportDrawing,
    OpenStitches,
    CompareStitches,
    OpenParts,
    Measure,
    AddZone,
    MapDensity,
    MapCoverage,
    MockUp,
    FitHoop,
    TrueSize,
    ZoomIn,
    ZoomOut,
    AddBasting,
    SelectAll,
    Paste,
    Copy,
    Cut,
    Duplicate,
    Remove,
    Up,
    Down,
    Group,
    Ungroup,
    Lock,
    Hide,
    Construction,
    FlipAcross,
    FlipDown,
    Centre,
    KeepPart,
}

/// <summary>Where a verb can be used.</summary>
public enum VerbPlace
{
    /// <summary>Anywhere, on the shelf too.</summary>
    Everywhere,

    /// <summary>In any room of a project.</summary>
    Project,

    /// <summary>With something selected on the wall.</summary>
    Selection,
}

/// <summary>What can be done, in words.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Words">Other words by which it is found.</param>
/// <param name="Keys">The keys that do it; empty without.</param>
/// <param name="Place">Where it can be used.</param>
/// <param name="About">What it does, a sentence.</param>
public sealed record VerbRow(VerbId Id, string Name, string Words, string Keys, VerbPlace Place, string About);

/// <summary>All that can be done, a row each.</summary>
public static class VerbTable
{
    public static readonly ImmutableArray<VerbRow> All =
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
        new(
            VerbId.AddShape,
            "Add a shape",
            "piece circle heart star",
            "",
            VerbPlace.Project,
            "Lays one of the ready shapes on the wall."
        ),
        new(
            VerbId.SetLetters,
            "Set letters",
            "text words name font",
            "T",
            VerbPlace.Project,
            "Sets live text in a font, in cloth or in thread."
        ),
        new(
            VerbId.AddDrawing,
            "Add a small drawing",
            "motif vegetable tool picture",
            "",
            VerbPlace.Project,
            "Sets one of the small drawings in cloth, in thread or in line."
        ),
        new(
            VerbId.DrawPen,
            "Draw with the pen",
            "nodes outline line",
            "P",
            VerbPlace.Project,
            "Draws an outline or a line node by node."
        ),
        new(
            VerbId.DrawByHand,
            "Draw by hand",
            "freehand pencil",
            "",
            VerbPlace.Project,
            "Draws a line as the hand goes."
        ),
        new(
            VerbId.ImportDrawing,
            "Import a drawing",
            "svg dxf file",
            "",
            VerbPlace.Project,
            "Brings in an SVG or DXF file at its true size."
        ),
        new(
            VerbId.OpenStitches,
            "Open a stitch file",
            "import design",
            "",
            VerbPlace.Project,
            "Opens stitches that somebody else made."
        ),
        new(
            VerbId.CompareStitches,
            "Compare stitch files",
            "difference",
            "",
            VerbPlace.Project,
            "Shows two stitch files side by side."
        ),
        new(
            VerbId.OpenParts,
            "Shelf of parts",
            "kept drop",
            "",
            VerbPlace.Project,
            "Shows the parts that are kept, to drop one here."
        ),
        new(VerbId.Measure, "Measure", "distance gap ruler", "M", VerbPlace.Project, "Measures a gap on the wall."),
        new(
            VerbId.AddZone,
            "Add a zone",
            "keep clear stay within",
            "",
            VerbPlace.Project,
            "Marks a region that stitches keep out of, or within."
        ),
        new(
            VerbId.MapDensity,
            "Map of density",
            "piled up",
            "",
            VerbPlace.Project,
            "Shows how densely needle points lie."
        ),
        new(VerbId.MapCoverage, "Map of coverage", "bare", "", VerbPlace.Project, "Shows what thread covers."),
        new(
            VerbId.MockUp,
            "Mock-up",
            "picture finished",
            "",
            VerbPlace.Project,
            "Shows the finished work as a picture."
        ),
        new(VerbId.FitHoop, "Fit the hoop", "zoom whole", "0", VerbPlace.Project, "Shows the whole hoop."),
        new(VerbId.TrueSize, "True size", "zoom ruler 1:1", "1", VerbPlace.Project, "Shows the wall at its true size."),
        new(VerbId.ZoomIn, "Zoom in", "nearer larger", "+", VerbPlace.Project, "Shows the wall larger."),
        new(VerbId.ZoomOut, "Zoom out", "farther smaller", "−", VerbPlace.Project, "Shows the wall smaller."),
        new(
            VerbId.AddBasting,
            "Baste round the design",
            "hold box",
            "",
            VerbPlace.Project,
            "Adds long stitches round the whole design."
        ),
        new(
            VerbId.SelectAll,
            "Select everything",
            "all",
            "Ctrl+A",
            VerbPlace.Project,
            "Selects every element that is neither locked nor hidden."
        ),
        new(VerbId.Paste, "Paste", "insert clip", "Ctrl+V", VerbPlace.Project, "Lays what was copied on the wall."),
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
