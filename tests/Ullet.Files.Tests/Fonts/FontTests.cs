using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Projects;
using Ullet.Files.Fonts;

namespace Ullet.Files.Tests.Fonts;

public sealed class FontTests
{
    public static TheoryData<string> Ids => [.. DemoWork.Fonts.Entries.Select(entry => entry.Id)];

    /// <summary>Fonts with a file of their own; letters of single lines come from a table.</summary>
    public static TheoryData<string> OfFiles =>
        [.. DemoWork.Fonts.Entries.Select(entry => entry.Id).Where(id => !SingleLineFonts.Has(id))];

    [Fact]
    public void Shelf_HasAtLeastNineFonts_EachWithItsLicence()
    {
        Assert.True(DemoWork.Fonts.Entries.Length >= 9);
        var folders = Directory.GetDirectories(Path.Combine(Repository.Root, "assets/fonts/lettering"));
        Assert.All(
            folders,
            folder =>
                Assert.Contains(
                    "SIL Open Font License",
                    File.ReadAllText(Path.Combine(folder, "OFL.txt")),
                    StringComparison.OrdinalIgnoreCase
                )
        );
        Assert.Contains(DemoWork.Fonts.Entries, entry => entry.Id == FontShelf.UsualId);
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void EveryShippedFont_SetsNamesWithAccents(string id)
    {
        var face = DemoWork.Fonts.Find(id)!;
        Assert.Empty(face.Missing("Rowan Zoë O’Hara 14 & Björn"));
        Assert.Equal(["🥕"], face.Missing("a 🥕"));
        Assert.True(Lay("Hamburg", id).Letters.All(letter => !letter.Outline.IsEmpty));
    }

    /// <summary>At a cap height of 60 mm no edge is more than 0.01 mm off the font's own, in either direction.</summary>
    [Theory]
    [MemberData(nameof(OfFiles))]
    public void Outlines_AgreeWithTheFontsOwn(string id)
    {
        var face = DemoWork.Fonts.Find(id)!;
        var table = new GlyfTable(FileOf(id));
        var scale = Affine.Scale(60 / face.CapHeight, 60 / face.CapHeight);
        var compared = 0;
        foreach (var letter in "RowanBegSPlt14&8")
        {
            var glyph = face.Shape(letter.ToString(), ligatures: false)[0].Glyph;
            // Scripts draw some letters in another way at a word's end: the plain table can't tell how.
            if (glyph != table.GlyphOf(letter) || table.Lines(letter) is not { } lines)
            {
                continue;
            }
            var ours = face.Contours(glyph).Select(contour => contour.Transform(scale).Flatten(0.001)).ToList();
            var theirs = lines.Select(line => new Ring([.. line.Points.Select(scale.Apply)])).ToList();
            Assert.Equal(theirs.Count, ours.Count);
            AssertNear(ours, theirs, letter);
            AssertNear(theirs, ours, letter);
            compared++;
        }
        Assert.True(compared >= 5, $"{compared} glyphs were compared");
    }

    /// <summary>The outlines that are sewn, after lines that cross were joined, are no farther off either.</summary>
    [Theory]
    [MemberData(nameof(OfFiles))]
    public void SetLetters_AgreeWithTheFontsOwn(string id)
    {
        var table = new GlyfTable(FileOf(id));
        var face = DemoWork.Fonts.Find(id)!;
        var scale = Affine.Scale(60 / face.CapHeight, 60 / face.CapHeight);
        var shaped = face.Shape("Rowan", ligatures: true);
        foreach (var letter in Lay("Rowan", id).Letters)
        {
            if (
                shaped[letter.Index].Glyph != table.GlyphOf(letter.Text[0])
                || table.Lines(letter.Text[0]) is not { } lines
            )
            {
                continue;
            }
            var theirs = lines.Select(line => new Ring([.. line.Points.Select(scale.Apply)])).ToList();
            var own = letter.Outline.Transform(Affine.Scale(0.6, 0.6));
            var shift = Box.Of(theirs.SelectMany(ring => ring.Points)).MinX - own.Bounds().MinX;
            var ours = own.Transform(Affine.Translate(shift, 0))
                .Contours.Select(contour => contour.Flatten(0.001))
                .ToList();
            AssertNear(ours, theirs, letter.Text[0]);
        }
    }

    [Fact]
    public void Shape_KernsAndJoins()
    {
        var face = DemoWork.Fonts.Find("bree-serif")!;
        double Width(string text) => face.Shape(text, ligatures: true).Sum(glyph => glyph.Advance);
        Assert.True(Width("AV") < Width("A") + Width("V"));
        var lobster = DemoWork.Fonts.Find("lobster")!;
        var (joined, apart) = (
            lobster.Shape("fi", ligatures: true).Length,
            lobster.Shape("fi", ligatures: false).Length
        );
        Assert.Equal(2, apart);
        Assert.True(joined <= apart);
    }

    [Fact]
    public void RightToLeft_IsLaidFromTheRight_WithNumbersReadFromTheLeft()
    {
        var face = DemoWork.Fonts.Find("fredoka-semi-bold")!;
        Assert.Empty(face.Missing("שלום 14"));
        var letters = Lay("שלום 14", "fredoka-semi-bold").Letters;
        var places = letters.ToDictionary(letter => letter.Text, letter => letter.Outline.Bounds().Centre.X);
        Assert.True(places["ש"] > places["ל"] && places["ל"] > places["ו"] && places["ו"] > places["ם"]);
        Assert.True(places["1"] < places["4"] && places["4"] < places["ם"]);
    }

    [Theory]
    [InlineData("abc", "0:abc>")]
    [InlineData("שלום", "0:שלום<")]
    [InlineData("Rowan שלום", "0:Rowan > 6:שלום<")]
    [InlineData("שלום Rowan", "5:Rowan> 0:שלום <")]
    [InlineData("שלום 14 ab", "8:ab> 7: < 5:14> 0:שלום <")]
    [InlineData("a-b", "0:a-b>")]
    [InlineData("14", "0:14>")]
    public void BidiRuns_StandInTheOrderInWhichTheyAreSeen(string line, string wanted)
    {
        var runs = BidiRuns
            .Of(line)
            .Select(run => $"{run.Start}:{line.Substring(run.Start, run.Length)}{(run.IsRightToLeft ? '<' : '>')}");
        Assert.Equal(wanted, string.Join(' ', runs));
    }

    [Fact]
    public void Scripts_AreJoinedAsOnePiece()
    {
        var letters = Lay("Marrow", "pacifico").Letters;
        Assert.Equal(6, letters.Length);
        Assert.Single(FilledOutline.Joined([.. letters.Select(letter => letter.Outline)]).Parts);
    }

    [Fact]
    public void Strokes_OfAThinFont_AreTooThin_WhereAThickOnesFit()
    {
        var cover = CoverChoice.Of(new CoverSettings(), ClothPreset.Of(null));
        StrokeVerdict At(string id, double capHeight)
        {
            var map = Affine.Scale(capHeight / 100, capHeight / 100);
            var regions = Lay("Rowan", id)
                .Letters.SelectMany(letter => letter.Outline.Transform(map).Flatten(0.02))
                .ToList();
            return StrokeFit.Judge(InnerWidth.Of(regions), cover);
        }
        Assert.Equal(StrokeVerdict.TooThin, At("fredoka-light", 40));
        Assert.NotEqual(StrokeVerdict.TooThin, At("titan-one", 40));
        Assert.Equal(StrokeVerdict.TooThin, At("titan-one", 10));
        Assert.NotEqual(StrokeVerdict.TooThin, At("fredoka-light", 150));
    }

    public static TheoryData<string, byte[], string> Broken =>
        new()
        {
            { "nothing", [], "font-foreign" },
            { "words", "this is no font at all"u8.ToArray(), "font-foreign" },
            { "a web font", [.. "wOF2"u8, .. new byte[40]], "font-packed" },
            { "a collection", [.. "ttcf"u8, .. new byte[40]], "font-collection" },
            { "cut short", FileOf("chango")[..20_000], "font-broken" },
            { "tables of noise", Noise(), "font-broken" },
            { "no outlines", WithoutOutlines(), "font-no-outlines" },
        };

    [Theory]
    [MemberData(nameof(Broken))]
    public void Read_OfWhatIsNoFont_RefusesWithASentence(string _, byte[] file, string code)
    {
        var refusal = FontReader.Read("own", file).Refusal;
        Assert.Equal(code, refusal?.Code);
        Assert.EndsWith(".", refusal!.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void Shelf_AddsAndRemovesAUsersFont()
    {
        var shelf = new FontShelf();
        Assert.True(shelf.Add("own-1", FileOf("chango")).IsOk);
        Assert.Equal([FontKind.Mine], shelf.Entries[^1].Kinds);
        Assert.NotNull(shelf.Find("own-1"));
        Assert.True(shelf.Remove("own-1", stillNeeded: true));
        Assert.DoesNotContain(shelf.Entries, entry => entry.Id == "own-1");
        Assert.NotNull(shelf.Find("own-1"));
        Assert.False(shelf.Remove("titan-one", stillNeeded: false));
        Assert.NotNull(shelf.Find("titan-one"));
    }

    private static void AssertNear(List<Ring> from, List<Ring> to, char letter)
    {
        var index = new SegmentIndex(to);
        var worst = from.SelectMany(ring => ring.Points).Max(point => index.Nearest(point, 1)?.DistanceTo(point) ?? 1);
        Assert.True(worst <= 0.01, $"{letter} is off by {worst:0.0000} mm");
    }

    private static LaidText Lay(string text, string font) =>
        DemoWork.Context.Evaluator.Lay(new TextForm { Text = text, FontId = font });

    private static byte[] Noise()
    {
        var file = FileOf("chango");
        new Random(4).NextBytes(file.AsSpan(12 + (file[5] * 16)));
        return file;
    }

    /// <summary>A font whose every glyph is empty: all places of "loca" are the first.</summary>
    private static byte[] WithoutOutlines()
    {
        var file = FileOf("chango");
        for (var i = 0; i < file[5]; i++)
        {
            var entry = file.AsSpan(12 + (i * 16), 16);
            if (entry[..4].SequenceEqual("loca"u8))
            {
                var at = System.Buffers.Binary.BinaryPrimitives.ReadInt32BigEndian(entry[8..]);
                file.AsSpan(at, System.Buffers.Binary.BinaryPrimitives.ReadInt32BigEndian(entry[12..])).Clear();
            }
        }
        return file;
    }

    private static byte[] FileOf(string id)
    {
        var wanted = id.Replace("-", "", StringComparison.Ordinal);
        var file = Directory
            .GetFiles(Path.Combine(Repository.Root, "assets/fonts/lettering"), "*.ttf", SearchOption.AllDirectories)
            .Single(path =>
                string.Concat(Path.GetFileNameWithoutExtension(path).Where(char.IsLetter))
                    .Replace("Regular", "", StringComparison.Ordinal)
                    .Equals(string.Concat(wanted.Where(char.IsLetter)), StringComparison.OrdinalIgnoreCase)
            );
        return File.ReadAllBytes(file);
    }
}
