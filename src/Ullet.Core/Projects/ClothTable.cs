using System.Collections.Frozen;
using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What is known of a kind of cloth.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="FileWord">Its word in stitch lists, for ever.</param>
/// <param name="Name">Its name in the trade's words.</param>
/// <param name="Use">What it is used as.</param>
public sealed record ClothRow(ClothKind Kind, string FileWord, string Name, ClothUse Use = ClothUse.Surface);

/// <summary>What a kind of cloth is used as.</summary>
public enum ClothUse
{
    /// <summary>Seen in the end: pieces, grounds, panels.</summary>
    Surface,

    /// <summary>Hooped under the work to carry stitches.</summary>
    Stabiliser,

    /// <summary>Neither: filling, a zip.</summary>
    Inner,
}

/// <summary>All kinds of cloth, a row each.</summary>
public static class ClothTable
{
    public static readonly ImmutableArray<ClothRow> All =
    [
        new(ClothKind.WovenCotton, "woven-cotton", "Woven cotton"),
        new(ClothKind.Linen, "linen", "Linen"),
        new(ClothKind.Felt, "felt", "Felt"),
        new(ClothKind.Vinyl, "vinyl", "Vinyl"),
        new(ClothKind.Stabiliser, "stabiliser", "Tear-away stabiliser", ClothUse.Stabiliser),
        new(ClothKind.Denim, "denim", "Denim"),
        new(ClothKind.Fleece, "fleece", "Fleece"),
        new(ClothKind.Jersey, "jersey", "Jersey"),
        new(ClothKind.Organza, "organza", "Organza"),
        new(ClothKind.Batting, "batting", "Batting", ClothUse.Inner),
        new(ClothKind.Zip, "zip", "Zip", ClothUse.Inner),
        new(ClothKind.CutAway, "cut-away", "Soft cut-away stabiliser", ClothUse.Stabiliser),
        new(ClothKind.Mesh, "mesh", "Mesh stabiliser", ClothUse.Stabiliser),
        new(ClothKind.WashAway, "wash-away", "Wash-away stabiliser", ClothUse.Stabiliser),
        new(ClothKind.Film, "film", "Polyester film"),
        new(ClothKind.IronOnFilm, "iron-on-film", "Iron-on film"),
        new(ClothKind.Twill, "twill", "Twill"),
        new(ClothKind.Canvas, "canvas", "Canvas"),
        new(ClothKind.Cork, "cork", "Cork cloth"),
    ];

    private static readonly FrozenDictionary<ClothKind, ClothRow> ByKind = All.ToFrozenDictionary(row => row.Kind);

    public static ClothRow Of(ClothKind kind) => ByKind[kind];

    /// <summary>True for a cloth that may be a ground, a piece or a panel.</summary>
    public static bool IsSurface(this Cloth cloth) => Of(cloth.Kind).Use == ClothUse.Surface;

    public static bool IsStabiliser(this Cloth cloth) => Of(cloth.Kind).Use == ClothUse.Stabiliser;
}
