using System.Text.Json.Serialization;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Which part of which small drawing an element is.</summary>
/// <param name="SketchId">The drawing.</param>
/// <param name="Part">The part's number, from the lowest.</param>
public sealed record SketchUse(string SketchId, int Part)
{
    /// <summary>What the part is in a drawing that a person put on the shelf: it travels with the project; null for drawings of our own.</summary>
    public SketchNature? Own { get; init; }

    /// <summary>Says what is wrong with what it brings along, or null.</summary>
    public Refusal? Check() =>
        Own is not { } own
            ? null
            : Limits.CheckName(own.Name, "A part of a drawing")
                ?? Limits.CheckName(own.Colour.Name, "A drawing's colour")
                ?? Limits.CheckColour(own.Colour.Colour, "A drawing's colour")
                ?? Limits.CheckName(own.Colour.Id, "A drawing's colour")
                ?? Limits.CheckRange(own.Turn, -360, 360, "degrees", "The rows' direction", "turn");
}

/// <summary>What a part of a small drawing is, its outline left aside.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Role">Whether the drawing can do without.</param>
/// <param name="Colour">Its colour.</param>
/// <param name="Turn">Direction of its rows, degrees clockwise on screen from the right.</param>
public record SketchNature(string Name, SketchRole Role, SketchColour Colour, double Turn);

/// <summary>What a part of a small drawing is to the whole.</summary>
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
    [JsonIgnore]
    public Cloth Cloth =>
        new()
        {
            Id = $"p-{Id}",
            Name = $"{Name} cotton",
            Colour = Colour,
        };

    /// <summary>The thread that areas and lines begin with.</summary>
    [JsonIgnore]
    public MachineThread Thread =>
        new()
        {
            Id = $"d-{Id}",
            Name = Name,
            Colour = Colour,
        };
}
