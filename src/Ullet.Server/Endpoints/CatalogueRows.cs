using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;

namespace Ullet.Server.Endpoints;

/// <summary>A hoop of the trade.</summary>
/// <param name="Name">By its field, mm: "130 × 180".</param>
/// <param name="FieldWidth">mm.</param>
/// <param name="FieldHeight">mm.</param>
/// <param name="Inches">What its owners call it in inches: "5 × 7".</param>
public sealed record HoopChoice(string Name, double FieldWidth, double FieldHeight, string? Inches);

/// <summary>Something that elements have in common.</summary>
/// <param name="Id">Its word in requests.</param>
/// <param name="Name">What a person calls it.</param>
/// <param name="Source">Where its values come from.</param>
/// <param name="Choices">What can be chosen, where that does not change from project to project.</param>
/// <param name="SelectsBy">True where elements that share it can be selected together.</param>
/// <param name="CanBeSet">False for what is only told.</param>
public sealed record TraitRow(
    string Id,
    string Name,
    TraitSource Source,
    ImmutableArray<TraitChoice> Choices,
    bool SelectsBy,
    bool CanBeSet
);

/// <summary>A kind of zone.</summary>
/// <param name="Role">The kind.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Summary">What it does, in a sentence.</param>
public sealed record ZoneChoice(ZoneRole Role, string Name, string Summary);

/// <summary>What keeps a laid cloth in place.</summary>
public sealed record HoldingChoice(Holding Id, string Name);

/// <summary>What a layer may be to the finished thing.</summary>
public sealed record LayerRoleChoice(LayerRole Id, string Name);

/// <summary>What may be put into a seam, and how it begins.</summary>
public sealed record InsertChoice(InsertKind Id, string Name, UserInsert Begun);

/// <summary>A side of a seam.</summary>
public sealed record InsertSideChoice(InsertSide Id, string Name);

/// <summary>What keeps the ground on the stabiliser.</summary>
public sealed record GroundHoldChoice(GroundHold Id, string Name);

/// <summary>A stitch of a tack-down.</summary>
public sealed record TackChoice(TackKind Id, string Name);

/// <summary>A format of cut files.</summary>
/// <param name="Id">The format.</param>
/// <param name="Name">What it is called.</param>
/// <param name="About">What it is for, in a few words.</param>
/// <param name="Ending">How its files end.</param>
/// <param name="IsRunByCutter">True when the stand-in cutter can run it.</param>
public sealed record CutFormatChoice(CutFormat Id, string Name, string About, string Ending, bool IsRunByCutter);

/// <summary>What may be made of a form.</summary>
/// <param name="Kind">Its word in requests.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Summary">What it is, in a sentence.</param>
public sealed record MakingChoice(string Kind, string Name, string Summary);

/// <summary>A format of stitch files.</summary>
/// <param name="Ending">How its files end.</param>
/// <param name="Name">What it is called.</param>
/// <param name="About">What it is for, in a sentence.</param>
public sealed record StitchFormatChoice(string Ending, string Name, string About);

/// <summary>A print that ships with Ullet, to lie on the mat.</summary>
/// <param name="Id">Names it in documents.</param>
/// <param name="Name">What it shows.</param>
/// <param name="Width">How much cloth it shows across, mm.</param>
public sealed record MatPrint(string Id, string Name, double Width);

/// <summary>A kind of cover.</summary>
/// <param name="Id">The kind.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Summary">What it is for, in a sentence.</param>
public sealed record CoverChoiceDto(CoverKind Id, string Name, string Summary);

/// <summary>A decorative unit.</summary>
/// <param name="Id">Names it in documents.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Length">Its usual length, mm.</param>
/// <param name="Path">Three of it in a row as SVG path data, 36 wide and 12 high.</param>
public sealed record MotifChoice(string Id, string Name, double Length, string Path);

/// <summary>A kind of cloth with what its preset says.</summary>
/// <param name="Use">What it is used as.</param>
public sealed record ClothChoice(
    ClothKind Id,
    string Name,
    ClothUse Use,
    string Stabiliser,
    string? Topping,
    string Needle
);

/// <summary>A kind of hand step.</summary>
/// <param name="Id">The kind.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Sentence">What hands do.</param>
/// <param name="Lays">True where a cloth may come into the hoop with it.</param>
/// <param name="LaysBehind">True where it is laid on the hoop's back.</param>
/// <param name="TakesAway">True where a layer goes out of the hoop with it.</param>
/// <param name="HoopOff">True where the hoop usually comes off for it.</param>
public sealed record HandChoice(
    HandKind Id,
    string Name,
    string Sentence,
    bool Lays,
    bool LaysBehind,
    bool TakesAway,
    bool Folds,
    bool HoopOff
);

/// <summary>A stage of a method as it is called there.</summary>
/// <param name="Role">The stage.</param>
/// <param name="Name">What the method calls it.</param>
/// <param name="Why">What it is for, in a few words.</param>
/// <param name="About">What happens in it, for somebody who meets it for the first time.</param>
/// <param name="IsOfCovers">True for what is sewn with the thread of covers where none is set.</param>
/// <param name="HoldsCloth">True for what holds cloth down, inside its edge.</param>
/// <param name="ChoosesStitch">True where the stitch that holds it is chosen.</param>
public sealed record StageChoice(
    StageId Role,
    string Name,
    string Why,
    string About,
    bool IsOfCovers,
    bool HoldsCloth,
    bool ChoosesStitch
);

/// <param name="Name">What it is called.</param>
/// <param name="Shape">The generator with its usual numbers.</param>
/// <param name="Path">Its outline in a square of <see cref="Side"/>, about the square's middle.</param>
public sealed record ShapeChoice(string Name, ShapeSource Shape, string Path)
{
    internal const double Side = 32;
}

/// <param name="Id">The method.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Summary">What it is for, in a sentence.</param>
/// <param name="Stages">Its stages in order.</param>
/// <param name="CutsToSize">True when the piece is cut to its finished size.</param>
/// <param name="Lays">True when hands lay the cloth, so that what holds it matters.</param>
/// <param name="CutWords">What it wants cut, in two words.</param>
/// <param name="OnlyCover">The only cover that it can have, or null.</param>
public sealed record MethodChoice(
    Method Id,
    string Name,
    string Summary,
    ImmutableArray<StageChoice> Stages,
    bool CutsToSize,
    bool Lays,
    string CutWords,
    CoverKind? OnlyCover
);

public sealed record NumberRange(double Least, double Most, double Usual);
