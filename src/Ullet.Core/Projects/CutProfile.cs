using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>The blade of a cutter.</summary>
public enum BladeKind
{
    /// <summary>Trails behind its axis and turns by itself.</summary>
    Drag,

    /// <summary>A wheel: it goes round no bend that is too tight.</summary>
    Rotary,
}

/// <summary>How a kind of material is cut.</summary>
/// <param name="Name">What is cut.</param>
/// <param name="Blade">The blade.</param>
/// <param name="Depth">How far the blade reaches below its holder, mm.</param>
/// <param name="Pressure">Share of the cutter's strength, 0 to 1.</param>
/// <param name="Speed">mm/s.</param>
/// <param name="Passes">How often each line is cut.</param>
/// <param name="SmallestFeature">The narrowest part or hole that comes out clean, mm.</param>
/// <param name="LeastRadius">The tightest bend, mm; 0 for a drag blade.</param>
public sealed record CutProfile(
    string Name,
    BladeKind Blade,
    double Depth,
    double Pressure,
    double Speed,
    int Passes,
    double SmallestFeature,
    double LeastRadius = 0
);

/// <summary>The generic profiles; each may be changed for a cloth.</summary>
/// <remarks>Source: what small cutters of any make are usually set to; a test cut decides.</remarks>
public static class CutProfiles
{
    public static readonly CutProfile Cotton = new("Cotton with fusible", BladeKind.Drag, 0.7, 0.45, 60, 1, 3);

    public static readonly CutProfile Felt = new("Felt", BladeKind.Rotary, 2.0, 0.8, 40, 1, 6, 3);

    public static readonly CutProfile Vinyl = new("Vinyl", BladeKind.Drag, 1.2, 0.6, 40, 2, 3);

    public static readonly CutProfile Film = new("Iron-on film", BladeKind.Drag, 0.3, 0.3, 80, 1, 1.5);

    public static readonly CutProfile Twill = new("Twill", BladeKind.Drag, 0.9, 0.6, 50, 2, 4);

    public static readonly CutProfile Card = new("Card", BladeKind.Drag, 0.6, 0.5, 80, 1, 2);

    public static readonly ImmutableArray<CutProfile> All = [Cotton, Felt, Vinyl, Film, Twill, Card];

    /// <summary>The profile of a cloth for which none was chosen.</summary>
    public static CutProfile For(ClothKind kind) =>
        kind switch
        {
            ClothKind.Felt or ClothKind.Fleece or ClothKind.Batting => Felt,
            ClothKind.Vinyl or ClothKind.Cork => Vinyl,
            ClothKind.Film or ClothKind.IronOnFilm => Film,
            ClothKind.Denim or ClothKind.Twill or ClothKind.Canvas => Twill,
            ClothKind.WovenCotton
            or ClothKind.Linen
            or ClothKind.Stabiliser
            or ClothKind.Jersey
            or ClothKind.Organza
            or ClothKind.CutAway
            or ClothKind.Mesh
            or ClothKind.WashAway
            or ClothKind.Zip => Cotton,
        };
}
