using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes.Elements;

/// <summary>Where an element's outline comes from.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ShapeFormDto), "shape")]
[JsonDerivedType(typeof(DrawingFormDto), "drawing")]
[JsonDerivedType(typeof(TextFormDto), "words")]
[JsonDerivedType(typeof(OpenedFormDto), "opened")]
public abstract record FormDto;

/// <summary>A generator with its numbers.</summary>
/// <param name="Shape">The generator.</param>
/// <param name="Hole">Its only hole, or null.</param>
/// <param name="HoleCount">How many holes it has.</param>
public sealed record ShapeFormDto(ShapeSource Shape, PieceHole? Hole, int HoleCount) : FormDto;

/// <summary>Lines with nodes; they are asked for apart.</summary>
/// <param name="IsOpen">True when a line does not end where it starts.</param>
/// <param name="Hole">The only hole that is given apart from the lines, or null.</param>
/// <param name="HoleCount">How many holes are given apart from the lines.</param>
public sealed record DrawingFormDto(bool IsOpen, PieceHole? Hole, int HoleCount) : FormDto;

/// <summary>Needle points of a file.</summary>
/// <param name="Stitches">How many there are.</param>
/// <param name="Trims">How often the thread is cut.</param>
/// <param name="Jumps">How often it jumps.</param>
/// <param name="Across">How much wider they stand than in the file.</param>
/// <param name="Down">How much taller.</param>
public sealed record OpenedFormDto(int Stitches, int Trims, int Jumps, double Across, double Down) : FormDto;

/// <summary>Live text.</summary>
/// <param name="Text">The words.</param>
/// <param name="FontId">Their font.</param>
/// <param name="FontName">Its name; null when it is not there.</param>
/// <param name="Sizing">Which number stays when words change.</param>
/// <param name="NarrowedTo">How far letters may be narrowed to fit into their box, share of their width; null where they are stretched.</param>
/// <param name="CapHeight">mm; 0 without the font.</param>
/// <param name="Align">Which edge lines share.</param>
/// <param name="LineSpacing">Over the font's own.</param>
/// <param name="Spacing">Share of the cap height.</param>
/// <param name="Slant">Degrees.</param>
/// <param name="Arc">Degrees.</param>
/// <param name="IsOnePiece">True when all letters are one piece, false when each is a piece of its own.</param>
/// <param name="Letters">Every letter with ink.</param>
public sealed record TextFormDto(
    string Text,
    string FontId,
    string? FontName,
    LetterSizing Sizing,
    double? NarrowedTo,
    double CapHeight,
    TextAlign Align,
    double LineSpacing,
    double Spacing,
    double Slant,
    double Arc,
    bool IsOnePiece,
    ImmutableArray<LetterDto> Letters
) : FormDto;

/// <summary>One letter and what was changed at it; lengths in mm.</summary>
/// <param name="Index">Its number in the text.</param>
/// <param name="Text">The letter.</param>
/// <param name="X">Moved to the right.</param>
/// <param name="Y">Moved down.</param>
/// <param name="Turn">Degrees.</param>
/// <param name="Scale">Over the other letters' size.</param>
/// <param name="GapAfter">Added to the gap after it.</param>
/// <param name="IsTouched">True when anything was changed.</param>
/// <param name="Path">Its edge on the wall.</param>
public sealed record LetterDto(
    int Index,
    string Text,
    double X,
    double Y,
    double Turn,
    double Scale,
    double GapAfter,
    bool IsTouched,
    string Path
);
