using System.Globalization;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Files.StitchLists;

/// <summary>The words of the stitch list, version 3; docs/formats/stitch-list.md tells them to a stranger.</summary>
internal static class StitchListFormat
{
    internal const string Magic = "ullet-stitch-list";
    internal const int Version = 3;

    /// <summary>Places are written in this step, mm.</summary>
    internal const double Grid = 0.01;

    /// <summary>Hexadecimal digits behind "\\u".</summary>
    internal const int CodeDigits = 4;

    /// <summary>True for a character that is written by its number: it ends a line somewhere, can't be seen, or turns the writing
    /// direction.</summary>
    internal static bool NeedsCode(char c) =>
        char.IsControl(c)
        || char.GetUnicodeCategory(c)
            is UnicodeCategory.LineSeparator
                or UnicodeCategory.ParagraphSeparator
                or UnicodeCategory.Format;

    /// <summary>True for a word that may stand without quotation marks.</summary>
    internal static bool IsPlain(string word) =>
        word.Length > 0 && word.All(c => char.IsAsciiLetterOrDigit(c) || c is '-' or '_' or '.');

    internal static readonly IReadOnlyDictionary<HandKind, string> HandKinds = HandTable.All.ToDictionary(
        row => row.Kind,
        row => row.FileWord
    );

    internal static readonly IReadOnlyDictionary<ClothKind, string> ClothKinds = ClothTable.All.ToDictionary(
        row => row.Kind,
        row => row.FileWord
    );

    internal static readonly IReadOnlyDictionary<ClothTexture, string> Textures = new Dictionary<ClothTexture, string>
    {
        [ClothTexture.Plain] = "plain",
        [ClothTexture.Woven] = "woven",
        [ClothTexture.Dotted] = "dotted",
        [ClothTexture.Striped] = "striped",
    };

    internal static readonly IReadOnlyDictionary<NeedleRole, string> NeedleRoles = new Dictionary<NeedleRole, string>
    {
        [NeedleRole.Line] = "line",
        [NeedleRole.Underlay] = "underlay",
        [NeedleRole.Top] = "top",
        [NeedleRole.Travel] = "travel",
        [NeedleRole.Lock] = "lock",
    };

    internal static readonly IReadOnlyDictionary<LayerRole, string> Roles = new Dictionary<LayerRole, string>
    {
        [LayerRole.Inner] = "inner",
        [LayerRole.Outer] = "outer",
        [LayerRole.Lining] = "lining",
        [LayerRole.TakenOut] = "taken-out",
    };

    internal static readonly IReadOnlyDictionary<ThreadKind, string> ThreadKinds = new Dictionary<ThreadKind, string>
    {
        [ThreadKind.Polyester] = "polyester",
        [ThreadKind.Rayon] = "rayon",
        [ThreadKind.Cotton] = "cotton",
        [ThreadKind.Metallic] = "metallic",
    };
}
