namespace Ullet.Core.Projects;

/// <summary>A fabric, felt, vinyl or stabiliser used in the project.</summary>
public sealed record Cloth
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public ClothKind Kind { get; init; } = ClothKind.WovenCotton;

    /// <summary>Ground colour, #rrggbb.</summary>
    public required string Colour { get; init; }

    public ClothTexture Texture { get; init; } = ClothTexture.Woven;

    /// <summary>Colour of dots or stripes, #rrggbb; null for one made from the ground.</summary>
    public string? PatternColour { get; init; }
}

public enum ClothKind
{
    WovenCotton,
    Linen,
    Felt,
    Vinyl,
    Stabiliser,
}

public enum ClothTexture
{
    Plain,
    Woven,
    Dotted,
    Striped,
}
