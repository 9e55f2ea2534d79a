using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;

namespace Ullet.Core.Tests.Samples;

/// <summary>A source with one plain font, "block", whose letters are rectangles with known sizes.</summary>
internal sealed class BlockFonts : IGlyphSource
{
    internal const string Id = "block";

    private static readonly BlockFace Face = new();

    public IFontFace? Find(string fontId) => fontId == Face.Id ? Face : null;
}

/// <summary>Capitals are 500 × 700 units, small letters 400 × 500, "o" has a counter, "g" hangs 200 under the baseline,
/// "fi" is drawn as one. Every letter is followed by 100 units of air.</summary>
internal sealed class BlockFace : IFontFace
{
    internal const double Capital = 700;

    private const int Ligature = 0xFB01;

    public string Id => BlockFonts.Id;

    public string Name => "Block";

    public string ContentKey => "block-1";

    public double LineHeight => 1000;

    public double CapHeight => Capital;

    public ImmutableArray<ShapedGlyph> Shape(string line, bool ligatures)
    {
        var glyphs = ImmutableArray.CreateBuilder<ShapedGlyph>();
        for (var i = 0; i < line.Length; i++)
        {
            var joined = ligatures && line[i] == 'f' && i + 1 < line.Length && line[i + 1] == 'i';
            int glyph =
                joined ? Ligature
                : line[i] is 'é' or '\uD83E' or '\uDD55' ? 0
                : line[i];
            var advance =
                joined ? 900
                : char.IsUpper(line[i]) ? 600
                : 500;
            glyphs.Add(new ShapedGlyph(glyph, i, advance, 0, 0, IsRightToLeft: false));
            i += joined ? 1 : 0;
        }
        return glyphs.ToImmutable();
    }

    public ImmutableArray<Contour> Contours(int glyph) =>
        glyph switch
        {
            ' ' => [],
            Ligature => [Block(0, -700, 800, 0)],
            'o' => [Block(0, -500, 400, 0), Block(100, -400, 300, -100).Reversed()],
            'g' => [Block(0, -500, 400, 200)],
            _ => [char.IsUpper((char)glyph) ? Block(0, -Capital, 500, 0) : Block(0, -500, 400, 0)],
        };

    public ImmutableArray<string> Missing(string text) =>
        [.. Characters.Of(text).Where(character => character is "é" or "🥕").Distinct()];

    private static Contour Block(double left, double top, double right, double bottom) =>
        Contour.Polygon([new(left, top), new(right, top), new(right, bottom), new(left, bottom)]);
}
