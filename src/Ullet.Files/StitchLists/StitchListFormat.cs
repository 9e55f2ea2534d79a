using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Files.StitchLists;

/// <summary>The words of the stitch list, version 1; docs/formats/stitch-list.md tells them to a stranger.</summary>
internal static class StitchListFormat
{
    internal const string Magic = "ullet-stitch-list";
    internal const int Version = 1;

    /// <summary>Places are written in this step, mm.</summary>
    internal const double Grid = 0.01;

    internal static readonly IReadOnlyDictionary<HandStepKind, string> HandKinds = new Dictionary<HandStepKind, string>
    {
        [HandStepKind.HoopUp] = "hoop-up",
        [HandStepKind.Lay] = "lay",
        [HandStepKind.Trim] = "trim",
        [HandStepKind.Finish] = "finish",
        [HandStepKind.CutOut] = "cut-out",
    };

    internal static readonly IReadOnlyDictionary<ClothKind, string> ClothKinds = new Dictionary<ClothKind, string>
    {
        [ClothKind.WovenCotton] = "woven-cotton",
        [ClothKind.Linen] = "linen",
        [ClothKind.Felt] = "felt",
        [ClothKind.Vinyl] = "vinyl",
        [ClothKind.Stabiliser] = "stabiliser",
        [ClothKind.Denim] = "denim",
        [ClothKind.Fleece] = "fleece",
        [ClothKind.Jersey] = "jersey",
        [ClothKind.Organza] = "organza",
    };

    internal static readonly IReadOnlyDictionary<ClothTexture, string> Textures = new Dictionary<ClothTexture, string>
    {
        [ClothTexture.Plain] = "plain",
        [ClothTexture.Woven] = "woven",
        [ClothTexture.Dotted] = "dotted",
        [ClothTexture.Striped] = "striped",
    };

    internal static readonly IReadOnlyDictionary<ThreadKind, string> ThreadKinds = new Dictionary<ThreadKind, string>
    {
        [ThreadKind.Polyester] = "polyester",
        [ThreadKind.Rayon] = "rayon",
        [ThreadKind.Cotton] = "cotton",
        [ThreadKind.Metallic] = "metallic",
    };
}
