using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using OpenQA.Selenium;
using Ullet.Files.CutFiles;

namespace Ullet.Browser.Tests;

/// <summary>The cutting table and the stand-in cutter, as hands use them.</summary>
public sealed partial class CuttingTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void Letters_OnTwoCloths_GoThroughTheCutterAtTheirSize_AndAreMarkedWhenTheyChange() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Two cloths");
            Set(visitor, "Bo", "70");
            visitor.Type("Down", "-40");
            visitor.WaitForValue("Down", "-40.0");
            Set(visitor, "14", "60");
            visitor.Type("Down", "40");
            visitor.WaitForValue("Down", "40.0");
            visitor.Choose("Cloth", "pond dotted cotton");
            visitor.Click("link", "Cutting table");

            visitor.Click("button", "pond dotted cotton");
            visitor.Click("button", "Blade");
            visitor.Choose("Cut as", "Iron-on film");
            visitor.WaitForText("1 finding");
            visitor.Click("button", "Lay out");
            visitor.CheckRadio("Mirror: iron-on film");
            visitor.WaitForText("No findings");
            visitor.Click("button", "Files");
            var film = SvgCutReader.Read(visitor.Download("button", "Save SVG of pond dotted cotton", ".svg")).Value;
            Assert.Equal("iron-on film, carrier down", film.Mirrored);
            visitor.Click("button", "clay cotton");
            var plain = visitor.Download("button", "Save DXF of clay cotton", ".dxf");
            Assert.Null(DxfCutReader.Read(plain).Value.Mirrored);
            visitor.WaitForText("matches the stitching");

            visitor.Click("link", "Dry run");
            visitor.ChooseFile("Cut file", Kept("clay.dxf", plain));
            visitor.WaitForText("clay.dxf");
            visitor.WaitForText("Not mirrored.");
            visitor.Click("button", "Cut");
            visitor.WaitForText("Cut free");
            var report = visitor.TextOf("section", "Report");
            var shapes = Scene(visitor)["sheets"]!
                .AsArray()
                .Where(sheet => (string)sheet!["clothName"]! == "clay cotton")
                .SelectMany(sheet => sheet!["shapes"]!.AsArray())
                .ToList();
            Assert.Equal(2, shapes.Count);
            var freed = FreedSize()
                .Matches(report)
                .Select(match => (Width: Number(match.Groups["width"]), Height: Number(match.Groups["height"])))
                .ToList();
            foreach (var shape in shapes)
            {
                var (width, height) = ((double)shape!["box"]!["width"]!, (double)shape["box"]!["height"]!);
                // What is read is rounded to a tenth; the file itself may be off by half of that.
                Assert.Contains(
                    freed,
                    size => Math.Abs(size.Width - width) <= 0.1 && Math.Abs(size.Height - height) <= 0.1
                );
            }

            visitor.Click("link", "Wall");
            visitor.Click("button", "Bo");
            visitor.Type("Width", "74");
            visitor.WaitForValue("Width", "74.0");
            visitor.Click("link", "Packet");
            visitor.WaitForText("Out of date: the DXF saved before does not match the stitching any more.");
            visitor.Click("link", "Cutting table");
            visitor.WaitForText("What is cut has changed since; save it again.");
            visitor.Click("button", "Files");
            visitor.WaitForText("out of date: save it again");
            visitor.Download("button", "Save DXF of clay cotton", ".dxf");
            visitor.WaitForNoText("out of date: save it again");

            visitor.Click("button", "Edge match");
            visitor.Click("button", "Files");
            visitor.Choose("What is saved", "Bo, B alone");
            var alone = SvgCutReader.Read(visitor.Download("button", "Save SVG of Bo, B", ".svg")).Value;
            Assert.Equal(3, alone.Lines.Length);
        });

    [Fact]
    public void Shapes_OnTheMat_AreDraggedTurnedKeptTogetherAndLaidOutAgain() =>
        Visit(visitor =>
        {
            NewProject(visitor, "On the mat");
            foreach (var (form, across) in new[] { ("Heart", "-31"), ("Leaf", "31") })
            {
                visitor.Press(Keys.Escape);
                AddShape(visitor, form);
                visitor.Type("Across", across);
                visitor.WaitForValue("Across", across + ".0");
                visitor.Click("button", "Cut beforehand");
            }
            visitor.Click("link", "Cutting table");
            visitor.WaitForText("In place: shapes lie to one another as they do on the wall.");
            visitor.Click("button", "Lay out");
            visitor.Choose("Layout", "packed");
            visitor.WaitForText("Packed in rows, the tallest first.");
            visitor.DragShape("Heart", 90, 110);
            visitor.WaitForText("Laid by hand");
            var before = Shape(visitor, "Leaf")["box"]!.ToJsonString();
            visitor.DragShape("Heart", -60, -100);
            visitor.WaitForText("overlap or nearly touch");
            Assert.Equal(before, Shape(visitor, "Leaf")["box"]!.ToJsonString());
            visitor.Click("button", "Turn");
            Assert.Equal(90, (int)Shape(visitor, "Heart")["turn"]!);
            visitor.Click("button", "Lay out again");
            visitor.WaitForNoText("overlap or nearly touch");
            visitor.Choose("Grain", "one way");
            visitor.Click("button", "Sizes");
            visitor.Click("button", "Heart");
            visitor.ShiftClick("button", "Leaf");
            visitor.Click("button", "Keep together");
            Assert.Equal((string)Shape(visitor, "Heart")["unit"]!, (string)Shape(visitor, "Leaf")["unit"]!);
            visitor.Click("button", "Let go");
            Assert.NotEqual((string)Shape(visitor, "Heart")["unit"]!, (string)Shape(visitor, "Leaf")["unit"]!);
            visitor.Click("button", "Heart");
            visitor.Click("button", "Turn");
            visitor.WaitForText("The grain of this cloth runs one way");
            visitor.Click("button", "Lay out");
            visitor.Type("Copies", "3");
            visitor.Click("button", "Sizes");
            visitor.WaitForText("copy 3");
            visitor.Press(Keys.Control, "z");
            visitor.WaitForNoText("copy 3");
        });

    [Fact]
    public void WrongDepth_ShowsAndIsCutAgainInPlace() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Depth");
            AddShape(visitor, "Drop");
            visitor.Choose("Cloth", "hay felt");
            visitor.Click("button", "Cut beforehand");
            visitor.Click("link", "Cutting table");
            visitor.Click("link", "Dry run");
            visitor.Click("button", "Take SVG");
            visitor.Type("From the left edge", "280");
            visitor.WaitForText("The frame reaches past the mat.");
            visitor.Type("From the left edge", "40");
            visitor.WaitForNoText("The frame reaches past the mat.");
            visitor.Check("The cutter mirrors what it reads");
            visitor.Check("The cutter mirrors what it reads");
            visitor.Click("button", "Go round, blade up");
            visitor.Type("Depth", "0.6");
            visitor.Click("button", "Cut a ring and lift it");
            visitor.WaitForText("The ring does not lift");
            visitor.Click("button", "Cut");
            visitor.WaitForText("Not cut through: the blade reached 0.6 mm");
            visitor.WaitForText("Still held by the cloth");
            visitor.Type("Depth", "2");
            visitor.Click("button", "Cut again in place");
            visitor.WaitForText("Cut free");
            visitor.WaitForText("drop: 60.0 × 60.0 mm");
        });

    [Fact]
    public void Cut_ThatIsCancelled_ReportsWhatWasFreedSoFar() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Cancelled");
            AddShape(visitor, "Star");
            visitor.Click("button", "Cut beforehand");
            visitor.Click("link", "Cutting table");
            visitor.Click("link", "Dry run");
            visitor.Click("button", "Take SVG");
            visitor.AllowMotion();
            visitor.PressButton("Cut");
            visitor.WaitForProgress(20);
            visitor.PressButton("Cancel");
            visitor.WaitForText("Cancelled after");
            visitor.WaitForText("Nothing is cut free yet");
            visitor.WaitUntilIdle();
            visitor.Click("link", "Cutting table");
            visitor.WaitForText("The stand-in cutter takes the exported file");
        });

    [Fact]
    public void Tolerances_AndTheCoupon_ChangeTheEdgeMatch() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Exactly");
            AddShape(visitor, "Ellipse");
            visitor.Click("button", "Cut beforehand");
            visitor.Click("link", "Cutting table");
            visitor.Click("button", "Edge match");
            visitor.WaitForText("Holds.");
            visitor.Type("Laying, to either side", "1.4");
            visitor.WaitForText("Does not hold.");
            visitor.Click("button", "Back to the usual");
            visitor.WaitForText("Holds.");
            visitor.Click("button", "Type what I read");
            visitor.Fill("Widest gap between a laid edge and its placement line", "9");
            visitor.Click("button", "Take the readings");
            visitor.WaitForText("The widest gap must be from 0 to 5 mm; 9 was given.");
            visitor.Fill("Widest gap between a laid edge and its placement line", "0.3");
            visitor.Fill("Width of the large ring as cut (50 mm was asked)", "50.2");
            visitor.Click("button", "Take the readings");
            visitor.WaitForValue("Cutting, to either side", "0.10");
            visitor.WaitForValue("Laying, to either side", "0.20");
            visitor.WaitForText("Measured or typed for this cloth.");
            visitor.Click("button", "Show it on the wall");
            visitor.WaitForText("Run strip");
            visitor.WaitForValue("Name", "Ellipse");
            visitor.Click("link", "Cutting table");
            visitor.Click("button", "Edge match");
            visitor.Click("button", "Make a coupon");
            visitor.WaitForText("Run strip");
            Assert.Equal("Coupon, clay cotton", (string)Scene(visitor)["title"]!);
        });

    private static void Set(Visitor visitor, string words, string width)
    {
        visitor.Press(Keys.Escape);
        visitor.Click("button", "Letters");
        visitor.Fill("Words to set", words);
        visitor.Choose("Size by", "width");
        visitor.Type("Width of the letters", width);
        visitor.Click("button", "Thick");
        visitor.Click("button", "Titan One", last: true);
        visitor.Click("button", "Set the words");
        visitor.WaitForValue("Name", words);
        visitor.Click("button", "Cut beforehand");
    }

    private JsonNode Shape(Visitor visitor, string name) =>
        Scene(visitor)["sheets"]!
            .AsArray()
            .SelectMany(sheet => sheet!["shapes"]!.AsArray())
            .First(shape => (string)shape!["name"]! == name)!;

    private static double Number(Group group) => double.Parse(group.Value, CultureInfo.InvariantCulture);

    [GeneratedRegex(
        @"(?<width>[0-9.]+) × (?<height>[0-9.]+) mm",
        RegexOptions.NonBacktracking | RegexOptions.ExplicitCapture
    )]
    private static partial Regex FreedSize();

    private static string Kept(string name, byte[] file)
    {
        var path = Path.Combine(Directory.CreateTempSubdirectory("ullet-cut").FullName, name);
        File.WriteAllBytes(path, file);
        return path;
    }
}
