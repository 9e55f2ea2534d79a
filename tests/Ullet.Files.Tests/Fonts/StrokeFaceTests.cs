using Ullet.Core.Geometry;
using Ullet.Core.Lettering;

namespace Ullet.Files.Tests.Fonts;

public sealed class StrokeFaceTests
{
    public static TheoryData<string> Ids =>
        [.. DemoWork.Fonts.Entries.Select(entry => entry.Id).Where(SingleLineFonts.Has)];

    [Fact]
    public void Shelf_HasSingleLineFonts_WithTheirAcknowledgement()
    {
        Assert.Contains("line-plain", DemoWork.Fonts.Entries.Select(entry => entry.Id));
        Assert.Contains(
            "originally created by Dr. A. V. Hershey",
            File.ReadAllText(Path.Combine(Repository.Root, "assets/fonts/single-line/ACKNOWLEDGEMENT.txt")),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Letters_AreLinesThatStandOnTheBaseline(string id)
    {
        var face = DemoWork.Fonts.Find(id)!;
        foreach (var letter in "HIT14")
        {
            var glyph = Assert.Single(face.Shape(letter.ToString(), ligatures: false));
            Assert.Empty(face.Contours(glyph.Glyph));
            var box = face.Strokes(glyph.Glyph).Aggregate(Box.Empty, (sum, line) => sum.Union(line.Bounds()));
            Assert.Equal(0, box.MaxY, 1.5);
            Assert.Equal(-face.CapHeight, box.MinY, 1.5);
        }
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void Accents_AreComposed_AndStandOverTheirLetter(string id)
    {
        var face = DemoWork.Fonts.Find(id)!;
        var glyphs = face.Shape("é", ligatures: false);
        Assert.Equal(2, glyphs.Length);
        Assert.Equal([0, 0], glyphs.Select(glyph => glyph.Cluster));
        Assert.Equal(0, glyphs[1].Advance);
        var letter = face.Strokes(glyphs[0].Glyph).Min(line => line.Bounds().MinY);
        Assert.True(face.Strokes(glyphs[1].Glyph).Max(line => line.Bounds().MaxY) + glyphs[1].Y <= letter + 1);
        Assert.Empty(face.Missing("Ägir Łódź Šimon Ōmori ß Œuvre"));
        Assert.Equal(["☂"], face.Missing("a ☂"));
    }
}
