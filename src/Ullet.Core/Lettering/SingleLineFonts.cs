namespace Ullet.Core.Lettering;

/// <summary>Fonts whose letters are lines, not areas: for text that is too small for columns.</summary>
public static class SingleLineFonts
{
    /// <summary>Their ids begin so; no other font's does.</summary>
    public const string Prefix = "line-";

    /// <summary>True for the id of such a font.</summary>
    public static bool Has(string fontId) => fontId.StartsWith(Prefix, StringComparison.Ordinal);
}
