using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Fonts;

/// <summary>What a font looks like, for choosing.</summary>
public enum FontKind
{
    /// <summary>Strokes thick enough for appliqué at common sizes.</summary>
    Thick,

    /// <summary>Joined or flowing, as written.</summary>
    Script,

    Serif,

    /// <summary>No serifs, even strokes.</summary>
    Plain,

    /// <summary>Letters of single lines, for small text.</summary>
    SingleLine,

    /// <summary>Added by the user.</summary>
    Mine,
}

/// <summary>A font that may be chosen.</summary>
public sealed record FontEntry(string Id, string Name, ImmutableArray<FontKind> Kinds);

/// <summary>The fonts that ship with Ullet, and those added to this installation. Safe for several threads.</summary>
public sealed class FontShelf : IGlyphSource
{
    private static readonly ImmutableArray<(FontEntry Entry, string Resource)> Shipped =
    [
        (new("alfa-slab-one", "Alfa Slab One", [FontKind.Thick, FontKind.Serif]), "AlfaSlabOne_400Regular.ttf"),
        (new("baloo-2-extra-bold", "Baloo 2 ExtraBold", [FontKind.Thick, FontKind.Plain]), "Baloo2_800ExtraBold.ttf"),
        (new("bowlby-one", "Bowlby One", [FontKind.Thick, FontKind.Plain]), "BowlbyOne_400Regular.ttf"),
        (new("bree-serif", "Bree Serif", [FontKind.Serif]), "BreeSerif_400Regular.ttf"),
        (new("chango", "Chango", [FontKind.Thick, FontKind.Plain]), "Chango_400Regular.ttf"),
        (new("dancing-script-bold", "Dancing Script Bold", [FontKind.Script]), "DancingScript_700Bold.ttf"),
        (new("fredoka-light", "Fredoka Light", [FontKind.Plain]), "Fredoka_300Light.ttf"),
        (new("fredoka-semi-bold", "Fredoka SemiBold", [FontKind.Thick, FontKind.Plain]), "Fredoka_600SemiBold.ttf"),
        (new("libre-baskerville-bold", "Libre Baskerville Bold", [FontKind.Serif]), "LibreBaskerville_700Bold.ttf"),
        (new("lobster", "Lobster", [FontKind.Script]), "Lobster_400Regular.ttf"),
        (new("oswald-medium", "Oswald Medium", [FontKind.Plain]), "Oswald_500Medium.ttf"),
        (new("pacifico", "Pacifico", [FontKind.Script]), "Pacifico_400Regular.ttf"),
        (new("sacramento", "Sacramento", [FontKind.Script]), "Sacramento_400Regular.ttf"),
        (new("line-plain", "Single line", [FontKind.SingleLine]), "rowmans.jhf"),
        (new("line-script", "Single line script", [FontKind.SingleLine, FontKind.Script]), "scripts.jhf"),
        (new("titan-one", "Titan One", [FontKind.Thick, FontKind.Plain]), "TitanOne_400Regular.ttf"),
    ];

    private readonly ConcurrentDictionary<string, Lazy<IFontFace?>> _faces = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, FontEntry> _added = new(StringComparer.Ordinal);

    public FontShelf()
    {
        foreach (var (entry, resource) in Shipped)
        {
            _faces[entry.Id] = new Lazy<IFontFace?>(() => Load(entry, resource));
        }
    }

    /// <summary>The font that new words are set in.</summary>
    public static string UsualId => "titan-one";

    /// <summary>All that may be chosen: shipped ones by name, then the user's own.</summary>
    public ImmutableArray<FontEntry> Entries =>
        [
            .. Shipped.Select(pair => pair.Entry),
            .. _added.Values.OrderBy(entry => entry.Name, StringComparer.OrdinalIgnoreCase),
        ];

    public IFontFace? Find(string fontId) => _faces.TryGetValue(fontId, out var face) ? face.Value : null;

    /// <summary>Puts a font on the shelf, or says why it can't be.</summary>
    /// <param name="id">The id that documents will name it by.</param>
    /// <param name="file">The font file.</param>
    /// <param name="listed">False for one that old documents need but that is not offered any more.</param>
    public Result<FontEntry> Add(string id, byte[] file, bool listed = true)
    {
        var read = FontReader.Read(id, file);
        if (!read.IsOk)
        {
            return read.Refusal!;
        }
        var entry = new FontEntry(id, read.Value.Name, [FontKind.Mine]);
        _faces[id] = new Lazy<IFontFace?>(read.Value);
        if (listed)
        {
            _added[id] = entry;
        }
        return entry;
    }

    /// <summary>Takes a user's font out of the choice; with its outlines when no document needs them.</summary>
    /// <returns>False when it is none of the user's.</returns>
    public bool Remove(string id, bool stillNeeded)
    {
        if (!_added.TryRemove(id, out _))
        {
            return false;
        }
        if (!stillNeeded)
        {
            _faces.TryRemove(id, out _);
        }
        return true;
    }

    private static IFontFace Load(FontEntry entry, string resource)
    {
        using var stream =
            typeof(FontShelf).Assembly.GetManifestResourceStream(resource)
            ?? throw new InvalidOperationException($"The font {resource} is not in this build.");
        using var bytes = new MemoryStream();
        stream.CopyTo(bytes);
        if (SingleLineFonts.Has(entry.Id))
        {
            return StrokeFace.Read(entry.Id, entry.Name, bytes.ToArray());
        }
        var read = FontReader.Read(entry.Id, bytes.ToArray());
        return read.IsOk ? read.Value.Named(entry.Name) : throw new InvalidOperationException(read.Refusal!.Words);
    }
}
