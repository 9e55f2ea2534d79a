namespace Ullet.Core.Projects;

/// <summary>A fabric, felt, vinyl or stabiliser used in the project.</summary>
public sealed record Cloth
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public ClothKind Kind { get; init; } = ClothKind.WovenCotton;

    /// <summary>Ground colour, #rrggbb.</summary>
    public required string Colour { get; init; }

    /// <summary>True for a surface that stitches sink into: terry, plush, thick fleece.</summary>
    public bool IsDeepPile { get; init; }

    public ClothTexture Texture { get; init; } = ClothTexture.Woven;

    /// <summary>Colour of dots or stripes, #rrggbb; null for one made from the ground.</summary>
    public string? PatternColour { get; init; }

    /// <summary>A photo of the cloth; null to draw colour and texture.</summary>
    public ClothSwatch? Swatch { get; init; }
}

/// <summary>A photo of a cloth, repeated at its true size.</summary>
/// <param name="AssetId">The picture's asset.</param>
/// <param name="WidthMm">How much cloth the picture shows across, mm; 5 to 2000.</param>
public sealed record ClothSwatch(string AssetId, double WidthMm);

public enum ClothKind
{
    WovenCotton,
    Linen,
    Felt,
    Vinyl,

    /// <summary>A stabiliser that is torn away.</summary>
    Stabiliser,
    Denim,
    Fleece,
    Jersey,
    Organza,

    /// <summary>Soft filling: never on the outside.</summary>
    Batting,

    /// <summary>A zip of nylon coil with its tape; its teeth are sewn across.</summary>
    Zip,

    /// <summary>A soft stabiliser that is cut back and stays.</summary>
    CutAway,

    /// <summary>A thin, sheer stabiliser that stays and hardly shows.</summary>
    Mesh,

    /// <summary>A stabiliser that is dissolved with water.</summary>
    WashAway,

    /// <summary>Shiny polyester film: it may be sewn over and torn away, or kept; it is never pressed hot.</summary>
    Film,

    /// <summary>Film with glue on its back that is cut mirrored, weeded and pressed on hot.</summary>
    IronOnFilm,
    Twill,
    Canvas,

    /// <summary>Cork cloth: thin cork on a woven back.</summary>
    Cork,
}

public enum ClothTexture
{
    Plain,
    Woven,
    Dotted,
    Striped,
}
