using Ullet.Core.Lettering;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Lettering;

public sealed class LetterSettingTests
{
    /// <summary>mm for a font unit at the height at which text is laid.</summary>
    private const double Unit = LaidText.CapHeight / BlockFace.Capital;

    [Fact]
    public void Set_LaysLettersByTheirAdvances()
    {
        var laid = Set(Words("Abc") with { Align = TextAlign.Left });
        Assert.Equal([0, 600 * Unit, 1100 * Unit], laid.Letters.Select(letter => letter.Outline.Bounds().MinX), Near);
        Assert.Equal(LaidText.CapHeight, laid.Ink.Height, 1e-9);
        Assert.Equal(0, laid.Ink.MaxY, 1e-9);
    }

    [Theory]
    [InlineData(TextAlign.Left, 0)]
    [InlineData(TextAlign.Centre, -600)]
    [InlineData(TextAlign.Right, -1200)]
    public void Set_PutsTheAlignedEdgeAtZero(TextAlign align, double left) =>
        Assert.Equal(left * Unit, Set(Words("AB") with { Align = align }).Ink.MinX, 1e-9);

    [Fact]
    public void Set_OfSeveralLines_StandsThemUnderEachOther()
    {
        var laid = Set(Words("A\ngo\n\nB") with { LineSpacing = 1.5 });
        var tops = laid.Letters.Select(letter => (letter.Text, letter.Outline.Bounds().MaxY)).ToDictionary();
        Assert.Equal(0, tops["A"], 1e-9);
        Assert.Equal(1.5 * 1000 * Unit, tops["o"], 1e-9);
        Assert.Equal(((1.5 * 1000) + 200) * Unit, tops["g"], 1e-9);
        Assert.Equal(3 * 1.5 * 1000 * Unit, tops["B"], 1e-9);
        Assert.Equal([0, 2, 3, 6], laid.Letters.Select(letter => letter.Index));
    }

    [Fact]
    public void Spacing_WidensEveryGap_AndATouchOnlyItsOwn()
    {
        var plain = Gaps(Words("abcd"));
        var wide = Gaps(Words("abcd") with { Spacing = 0.1 });
        Assert.Equal(plain.Select(gap => gap + (0.1 * LaidText.CapHeight)), wide, Near);
        var one = Gaps(Words("abcd") with { Touches = [new LetterTouch(1) { GapAfter = 0.2 }] });
        Assert.Equal([plain[0], plain[1] + (0.2 * LaidText.CapHeight), plain[2]], one, Near);
    }

    [Fact]
    public void Ligatures_AreTakenApart_WhenLettersAreSpacedOrTouched()
    {
        Assert.Equal(["fi", "n"], Set(Words("fin")).Letters.Select(letter => letter.Text));
        Assert.Equal(["f", "i", "n"], Set(Words("fin") with { Spacing = 0.05 }).Letters.Select(letter => letter.Text));
        var touched = Set(Words("fin") with { Touches = [new LetterTouch(1) { Y = 0.1 }] });
        Assert.Equal(["f", "i", "n"], touched.Letters.Select(letter => letter.Text));
    }

    [Fact]
    public void Touch_MovesTurnsAndScalesOneLetterAboutItsMiddle()
    {
        var plain = Set(Words("AB")).Letters;
        var touched = Set(
            Words("AB") with
            {
                Touches =
                [
                    new LetterTouch(1)
                    {
                        X = 0.25,
                        Y = -0.5,
                        Turn = 90,
                        Scale = 2,
                    },
                ],
            }
        ).Letters;
        Assert.Equal(plain[0].Outline.Bounds(), touched[0].Outline.Bounds());
        var (before, after) = (plain[1].Outline.Bounds(), touched[1].Outline.Bounds());
        Assert.Equal(before.Centre.X + 25, after.Centre.X, 1e-9);
        Assert.Equal(before.Centre.Y - 50, after.Centre.Y, 1e-9);
        Assert.Equal(before.Height * 2, after.Width, 1e-9);
        Assert.Equal(before.Width * 2, after.Height, 1e-9);
    }

    [Fact]
    public void Slant_LeansTheTopsAndLeavesTheBaseline()
    {
        var laid = Set(Words("A") with { Slant = 20, Align = TextAlign.Left });
        var lean = Math.Tan(20 * Math.PI / 180) * LaidText.CapHeight;
        Assert.Equal((500 * Unit) + lean, laid.Ink.Width, 1e-9);
        Assert.Equal(0, laid.Ink.MinX, 1e-9);
    }

    [Theory]
    [InlineData(120)]
    [InlineData(-120)]
    [InlineData(300)]
    public void Arc_BendsEvenly_AndKeepsTheLettersAsTheyAre(double degrees)
    {
        var straight = Set(Words("aaaaa"));
        var bent = Set(Words("aaaaa") with { Arc = degrees });
        var centres = bent.Letters.Select(letter => letter.Outline.Bounds().Centre).ToList();
        Assert.Equal(-centres[0].X, centres[4].X, 0.2 * LaidText.CapHeight);
        var ends = (centres[0].Y + centres[4].Y) / 2;
        Assert.True(degrees > 0 ? centres[2].Y < ends : centres[2].Y > ends);
        var radius = 2500 * Unit / Math.Abs(degrees * Math.PI / 180);
        // Letters keep their size, and their middles keep one distance from the arc's centre.
        Assert.All(bent.Letters, letter => Assert.Equal(Area(straight.Letters[0]), Area(letter), 1e-6));
        var hub = new Core.Geometry.Point(0, degrees > 0 ? radius : -radius);
        var reach = bent.Letters.Select(letter => MiddleOf(letter).DistanceTo(hub)).ToList();
        Assert.All(reach, distance => Assert.Equal(reach[0], distance, 1e-6));
    }

    [Fact]
    public void Holes_FollowTheirLetter()
    {
        var laid = Set(Words("xo") with { Touches = [new LetterTouch(1) { Turn = 30 }], Slant = 10 });
        var letter = laid.Letters[1].Outline.Parts;
        var hole = Assert.Single(Assert.Single(letter).Holes);
        Assert.True(letter[0].Shell.Bounds().Contains(hole.Bounds()));
    }

    private static double Area(LaidLetter letter) => letter.Outline.Flatten().Sum(region => region.Area);

    /// <summary>The middle of a rectangular letter however it is turned.</summary>
    private static Core.Geometry.Point MiddleOf(LaidLetter letter)
    {
        var points = letter.Outline.Flatten()[0].Shell.Points;
        return new(points.Average(point => point.X), points.Average(point => point.Y));
    }

    private static List<double> Gaps(TextForm words)
    {
        var boxes = Set(words).Letters.Select(letter => letter.Outline.Bounds()).ToList();
        return [.. boxes.Skip(1).Select((box, i) => box.MinX - boxes[i].MaxX)];
    }

    private static LaidText Set(TextForm words) => new LetterSetting().Set(words, new BlockFonts().Find("block")!);

    private static bool Near(double a, double b) => Math.Abs(a - b) < 1e-9;

    private static TextForm Words(string text) => new() { FontId = "block", Text = text };
}
