using System.Collections.Immutable;
using System.Runtime.InteropServices;
using HarfBuzzSharp;
using SkiaSharp;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Fonts;

/// <summary>An OpenType font: shaped and drawn by HarfBuzz.</summary>
public sealed class OpenTypeFace : IFontFace, IDisposable
{
    private readonly Lock _gate = new();
    private readonly SKTypeface _typeface;
    private readonly Face _face;
    private readonly Font _shaping;

    internal OpenTypeFace(string id, string name, byte[] bytes, SKTypeface typeface)
    {
        (Id, Name, _typeface) = (id, name, typeface);
        ContentKey = ContentHash.OfBytes(bytes).Hex;
        using var blob = Copied(bytes);
        _face = new Face(blob, 0) { UnitsPerEm = typeface.UnitsPerEm };
        _shaping = new Font(_face);
        _shaping.SetScale(typeface.UnitsPerEm, typeface.UnitsPerEm);
        _shaping.SetFunctionsOpenType();
        using var sized = new SKFont(typeface, typeface.UnitsPerEm);
        var metrics = sized.Metrics;
        LineHeight = metrics.Descent - metrics.Ascent + metrics.Leading;
        CapHeight = FlatCapital() ?? (metrics.CapHeight > 0 ? metrics.CapHeight : typeface.UnitsPerEm * 0.7);
    }

    public string Id { get; }

    public string Name { get; private set; }

    public string ContentKey { get; }

    public double LineHeight { get; }

    public double CapHeight { get; }

    public ImmutableArray<ShapedGlyph> Shape(string line, bool ligatures)
    {
        var glyphs = ImmutableArray.CreateBuilder<ShapedGlyph>();
        lock (_gate)
        {
            foreach (var run in BidiRuns.Of(line))
            {
                Shape(line, run, ligatures, glyphs);
            }
        }
        return glyphs.ToImmutable();
    }

    public ImmutableArray<Contour> Contours(int glyph)
    {
        lock (_gate)
        {
            return GlyphDrawing.Contours(_shaping, glyph);
        }
    }

    public ImmutableArray<string> Missing(string text) =>
        [
            .. text.Split('\n')
                .SelectMany(line =>
                {
                    var characters = Characters.Of(line);
                    return Shape(line, ligatures: false)
                        .Where(glyph => glyph.Glyph == 0)
                        .Select(glyph => CharacterAt(characters, glyph.Cluster));
                })
                .Distinct(StringComparer.Ordinal),
        ];

    /// <summary>The same font under a name of ours: files name their family, not always their weight.</summary>
    internal OpenTypeFace Named(string name)
    {
        Name = name;
        return this;
    }

    public void Dispose()
    {
        _shaping.Dispose();
        _face.Dispose();
        _typeface.Dispose();
    }

    private void Shape(string line, BidiRun run, bool ligatures, ImmutableArray<ShapedGlyph>.Builder into)
    {
        using var buffer = new HarfBuzzSharp.Buffer
        {
            Direction = run.IsRightToLeft ? Direction.RightToLeft : Direction.LeftToRight,
        };
        buffer.AddUtf16(line, run.Start, run.Length);
        buffer.GuessSegmentProperties();
        Feature[] features = ligatures ? [] : [Off("liga"), Off("clig"), Off("dlig")];
        _shaping.Shape(buffer, features);
        var (infos, places) = (buffer.GlyphInfos, buffer.GlyphPositions);
        for (var i = 0; i < infos.Length; i++)
        {
            into.Add(
                new ShapedGlyph(
                    (int)infos[i].Codepoint,
                    (int)infos[i].Cluster,
                    places[i].XAdvance,
                    places[i].XOffset,
                    -places[i].YOffset,
                    run.IsRightToLeft
                )
            );
        }
    }

    /// <summary>A copy of HarfBuzz's own: it reads the font's tables for as long as the face lives.</summary>
    private static Blob Copied(byte[] bytes)
    {
        var pinned = GCHandle.Alloc(bytes, GCHandleType.Pinned);
        try
        {
            return new Blob(pinned.AddrOfPinnedObject(), bytes.Length, MemoryMode.Duplicate);
        }
        finally
        {
            pinned.Free();
        }
    }

    private static Feature Off(string tag) => new(Tag.Parse(tag), 0, 0, uint.MaxValue);

    private static string CharacterAt(ImmutableArray<string> characters, int place)
    {
        foreach (var character in characters)
        {
            place -= character.Length;
            if (place < 0)
            {
                return character;
            }
        }
        return characters[^1];
    }

    private double? FlatCapital()
    {
        var glyph = _typeface.GetGlyph('H');
        if (glyph == 0)
        {
            return null;
        }
        var top = Contours(glyph).Aggregate(Box.Empty, (box, contour) => box.Union(contour.Bounds())).MinY;
        return top < 0 ? -top : null;
    }
}
