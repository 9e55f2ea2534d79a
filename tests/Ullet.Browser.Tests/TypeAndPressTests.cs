using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Browser.Tests;

/// <summary>What is typed is taken, however fast the next press comes: typed and pressed without a pause, in every panel, more than
/// fifty times in all.</summary>
public sealed class TypeAndPressTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    private const int Rounds = 12;

    [Fact]
    public void Card_TakesANumber_BeforeWhateverIsPressed() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Breath");
            AddShape(visitor, "Rectangle");
            visitor.Click("button", "Keep proportions");
            visitor.Click("button", "Arrange");
            for (var i = 1; i <= Rounds; i++)
            {
                // Turned over, grouped, hidden: each press is another edit, made on what was typed.
                visitor.TypeAndPress("Flip left to right", ("Width", Number(20 + i)), ("Across", Number(-i)));
                var box = Scene(visitor)["elements"]![0]!["box"]!;
                Assert.Equal((20 + i, -i, i % 2 == 1), ((double)box["width"]!, (double)box["x"]!, IsFlipped(box)));
            }
            visitor.TypeAndPress("Duplicate Rectangle", ("Height", "31"), ("Turn", "15"));
            Assert.All(
                Scene(visitor)["elements"]!.AsArray(),
                element =>
                    Assert.Equal((31, 15), ((double)element!["box"]!["height"]!, (double)element["box"]!["rotation"]!))
            );
        });

    [Fact]
    public void Card_TakesCoverNumbers_OneAfterTheOther() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Numbers at once");
            AddShape(visitor, "Heart");
            for (var i = 1; i <= Rounds; i++)
            {
                var (width, spacing) = (Math.Round(2 + (i / 10.0), 3), Math.Round(0.4 + (i / 100.0), 3));
                visitor.TypeAndPress(
                    "Zoom in",
                    ("Cover width", Number(width)),
                    ("Spacing", Number(spacing)),
                    ("Inside share", $"{40 + i}")
                );
                var element = Scene(visitor)["elements"]![0]!;
                var cover = element["making"]!["cover"]!;
                Assert.Equal(
                    (width, spacing, spacing),
                    (
                        Math.Round((double)cover["width"]!, 3),
                        Math.Round((double)cover["spacing"]!, 3),
                        Math.Round((double)cover["insideShare"]!, 3)
                    )
                );
            }
        });

    [Fact]
    public void LettersPanel_TakesTheCapHeight() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Letters at once");
            for (var i = 1; i <= 5; i++)
            {
                visitor.Click("button", "Letters");
                visitor.TypeAndPress("Set the words", ("Words to set", $"Plot {i}"), ("Cap height", $"{10 + i} mm"));
                visitor.WaitForNoText("Words to set");
                var form = Scene(visitor)["elements"]!.AsArray()[^1]!["form"]!;
                Assert.Equal(
                    ($"Plot {i}", 10.0 + i),
                    ((string)form["text"]!, Math.Round((double)form["capHeight"]!, 3))
                );
            }
        });

    [Fact]
    public void ImportPanel_TakesTheWidth() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Import at once");
            var file = Path.Combine(Site.DataFolder, "square.svg");
            File.WriteAllText(
                file,
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 40 40'><path d='M5 5h30v30h-30z' fill='#000'/></svg>"
            );
            for (var i = 1; i <= 4; i++)
            {
                visitor.ChooseFile("Drawing file", file);
                visitor.TypeAndPress("Put on the wall", ("Or type its width; all else follows", $"{30 + i}"));
                visitor.WaitForNoText("Put on the wall");
                var box = Scene(visitor)["elements"]!.AsArray()[^1]!["box"]!;
                Assert.Equal(30 + i, (double)box["width"]!, 0.01);
            }
        });

    [Fact]
    public void PatternPanel_TakesSizesHardwareAndName() =>
        Visit(visitor =>
        {
            visitor.GoTo("/");
            for (var i = 1; i <= 4; i++)
            {
                visitor.Click("button", "From a pattern");
                visitor.Click("button", "Zip pouch");
                visitor.TypeAndPress("Size it for this", ("Its length", $"{200 + (10 * i)}"));
                visitor.WaitForText("Smallest hoop");
                visitor.TypeAndPress(
                    "Make the zip pouch",
                    ("Height", $"{90 + i}"),
                    ("Name of the project", $"Pouch {i}")
                );
                visitor.WaitForText("Run strip");
                visitor.WaitUntilIdle();
                var scene = Scene(visitor);
                Assert.Equal($"Pouch {i}", (string)scene["title"]!);
                Assert.Contains(
                    scene["pattern"]!["numbers"]!.AsArray(),
                    number => (string)number!["label"]! == "Height" && (double)number["value"]! == 90 + i
                );
                visitor.GoTo("/");
            }
        });

    [Fact]
    public void CuttingTable_KeepsTicksAndNumbersMadeInTheSameBreath() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Ticks");
            AddShape(visitor, "Leaf");
            visitor.Click("button", "Cut beforehand");
            visitor.Click("link", "Cutting table");
            visitor.Click("button", "Lay out");
            for (var i = 1; i <= 6; i++)
            {
                visitor.TickAtOnce("Names", "Centre cross", "Match marks");
                var marks = Cut(visitor)["marks"]!;
                Assert.Equal(
                    (i % 2 == 1, i % 2 == 1, i % 2 == 1),
                    ((bool)marks["labels"]!, (bool)marks["centres"]!, (bool)marks["matches"]!)
                );
            }
            visitor.TypeAndPress("Blade", ("Gap between shapes", "7"), ("Copies", "3"), ("Mat width", "250"));
            Assert.Equal((7, 3), ((double)Cut(visitor)["gap"]!, (int)Cut(visitor)["copies"]!));
            visitor.TypeAndPress("Sizes", ("Depth", "0.8"), ("Pressure", "44"), ("Speed", "33"));
            var profile = Scene(visitor)["cutCloths"]![0]!["profile"]!;
            Assert.Equal(
                (0.8, 0.44, 33),
                ((double)profile["depth"]!, (double)profile["pressure"]!, (double)profile["speed"]!)
            );
        });

    [Fact]
    public void OtherPanels_TakeWhatWasTyped() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Panels");
            AddShape(visitor, "Drop");
            visitor.TypeAndPress("mm, show inches instead", ("Project title", "Panels at once"));
            Assert.Equal("inch", (string)Scene(visitor)["unit"]!);
            Assert.Equal("Panels at once", (string)Scene(visitor)["title"]!);
            visitor.Press(OpenQA.Selenium.Keys.Escape);
            visitor.WaitForText("This project");
            visitor.Click("button", "New thread");
            visitor.TypeAndPress("Add the thread", ("Name", "heather 402"));
            visitor.WaitForText("heather 402");
            visitor.Click("button", "Measure");
            visitor.TypeAndPress("Done", ("From, across", "-20"), ("To, across", "30"), ("To, down", "12"));
            visitor.Click("link", "Run sheet");
            visitor.Click("button", "Add a hand step");
            visitor.TypeAndPress(
                "Add it",
                ("In a sentence", "Fetch the tape"),
                ("What must not go wrong", "No tape left")
            );
            Assert.Contains(Scene(visitor)["steps"]!.AsArray(), step => (string?)step!["text"] == "Fetch the tape");
        });

    [Fact]
    public void ANumberThatCantBeRead_HoldsThePress_AndSaysWhy_AndCancelLetsItGo() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Held");
            AddShape(visitor, "Star");
            visitor.TypeAndPress("Duplicate Star", ("Height", "huge"));
            visitor.WaitForText("\"huge\" is not a length.");
            Assert.Single(Scene(visitor)["elements"]!.AsArray());
            visitor.TypeAndPressSlowly("Duplicate Star", "Height", "vast", "\"vast\" is not a length.");
            Assert.Single(Scene(visitor)["elements"]!.AsArray());
            visitor.Click("button", "Letters");
            visitor.TypeAndPress("Cancel", ("Cap height", "no number"));
            visitor.WaitForNoText("Words to set");
        });

    [Fact]
    public void ACover_IsChangedWithOneRequest_AndTheStitchesThatItChanged() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Counted");
            AddShape(visitor, "Heart");
            AddShape(visitor, "Leaf");
            var before = Site.Requests.Count;
            visitor.Type("Cover width", "4.4");
            visitor.WaitForValue("Cover width", "4.4");
            var asked = Site.Requests.Skip(before).ToList();
            Assert.Equal(["POST edits"], asked.Where(each => !each.EndsWith("stitches", StringComparison.Ordinal)));
            // Of the step that changed, and of one that the travel before it changed.
            Assert.InRange(asked.Count(each => each.EndsWith("stitches", StringComparison.Ordinal)), 1, 2);
        });

    private static bool IsFlipped(JsonNode box) => (bool?)box["isFlipped"] ?? false;

    private static string Number(double value) => value.ToString("0.0#", CultureInfo.InvariantCulture);

    private JsonNode Cut(Visitor visitor) => Scene(visitor)["cutCloths"]![0]!["cut"]!;
}
