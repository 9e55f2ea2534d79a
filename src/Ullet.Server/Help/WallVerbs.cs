using System.Collections.Immutable;

namespace Ullet.Server.Help;

/// <summary>What can be done on the wall.</summary>
internal static class WallVerbs
{
    internal static readonly ImmutableArray<VerbRow> All =
    [
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
    ];
}
