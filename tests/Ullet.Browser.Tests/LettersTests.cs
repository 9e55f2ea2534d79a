using System.Buffers.Binary;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

public sealed class LettersTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    private const string Leaf =
        "<svg xmlns='http://www.w3.org/2000/svg' width='2in' height='1in' viewBox='0 0 200 100'>"
        + "<path d='M0 50 C 50 -16.7 150 -16.7 200 50 C 150 116.7 50 116.7 0 50 Z' fill='green'/></svg>";

    [Fact]
    public void AName_IsSetNudgedRetypedLinedUpWithADrawing_Saved_AndUndone() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Name tag");
            SetRowan(visitor);
            visitor.WaitForValue("Width", "120.0");
            visitor.Choose("When words change", "letters keep their height");
            visitor.Click("button", "Letters", last: true);
            visitor.Click("button", "Letter w");
            visitor.Type("Downwards", "4");
            visitor.WaitForValue("Downwards", "4.0");
            visitor.TypeWords("Words", "Rowena");
            visitor.WaitForValue("Name", "Rowena");
            Assert.Equal("4.0", visitor.ValueOf("Downwards"));
            var nudged = Words(visitor)["letters"]!.AsArray().Where(letter => (bool)letter!["isTouched"]!);
            Assert.Equal("w", (string)Assert.Single(nudged)!["text"]!);

            visitor.ChooseFile("Drawing file", Sample("leaf.svg", Leaf));
            visitor.WaitForText("50.8 × 25.4 mm");
            visitor.WaitForText("2 × 1 in");
            visitor.WaitForText("This size is the file’s own.");
            visitor.Click("button", "Put on the wall");
            visitor.WaitForValue("Name", "leaf");
            Assert.Equal("50.8", visitor.ValueOf("Width"));
            visitor.Type("Across", "-31");
            visitor.WaitForValue("Across", "-31.0");
            visitor.Press(Keys.Escape);
            visitor.Press(Keys.Control, "a");
            visitor.WaitForText("Centre as one");
            visitor.Click("button", "Align left edges");
            var elements = Scene(visitor)["elements"]!.AsArray();
            Assert.Equal((double)elements[0]!["outline"]!["x"]!, (double)elements[1]!["outline"]!["x"]!, 0.001);

            visitor.Click("button", "Mock-up");
            visitor.WaitForText("Save the picture");
            var picture = visitor.Download("link", "Save the picture", ".png");
            Assert.Equal(2400, Math.Max(Pixels(picture, 16), Pixels(picture, 20)));
            visitor.Press(Keys.Escape);

            for (var edits = 7; edits > 0; edits--)
            {
                visitor.Press(Keys.Control, "z");
            }
            visitor.WaitForText("How do you want to begin?");
        });

    [Fact]
    public void FontChooser_MarksThinFonts_TakesOnesOwn_AndNamesWhatIsMissing() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Fonts");
            visitor.Click("button", "Letters");
            visitor.Fill("Words to set", "Zoë");
            visitor.WaitForText("too thin");
            AssertAccessible(visitor, "letters panel");
            visitor.Click("button", "Script");
            visitor.WaitForNoText("Titan One");
            visitor.WaitForText("Pacifico");
            visitor.Click("button", "Mine");
            visitor.WaitForText("No fonts of your own yet.");
            visitor.ChooseFile("Font file", Sample("letter.ttf", "no font"));
            visitor.WaitForText("This is not a font: the file is too short.");
            visitor.ChooseFile(
                "Font file",
                Path.Combine(Repository.Root, "assets/fonts/lettering/chango/Chango_400Regular.ttf")
            );
            visitor.WaitForText("strokes");
            visitor.Click("button", "Set the words");
            visitor.WaitForValue("Name", "Zoë");
            Assert.StartsWith("own-", (string)Words(visitor)["fontId"]!, StringComparison.Ordinal);
            AssertAccessible(visitor, "card of words");
            visitor.TypeWords("Words", "Zoë ☂");
            visitor.WaitForText("has no “☂”");
            visitor.Press(Keys.Escape);
            visitor.WaitForValue("Words", "Zoë");
        });

    [Fact]
    public void Letters_AreSpacedBentAndNudgedByKeysAndHands() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Spaced");
            SetRowan(visitor);
            visitor.Click("button", "Letters", last: true);
            visitor.Type("Spacing", "10");
            visitor.WaitForValue("Spacing", "10");
            visitor.Type("Arc", "90");
            visitor.WaitForValue("Arc", "90");
            visitor.Type("Arc", "0");
            visitor.Type("Spacing", "0");
            visitor.WaitForValue("Spacing", "0");
            // The "R" begins 60 mm left of the middle.
            visitor.DoubleClickOnWall(-56, 0);
            visitor.WaitForText("The arrow keys nudge this letter");
            visitor.Press(Keys.ArrowDown);
            visitor.WaitForValue("Downwards", "1.0");
            visitor.Press(Keys.Shift, Keys.ArrowRight);
            visitor.WaitForValue("To the right", "10.0");
            visitor.DragOnWall((-46, 1), (-46, 9));
            Assert.InRange(double.Parse(visitor.ValueOf("Downwards")), 8, 10);
            visitor.Click("button", "Put this letter back");
            visitor.WaitForValue("Downwards", "0.0");
            visitor.Choose("Made as", "Stitched line");
            visitor.WaitForText("bean, each stitch three times");
            visitor.Choose("Stitch", "bean");
            visitor.WaitForValue("Stitch", "bean");
        });

    [Fact]
    public void ADrawingWithoutASize_IsAskedFor_AndOneWidthCorrectsIt() =>
        Visit(visitor =>
        {
            NewProject(visitor, "No size");
            var svg =
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 96 48' fill='none' stroke='#000'>"
                + "<rect width='96' height='48'/><circle cx='48' cy='24' r='12'/><path d='M0 60 H 96'/><text>hi</text></svg>";
            visitor.ChooseFile("Drawing file", Sample("plot.svg", svg));
            visitor.WaitForText("The file gives no real size.");
            visitor.WaitForText("25.4 × 15.9 mm");
            visitor.WaitForText("1 text is not imported.");
            visitor.WaitForText("1 closed piece with 1 hole");
            AssertAccessible(visitor, "import panel");
            visitor.Choose("The file gives no real size. One of its units is", "1 mm");
            visitor.WaitForText("96.0 × 60.0 mm");
            visitor.Type("Or type its width; all else follows", "3 1/2");
            visitor.WaitForText("88.9 × 55.6 mm");
            visitor.Choose("Outlines inside others of their colour", "are pieces of their own");
            visitor.WaitForText("2 closed pieces");
            visitor.Click("button", "Put on the wall");
            visitor.WaitForText("Centre as one");
            visitor.ChooseFile("Drawing file", Sample("bad.svg", "<!DOCTYPE svg [<!ENTITY a 'b'>]><svg/>"));
            visitor.WaitForText("has a document type (DTD)");
        });

    [Fact]
    public void Measure_SetsLettersThatFitTheGap() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Gap");
            visitor.Click("button", "Measure");
            visitor.DragOnWall((-40, 20), (40, 20));
            visitor.WaitForText("Letters that fit");
            AssertAccessible(visitor, "measure card");
            visitor.Type("From, across", "-42");
            visitor.Type("To, across", "42");
            visitor.Type("From, down", "20");
            visitor.Type("To, down", "20");
            visitor.WaitForText("84.0 mm across, 0.0 mm down");
            visitor.Fill("Words", "Bean");
            visitor.Click("button", "Set them 84.0 mm wide");
            visitor.WaitForValue("Name", "Bean");
            var stitched = Scene(visitor)["elements"]![0]!["stitched"]!;
            Assert.Equal(84, (double)stitched["width"]!, 0.3);
            Assert.Equal(-42, (double)stitched["x"]!, 0.3);
        });

    private static void SetRowan(Visitor visitor)
    {
        visitor.Click("button", "Letters");
        visitor.Fill("Words to set", "Rowan");
        visitor.Choose("Size by", "width");
        visitor.Type("Width of the letters", "120");
        visitor.Click("button", "Thick");
        visitor.Click("button", "Titan One");
        visitor.Click("button", "Set the words");
        visitor.WaitForValue("Name", "Rowan");
    }

    private JsonNode Words(Visitor visitor) =>
        Scene(visitor)["elements"]!.AsArray().Last(each => each!["words"] is not null)!["words"]!;

    private static int Pixels(byte[] png, int at) => BinaryPrimitives.ReadInt32BigEndian(png.AsSpan(at));
}
