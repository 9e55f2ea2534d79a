using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Sketches;

/// <summary>How a small drawing is set on the wall.</summary>
public enum SketchWay
{
    /// <summary>Its bodies are appliqué, its details thread.</summary>
    Cloth,

    /// <summary>Its bodies are filled with rows, its details are strokes.</summary>
    Thread,

    /// <summary>Everything is a line.</summary>
    Line,
}

/// <summary>A part of a small drawing, on a square of 100 units.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Role">Whether the drawing can do without.</param>
/// <param name="Colour">Its colour.</param>
/// <param name="Shape">Its outline.</param>
/// <param name="Box">Where it stands, units from the square's middle.</param>
/// <param name="Turn">Direction of its rows, degrees clockwise on screen from the right.</param>
public sealed record SketchPart(
    string Name,
    SketchRole Role,
    SketchColour Colour,
    ShapeSource Shape,
    ElementBox Box,
    double Turn
) : SketchNature(Name, Role, Colour, Turn);

/// <summary>A small drawing: parts from the lowest to the topmost.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">What it shows.</param>
/// <param name="Words">Other words by which it is found.</param>
/// <param name="Parts">From the lowest to the topmost.</param>
public sealed record Sketch(string Id, string Name, string Words, ImmutableArray<SketchPart> Parts)
{
    /// <summary>True when each word of a search stands in its name or its words; a search without words finds all.</summary>
    public bool Answers(string search) => SearchText.Answers(search, Name, Words);
}
