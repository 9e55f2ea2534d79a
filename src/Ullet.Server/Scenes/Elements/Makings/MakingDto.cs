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
public sealed record CutOnlyMakingDto(string ClothId) : MakingDto;

/// <summary>A region that is never sewn itself.</summary>
/// <param name="Role">What it is for.</param>
/// <param name="From">The number of the step from whose end on it is there; 0 for from the start.</param>
/// <param name="Until">The number of the step with which it goes; null for never.</param>
public sealed record ZoneMakingDto(ZoneRole Role, int From, int? Until) : MakingDto;

/// <summary>Neither sewn nor cut; it only serves other elements' operations.</summary>
/// <param name="Before">What it was made as last, and becomes again; null where it never was anything else.</param>
public sealed record ConstructionMakingDto(MakingDto? Before) : MakingDto;
