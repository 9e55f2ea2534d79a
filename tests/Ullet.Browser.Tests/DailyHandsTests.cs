using System.Globalization;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

/// <summary>What is done every day: many at once, hoops that are typed, mends, signs.</summary>
public sealed class DailyHandsTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    private static readonly string[] Announcement =
    [
        "MARROW LANE",
        "Allotments",
        "Plot 14",
        "Hazel",
        "3 May",
        "51 cm",
        "2.9 kg",
        "at noon",
        "with love",
        "Rowan",
    ];

    [Fact]
    public void TenTexts_AreSetByKeys_AndChangedAtOnce_WithOneUndoEach() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Announcement");
            visitor.Press("t");
            visitor.Fill("Words to set", Announcement[0]);
            visitor.Choose("Made as", "embroidered in satin");
            visitor.Type("Cap height", "7");
            visitor.Fill("Words to set", Announcement[0]);
            visitor.Press(Keys.Control, Keys.Enter);
            visitor.WaitForValue("Name", Announcement[0]);
            visitor.Fill("Words", Announcement[0]);
            foreach (var words in Announcement[1..])
            {
                visitor.Press(Keys.Alt, Keys.Enter);
                visitor.WaitForValue("Words", "New words");
                visitor.Press(words);
            }
            visitor.Press(Keys.Shift, Keys.Tab);
            visitor.WaitUntilIdle();
            Assert.Equal(Announcement.Order(), Elements(visitor).Select(each => (string)each["name"]!).Order());
            var reading = Scene(visitor)["reading"]!.AsArray().Select(id => (string)id!).ToList();
            Assert.Equal(10, reading.Count);

            visitor.Press(Keys.Escape);
            visitor.Press(Keys.Escape);
            visitor.Press(Keys.Control, "a");
            visitor.WaitForText("10 elements");
            AssertAccessible(visitor, "card of several");
            var before = Told(visitor);
            visitor.Choose("Thread", "ink blue");
            Assert.All(Elements(visitor), each => Assert.Equal("ink", Trait(each, "thread")));
            visitor.Choose("Font", "Bree Serif");
            Assert.All(Elements(visitor), each => Assert.Equal("bree-serif", Trait(each, "font")));
            visitor.Click("button", "Stand all on one baseline");
            var feet = Elements(visitor).ConvertAll(Bottom);
            Assert.True(feet.Max() - feet.Min() < 0.4, string.Join(", ", feet));
            for (var i = 0; i < 3; i++)
            {
                visitor.Press(Keys.Control, "z");
            }
            Assert.Equal(before, Told(visitor));
        });

    [Fact]
    public void AHoop_IsTyped_Kept_AndTurned() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Long runner");
            visitor.Choose("Hoop, sewing field", "Another hoop…");
            visitor.Type("Field, width", "5");
            visitor.Type("Field, height", "150");
            visitor.Click("button", "Use this hoop");
            visitor.WaitForText("The width of the sewing field must be from 30 to 1000 mm; 5 was given.");
            AssertAccessible(visitor, "another hoop");
            visitor.Type("Field, width", "240");
            visitor.Fill("Name", "Rowan’s long one");
            visitor.Click("button", "Use this hoop");
            visitor.WaitForNoText("Another hoop\n");
            Assert.Equal((240, 150), Field(visitor));
            visitor.Choose("Hoop, sewing field", "Turn the hoop");
            Assert.Equal((150, 240), Field(visitor));
            NewProject(visitor, "Another runner");
            visitor.Choose("Hoop, sewing field", "Rowan’s long one (240.0 × 150.0 mm)");
            Assert.Equal((240, 150), Field(visitor));
        });

    [Fact]
    public void AMend_IsTaken_FromAListThatCoversNothing() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Narrow");
            AddShape(visitor, "Rectangle");
            visitor.Click("button", "Keep proportions");
            visitor.Type("Width", "3.4");
            visitor.WaitForText("1 finding");
            visitor.Click("button", "1 finding");
            visitor.WaitForText("so narrow in places that its covers meet");
            AssertAccessible(visitor, "findings");
            Assert.True(
                (bool)
                    visitor.Run(
                        "const list = document.querySelector('#findings').getBoundingClientRect();"
                            + "return ['aside[aria-label=Card]', '[role=application]'].every(it =>"
                            + " document.querySelector(it).getBoundingClientRect().bottom <= list.top + 1)"
                    )!
            );
            visitor.Click("button", "Raw edge there");
            visitor.WaitForText("No findings");
            visitor.Press(Keys.Control, "z");
            visitor.WaitForText("1 finding");
        });

    [Fact]
    public void ASign_IsCutWithoutAStitch_AndItsFreedSizesAreRead() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Sign");
            visitor.Press("t");
            visitor.Fill("Words to set", "OPEN");
            visitor.Press(Keys.Control, Keys.Enter);
            visitor.WaitForValue("Name", "OPEN");
            visitor.Choose("Made as", "Cut only");
            visitor.WaitForText("Only cut out, with no stitch at all");
            Assert.Equal(0, StitchCount(visitor));
            visitor.Click("link", "Cutting table");
            visitor.WaitForText("only cut out, nothing is sewn, one counter falls out");
            visitor.Click("link", "Dry run");
            visitor.WaitForText("Nothing lies on the mat yet");
            visitor.WaitForText("No cloth is on the mat, so no ring can be cut.");
            visitor.Click("button", "Take SVG");
            visitor.Click("button", "Cut a ring and lift it");
            visitor.WaitForText("The ring lifts out");
            visitor.Click("button", "Cut");
            visitor.WaitForText("Cut free");
            var shape = Scene(visitor)["sheets"]![0]!["shapes"]!.AsArray()[0]!["size"]!;
            visitor.WaitForText(
                FormattableString.Invariant(
                    $"open-o: {(double)shape["width"]!:0.0} × {(double)shape["height"]!:0.0} mm"
                )
            );
            visitor.WaitForText("open-o-counter, falls out:");
        });

    private List<JsonNode> Elements(Visitor visitor)
    {
        visitor.WaitUntilIdle();
        return [.. Scene(visitor)["elements"]!.AsArray().Select(each => each!)];
    }

    private string Told(Visitor visitor) =>
        string.Join('\n', Elements(visitor).Select(each => $"{each["box"]} {each["traits"]}"));

    private static string Trait(JsonNode element, string trait) => (string)element["traits"]![trait]!["word"]!;

    /// <summary>Where the first letter of words stands, mm: none of them hangs below its line.</summary>
    private static double Bottom(JsonNode element)
    {
        var path = (string)element["form"]!["letters"]![0]!["path"]!;
        var numbers = new string([.. path.Select(c => char.IsAsciiLetter(c) ? ' ' : c)]).Split(
            ' ',
            StringSplitOptions.RemoveEmptyEntries
        );
        return numbers.Where((_, i) => i % 2 == 1).Max(each => double.Parse(each, CultureInfo.InvariantCulture));
    }

    private (double Width, double Height) Field(Visitor visitor)
    {
        visitor.WaitUntilIdle();
        var hoop = Scene(visitor)["hooping"]!;
        return ((double)hoop["fieldWidth"]!, (double)hoop["fieldHeight"]!);
    }
}
