using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>The cloths that patterns begin with; all of them may be changed afterwards.</summary>
internal static class PatternCloths
{
    internal static Cloth Of(
        string id,
        string name,
        string colour,
        ClothKind kind = ClothKind.WovenCotton,
        ClothTexture texture = ClothTexture.Woven
    ) =>
        new()
        {
            Id = $"p-{id}",
            Name = name,
            Colour = colour,
            Kind = kind,
            Texture = texture,
        };

    internal static readonly Cloth Stabiliser = Of(
        "stabiliser",
        "medium tear-away stabiliser",
        "#f4f4f2",
        ClothKind.Stabiliser,
        ClothTexture.Plain
    );

    internal static readonly Cloth WashAway = Of(
        "wash-away",
        "firm wash-away stabiliser",
        "#eef3f6",
        ClothKind.WashAway,
        ClothTexture.Plain
    );

    internal static readonly Cloth StickyTearAway = Of(
        "sticky-tear-away",
        "sticky tear-away stabiliser",
        "#f0ede2",
        ClothKind.Stabiliser,
        ClothTexture.Plain
    );

    internal static readonly Cloth StickyWashAway = Of(
        "sticky-wash-away",
        "sticky wash-away stabiliser",
        "#e8f0f2",
        ClothKind.WashAway,
        ClothTexture.Plain
    );

    internal static readonly Cloth Batting = Of(
        "batting",
        "thin cotton batting",
        "#f3eee2",
        ClothKind.Batting,
        ClothTexture.Plain
    );
}
