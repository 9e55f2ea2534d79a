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

/// <summary>What a part of a small drawing is.</summary>
public enum SketchRole
{
    /// <summary>An area that the drawing can't do without.</summary>
    Body,

    /// <summary>A small area on top: an eye, a band; left out where it would be too small.</summary>
    Detail,

    /// <summary>An open line: a leg, a vein; left out where it would be too short.</summary>
    Stroke,
}

/// <summary>A colour of small drawings, as cloth and as thread.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">In words.</param>
/// <param name="Colour">#rrggbb.</param>
public sealed record SketchColour(string Id, string Name, string Colour)
{
    /// <summary>The cloth that a body begins with.</summary>
    public Cloth Cloth =>
        new()
        {
            Id = $"p-{Id}",
            Name = $"{Name} cotton",
            Colour = Colour,
        };

    /// <summary>The thread that areas and lines begin with.</summary>
    public MachineThread Thread =>
        new()
        {
            Id = $"d-{Id}",
            Name = Name,
            Colour = Colour,
        };
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
);

/// <summary>A small drawing of our own: parts from the lowest to the topmost.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Name">What it shows.</param>
/// <param name="Words">Other words by which it is found.</param>
/// <param name="Parts">From the lowest to the topmost.</param>
public sealed record Sketch(string Id, string Name, string Words, ImmutableArray<SketchPart> Parts)
{
    /// <summary>True when each word of a search stands in its name or its words; a search without words finds all.</summary>
    public bool Answers(string search) =>
        search
            .Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .All(word => $"{Name} {Words}".Contains(word, StringComparison.OrdinalIgnoreCase));
}
