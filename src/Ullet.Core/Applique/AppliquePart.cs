using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>One piece of cloth that is laid and sewn: a whole piece, or one letter of words.</summary>
/// <param name="Element">The element that it belongs to, with its cloth, method and stages.</param>
/// <param name="Ordinal">Its number in the element.</param>
/// <param name="Name">The element's name, for a letter with the letter.</param>
/// <param name="HasHoles">True when its outline has holes.</param>
public sealed record AppliquePart(AppliqueElement Element, int Ordinal, string Name, bool HasHoles)
{
    /// <summary>Its cloth: the element's, unless a split gave it one of its own.</summary>
    public string ClothId { get; init; } = Element.ClothId;

    /// <summary>Names its layer in the hoop.</summary>
    public string LayerId => Ordinal == 0 ? Element.Id : $"{Element.Id}-{Ordinal}";

    /// <summary>The part of an element that has this outline.</summary>
    public static AppliquePart Of(AppliqueElement element, PartOutline outline) =>
        new(
            element,
            outline.Ordinal,
            NameOf(element.Element, outline),
            outline.Outline.Parts.Any(part => !part.Holes.IsEmpty)
        )
        {
            ClothId = outline.ClothId ?? element.ClothId,
        };

    /// <summary>What a part is called: the element, and which letter or side of it.</summary>
    public static string NameOf(Element element, PartOutline outline) =>
        (outline.Letter is { } letter ? $"{element.Name}, {letter}" : element.Name)
        + (outline.Side is { } side ? $", {side}" : "");
}
