using Ullet.Core.Forms;
using Ullet.Core.Projects;

namespace Ullet.Server.Documents;

/// <summary>Which kept files a document names.</summary>
internal static class AssetNames
{
    /// <summary>Ids of added fonts begin with this; the font's hash follows.</summary>
    private const string FontPrefix = "own-";

    private const int FontDigits = 24;

    /// <summary>The id by which documents name a font that was added.</summary>
    internal static string FontId(string sha256) => FontPrefix + sha256[..FontDigits];

    /// <summary>True when a document sets words in a font.</summary>
    internal static bool NamesFont(Project project, string fontId) =>
        project.Elements.Any(element => FormModules.Of(element.Form).FontIds(element.Form).Contains(fontId));

    /// <summary>The pictures that a document shows: photos of cloth, prints on mats, photos beside steps.</summary>
    internal static IEnumerable<string> Pictures(Project project) =>
        project
            .Cloths.Select(cloth => cloth.Swatch?.AssetId)
            .Concat(project.Cut.Cloths.Select(cut => cut.Photo?.Picture))
            .Concat(project.RunSheet.Steps.Select(step => step.Photo))
            .OfType<string>();

    /// <summary>The stitch files that were opened in a document, in all their sizes.</summary>
    internal static IEnumerable<string> Stitches(Project project) =>
        project
            .OpenedFiles.SelectMany(file => file.Sizes.Select(size => size.Asset).Prepend(file.Asset))
            .Where(asset => asset.Length > 0);

    /// <summary>What a kept file is to a document: "font", "picture", or null when it names it not.</summary>
    internal static string? KindIn(Project project, string sha256, string kind) =>
        kind is AssetStore.FontKind or AssetStore.RemovedFontKind
            ? NamesFont(project, FontId(sha256))
                ? AssetStore.FontKind
                : null
            : kind == AssetStore.PictureKind && Pictures(project).Contains(sha256)
                ? AssetStore.PictureKind
                : kind is StitchDesignShelf.Kind or ImportedDrawings.Kind && Stitches(project).Contains(sha256)
                    ? StitchDesignShelf.Kind
                    : null;
}
