using Ullet.Core.Projects;

namespace Ullet.Core.Sketches;

/// <summary>The colours of small drawings.</summary>
internal static class SketchColours
{
    internal static readonly SketchColour Leaf = new("leaf", "leaf green", "#6f8f3f");
    internal static readonly SketchColour Pea = new("pea", "pea green", "#a9bf5f");
    internal static readonly SketchColour Beetroot = new("beet", "beetroot", "#97304f");
    internal static readonly SketchColour Straw = new("straw", "straw yellow", "#d9a93c");
    internal static readonly SketchColour Carrot = new("carrot", "carrot orange", "#d9762b");
    internal static readonly SketchColour Tomato = new("tomato", "tomato red", "#bf3b2b");
    internal static readonly SketchColour Bark = new("bark", "bark brown", "#6b4a32");
    internal static readonly SketchColour Earth = new("earth", "earth brown", "#9a7350");
    internal static readonly SketchColour Soot = new("soot", "soot black", "#2d2a29");
    internal static readonly SketchColour Cream = new("cream", "cream", "#f0e4c9");
    internal static readonly SketchColour Steel = new("steel", "steel grey", "#8b979c");
    internal static readonly SketchColour Clay = new("clay", "clay pot", "#b5653f");
    internal static readonly SketchColour Sky = new("sky", "rain blue", "#5f86a6");
    internal static readonly SketchColour Mist = new("mist", "mist grey", "#c3ced4");
    internal static readonly SketchColour Rose = new("rose", "radish pink", "#cf4f74");
}
