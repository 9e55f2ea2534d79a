using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes.Elements;

/// <summary>What is made of an element's form, as it holds.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ClothMakingDto), "cloth")]
[JsonDerivedType(typeof(LineMakingDto), "line")]
[JsonDerivedType(typeof(BastingMakingDto), "basting")]
[JsonDerivedType(typeof(SatinMakingDto), "satin")]
[JsonDerivedType(typeof(FilledMakingDto), "filled")]
[JsonDerivedType(typeof(OpenedMakingDto), "opened")]
[JsonDerivedType(typeof(CutOnlyMakingDto), "cutOnly")]
[JsonDerivedType(typeof(ZoneMakingDto), "zone")]
[JsonDerivedType(typeof(ConstructionMakingDto), "construction")]
public abstract record MakingDto
{
    /// <summary>The same with its sentences put by a rule.</summary>
    internal virtual MakingDto Worded(Func<string, string> said) => this;
}

/// <summary>A line that is sewn as it is.</summary>
/// <param name="Stitching">How.</param>
/// <param name="Purpose">What it is for in the trade's words; null for a line of no special kind.</param>
public sealed record LineMakingDto(LineSettings Stitching, string? Purpose) : MakingDto;

/// <summary>How basting is sewn, and what it holds.</summary>
/// <param name="StitchLength">mm.</param>
/// <param name="ThreadId">Null for the hooping's thread of lines.</param>
/// <param name="HoldsId">The element whose cloth it holds; null for what is hooped.</param>
public sealed record BastingMakingDto(double StitchLength, string? ThreadId, string? HoldsId) : MakingDto;

/// <summary>Cut out and never sewn.</summary>
/// <param name="ClothId">What it is cut from.</param>
/// <param name="Allowance">How much larger it is cut on every side, mm.</param>
/// <param name="Border">How its edge lies under the opened border that is to cover it; null where there is none.</param>
public sealed record CutOnlyMakingDto(string ClothId, double Allowance, BorderDto? Border) : MakingDto;

/// <summary>A cut edge under an opened border, at its worst place, mm.</summary>
/// <param name="Name">The border.</param>
/// <param name="Bite">How far the border reaches inside the edge; below 0 where it misses it.</param>
/// <param name="Outside">How far it reaches outside.</param>
/// <param name="Covered">The share of the edge that lies under it.</param>
/// <param name="Holds">True where the border hides the edge however it is laid.</param>
public sealed record BorderDto(string Name, double Bite, double Outside, double Covered, bool Holds);

/// <summary>Stitches of a file.</summary>
/// <param name="ThreadId">Null for the project's thread of covers.</param>
/// <param name="Role">What they are for.</param>
/// <param name="Words">The same in words.</param>
/// <param name="IsGuessed">True where nobody has said so yet.</param>
/// <param name="IsUnsure">True where that was guessed and may be wrong.</param>
/// <param name="Look">How they look.</param>
/// <param name="LookWords">The same in words.</param>
/// <param name="FileId">The opening.</param>
/// <param name="FileName">The file's name; null where it is not known.</param>
/// <param name="Asset">The kept file; null where there is none.</param>
/// <param name="Place">Their number in the file, from 1.</param>
/// <param name="IsFree">True where they may be sewn apart from the file's order.</param>
/// <param name="IsResting">True where they are kept and not sewn.</param>
/// <param name="Hands">What hands do before and after, a sentence each.</param>
/// <param name="Sizes">The same design in other sizes.</param>
public sealed record OpenedMakingDto(
    string? ThreadId,
    OpenedRole Role,
    string Words,
    bool IsGuessed,
    bool IsUnsure,
    OpenedLook Look,
    string LookWords,
    string FileId,
    string? FileName,
    string? Asset,
    int Place,
    bool IsFree,
    bool IsResting,
    ImmutableArray<string> Hands,
    ImmutableArray<OpenedSize> Sizes
) : MakingDto;

/// <summary>A region that is never sewn itself.</summary>
/// <param name="Role">What it is for.</param>
/// <param name="From">The number of the step from whose end on it is there; 0 for from the start.</param>
/// <param name="Until">The number of the step with which it goes; null for never.</param>
public sealed record ZoneMakingDto(ZoneRole Role, int From, int? Until) : MakingDto;

/// <summary>Neither sewn nor cut; it only serves other elements' operations.</summary>
/// <param name="Before">What it was made as last, and becomes again; null where it never was anything else.</param>
public sealed record ConstructionMakingDto(MakingDto? Before) : MakingDto;
