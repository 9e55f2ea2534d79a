using System.Buffers.Binary;
using SkiaSharp;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.Fonts;

/// <summary>Opens font files, within limits.</summary>
public static class FontReader
{
    public const int LargestFile = 15_000_000;

    /// <summary>Characters looked for when a font is asked whether it draws anything.</summary>
    private const string Probes = "AHaeno18אבשاबकДж永";

    /// <returns>The font, or "font-…" with a sentence.</returns>
    public static Result<OpenTypeFace> Read(string id, byte[] file)
    {
        if (file.Length > LargestFile)
        {
            return No("too-large", $"This font has {file.Length / 1e6:0} MB; up to {LargestFile / 1e6:0} MB are read.");
        }
        if (file.Length < 12)
        {
            return No("foreign", "This is not a font: the file is too short. Choose a .ttf or .otf file.");
        }
        var tag = BinaryPrimitives.ReadUInt32BigEndian(file);
        if (tag is 0x774F4646 or 0x774F4632)
        {
            return No("packed", "This font is packed for web pages (WOFF); choose its .ttf or .otf file.");
        }
        if (tag == 0x74746366)
        {
            return No("collection", "This file holds several fonts; choose a .ttf or .otf file with one.");
        }
        if (tag is not (0x00010000 or 0x4F54544F or 0x74727565))
        {
            return No("foreign", "This is not a font that can be read. Choose a .ttf or .otf file.");
        }
        if (!HasWholeTables(file))
        {
            return No("broken", "This font is cut short or broken: its tables reach beyond its end.");
        }
        using var data = SKData.CreateCopy(file);
        var typeface = SKTypeface.FromData(data);
        if (typeface is null || typeface.GlyphCount == 0 || typeface.UnitsPerEm is < 16 or > 16384)
        {
            typeface?.Dispose();
            return No("broken", "This font can't be read: its tables contradict each other.");
        }
        if (!DrawsSomething(typeface))
        {
            typeface.Dispose();
            return No(
                "no-outlines",
                "This font has no outlines (its letters are pictures), so nothing can be sewn from it."
            );
        }
        return new OpenTypeFace(id, NameOf(typeface), file, typeface);
    }

    private static string NameOf(SKTypeface typeface)
    {
        var style = typeface.IsBold ? " Bold" : "";
        var name =
            $"{typeface.FamilyName}{(typeface.FamilyName.Contains("Bold", StringComparison.Ordinal) ? "" : style)}";
        name = PlainText.Line(name);
        return name.Length is 0 ? "Unnamed font"
            : name.Length > 60 ? name[..60]
            : name;
    }

    private static bool HasWholeTables(byte[] file)
    {
        var count = BinaryPrimitives.ReadUInt16BigEndian(file.AsSpan(4));
        if (count == 0 || 12 + (count * 16) > file.Length)
        {
            return false;
        }
        for (var i = 0; i < count; i++)
        {
            var entry = file.AsSpan(12 + (i * 16));
            var end =
                (long)BinaryPrimitives.ReadUInt32BigEndian(entry[8..])
                + BinaryPrimitives.ReadUInt32BigEndian(entry[12..]);
            if (end > file.Length)
            {
                return false;
            }
        }
        return true;
    }

    private static bool DrawsSomething(SKTypeface typeface)
    {
        using var font = new SKFont(typeface, 100);
        foreach (var rune in Probes.EnumerateRunes())
        {
            var glyph = typeface.GetGlyph(rune.Value);
            using var path = glyph == 0 ? null : font.GetGlyphPath(glyph);
            if (path is { IsEmpty: false })
            {
                return true;
            }
        }
        return false;
    }

    private static Refusal No(string code, string words) => new($"font-{code}", "file", words);
}
