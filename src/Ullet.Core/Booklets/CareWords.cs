using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Booklets;

/// <summary>Finishing and care, by what the thing is made of.</summary>
internal static class CareWords
{
    /// <summary>Sentences, from the most careful cloth on: one that must not be ironed decides for all.</summary>
    internal static ImmutableArray<string> Of(IEnumerable<Cloth> cloths)
    {
        var kinds = cloths.Select(cloth => cloth.Kind).ToHashSet();
        var said = ImmutableArray.CreateBuilder<string>();
        said.Add("Trim the thread ends on both sides, close to the cloth.");
        foreach (var (kind, sentence) in Finishing.Where(each => kinds.Contains(each.Kind)))
        {
            said.Add(sentence);
        }
        var isFelt = kinds.Contains(ClothKind.Felt);
        var noIron = kinds.Overlaps([ClothKind.Vinyl, ClothKind.Film, ClothKind.Cork]);
        said.Add(
            noIron ? "Wipe it clean with a damp cloth; do not put it in a hot wash, and never iron it."
            : isFelt ? "Wash it by hand, lukewarm, and dry it flat: felt shrinks and pills in a machine."
            : "Wash it at 30 degrees, inside out or in a bag, and dry it flat."
        );
        if (!noIron)
        {
            said.Add("Iron it from the back on a towel, so that the stitches keep their height.");
        }
        return said.ToImmutable();
    }

    private static readonly ImmutableArray<(ClothKind Kind, string Sentence)> Finishing =
    [
        (ClothKind.WashAway, "Dissolve what is left of the wash-away stabiliser in lukewarm water and dry it flat."),
        (ClothKind.IronOnFilm, "Press iron-on film through a cloth only, and without steam."),
        (ClothKind.Zip, "Press clear of the zip: its teeth are nylon and melt."),
    ];
}
