using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Lettering;

/// <summary>Where fonts come from. The core knows no font format.</summary>
public interface IGlyphSource
{
    /// <summary>The font with an id, or null when it is not there (any more).</summary>
    IFontFace? Find(string fontId);
}

/// <summary>One font. Safe for several threads.</summary>
public interface IFontFace
{
    string Id { get; }

    string Name { get; }

    /// <summary>Changes whenever the font's bytes do.</summary>
    string ContentKey { get; }

    /// <summary>Distance from baseline to baseline, font units.</summary>
    double LineHeight { get; }

    /// <summary>Height of a flat capital over the baseline, font units; over 0.</summary>
    double CapHeight { get; }

    /// <summary>The glyphs of one line in the order in which they stand from left to right, whatever way it is read.</summary>
    /// <param name="line">Text without line ends.</param>
    /// <param name="ligatures">False to keep letters apart that the font would draw as one.</param>
    ImmutableArray<ShapedGlyph> Shape(string line, bool ligatures);

    /// <summary>The closed lines of a glyph, font units, y down from the baseline; none for a space.</summary>
    ImmutableArray<Contour> Contours(int glyph);

    /// <summary>True for a font whose letters are lines, not areas.</summary>
    bool IsSingleLine => false;

    /// <summary>The lines of a glyph of a single-line font, font units, y down from the baseline; none of any other.</summary>
    ImmutableArray<OpenPath> Strokes(int glyph) => [];

    /// <summary>Characters of a text that the font has no glyph for, each once.</summary>
    ImmutableArray<string> Missing(string text);
}

/// <summary>One glyph of a shaped line, font units.</summary>
/// <param name="Glyph">The font's number for it; 0 stands for a missing one.</param>
/// <param name="Cluster">Place in the line (UTF-16) of the first character that it stands for.</param>
/// <param name="Advance">How far the pen goes on to the right.</param>
/// <param name="X">Offset of the drawing to the right.</param>
/// <param name="Y">Offset of the drawing down.</param>
/// <param name="IsRightToLeft">True when its letters are read from right to left.</param>
public readonly record struct ShapedGlyph(
    int Glyph,
    int Cluster,
    double Advance,
    double X,
    double Y,
    bool IsRightToLeft
);

/// <summary>A source without fonts.</summary>
public sealed class NoFonts : IGlyphSource
{
    public IFontFace? Find(string fontId) => null;
}
