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
