using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using Ullet.Files.StitchFiles;

namespace Ullet.Browser.Tests;

public sealed class SatinTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void ANameInSatin_OnAHeart_IsMadeClothAndLineAndBack_Retyped_AndReadBackFromItsFile() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Heart");
            AddShape(visitor, "Heart");
            visitor.Type("Width", "90");
            visitor.WaitForValue("Width", "90.0");
            visitor.Press(Keys.Escape);
            visitor.Click("button", "Letters");
            visitor.Fill("Words to set", "Rowan");
            visitor.Choose("Made as", "embroidered in satin");
            visitor.Type("Cap height", "14");
            visitor.Click("button", "Serif");
            visitor.WaitForText("columns");
            visitor.Click("button", "Bree Serif");
            Look(visitor, "chooser");
            visitor.Click("button", "Set the words");
            visitor.WaitForValue("Name", "Rowan");
            visitor.WaitForText("strokes to the cm");
            visitor.Choose("Thread", "ink blue");
            visitor.WaitUntilIdle();
            AssertAccessible(visitor, "card of satin");
            Look(visitor, "satin");
            var sewn = StitchCount(visitor);

            visitor.Choose("Made as", "Cloth");
            visitor.WaitForText("Cut beforehand");
            visitor.Choose("Made as", "Stitched line");
            visitor.WaitForText("Its lines are sewn as they are");
            visitor.Choose("Made as", "Satin");
            visitor.WaitForText("strokes to the cm");
            Assert.Equal(sewn, StitchCount(visitor));

            visitor.Choose("When words change", "the words keep their width");
            var width = visitor.ValueOf("Width");
            visitor.TypeWords("Words", "Bartholomew");
            visitor.WaitForValue("Name", "Bartholomew");
            Assert.Equal(width, visitor.ValueOf("Width"));
            Look(visitor, "retyped");

            visitor.Click("link", "Run sheet");
            visitor.Click("button", "Add a hand step");
            visitor.Choose("It goes after", "Heart, cover");
            visitor.Choose("What hands do", "by hand");
            visitor.Fill("In a sentence", "Smooth the heart before its name.");
            visitor.Click("button", "Add it");
            visitor.WaitForText("Smooth the heart before its name.");
            Look(visitor, "sheet");

            visitor.Click("link", "Packet");
            var file = visitor.Download("link", "Download: Stitch file", ".ulst");
            Assert.True(StitchFormats.List.Read(file).IsOk);
            var lines = Encoding.UTF8.GetString(file).Split('\n').ToList();
            int At(string start, string owner) =>
                lines.FindIndex(line =>
                    line.StartsWith("step", StringComparison.Ordinal)
                    && line.Contains(start, StringComparison.Ordinal)
                    && line.Contains(owner, StringComparison.Ordinal)
                );
            var (cover, hand, name) = (
                At("stitch cover", "Heart"),
                At("hand", "by-hand"),
                At("stitch satin", "Bartholomew")
            );
            Assert.True(0 < cover && cover < hand && hand < name, $"{cover}, {hand}, {name}");
            Assert.Contains("stop", lines[cover..hand]);
        });

    [Fact]
    public void ADirectionLine_IsLaidAcrossABar_AndTurnsItsStrokes() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Directions");
            AddShape(visitor, "Rectangle");
            visitor.Type("Height", "5");
            visitor.WaitForValue("Height", "5.0");
            visitor.Choose("Made as", "Satin");
            visitor.WaitForText("strokes to the cm");
            visitor.Click("button", "Turn its strokes");
            visitor.WaitForText("Draw a line across a column");
            visitor.DragOnWall((-1, -6), (1, 6));
            visitor.WaitForText("Take the direction line away");
            visitor.Click("button", "Done with directions");
            var directions = Scene(visitor)["elements"]![0]!["making"]!["directions"]!.AsArray();
            Assert.Single(directions);
            visitor.Click("button", "Take the direction line away");
            visitor.WaitForNoText("Take the direction line away");
        });

    private static void Look(Visitor visitor, string name)
    {
        if (Environment.GetEnvironmentVariable("ULLET_LOOK") is { } folder)
        {
            File.WriteAllBytes(Path.Combine(folder, $"satin-{name}.png"), visitor.Picture());
        }
    }
}
