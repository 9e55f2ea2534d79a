using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

/// <summary>Stitches that somebody else made: opened, taken apart, made live, cut, kept as a part.</summary>
public sealed class OpenedTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void AStrangersKeyTab_IsOpened_TakenApart_MadeLive_Cut_AndItsHoleDroppedIntoThePouch() =>
        Visit(visitor =>
        {
            var tab = ProjectOf("Shed-key tab");
            var csv = Site.Client.GetStringAsync($"/api/projects/{tab}/program.csv").GetAwaiter().GetResult();
            NewProject(visitor, "Stranger");
            visitor.ChooseFile("Stitch files", Sample("tab.csv", csv));
            visitor.WaitForText("47.6 × 85.6 mm");
            visitor.WaitForText("the machine stops");
            AssertAccessible(visitor, "preview of a stitch file");
            visitor.Click("button", "Put on the wall");
            visitor.WaitForText("6 elements");
            Assert.Equal(1147, StitchCount(visitor));

            visitor.Press(Keys.Escape);
            visitor.Press("t");
            visitor.Fill("Words to set", "Tools");
            visitor.Choose("Made as", "embroidered in satin");
            visitor.Type("Cap height", "8");
            visitor.Fill("Words to set", "Tools");
            visitor.Press(Keys.Control, Keys.Enter);
            visitor.WaitForValue("Name", "Tools");
            visitor.Type("Down", "28");
            visitor.Click("link", "Run sheet");
            visitor.DragStep("Tools, satin", "Block 3, cover");
            visitor.WaitForText("Your own order, and it works");
            var steps = visitor.Steps();
            Assert.Equal(steps.IndexOf("Block 2, tack-down") + 1, steps.IndexOf("Tools, satin"));
            Assert.Equal(steps.IndexOf("Tools, satin") + 1, steps.IndexOf("Block 3, cover"));

            visitor.Click("link", "Wall");
            visitor.ClickInStack("Block 3, cover");
            var whole = StitchCount(visitor);
            visitor.Click("button", "Lasso");
            AssertAccessible(visitor, "lasso");
            visitor.DrawRound((-40, -50), (-1, -50), (-1, 0), (-1, 50), (-40, 50), (-40, 0));
            visitor.Click("button", "Split off what is inside");
            visitor.WaitForValue("Name", "Block 3, part 2");
            visitor.Press(Keys.Delete);
            visitor.WaitForNoText("part 2");
            Assert.True(StitchCount(visitor) < whole - 100);
            visitor.Press(Keys.Control, "z");
            visitor.Press(Keys.Control, "z");
            Assert.Equal(whole, StitchCount(visitor));

            visitor.ClickInStack("Block 3, cover");
            visitor.Click("button", "Make live");
            visitor.WaitForValue("Name", "Piece");
            AssertAccessible(visitor, "piece made of stitches");
            var live = Element(visitor, "Piece");
            Assert.Equal("cutBeforehand", (string)live["making"]!["method"]!);
            Assert.Equal("blanket", (string)live["making"]!["cover"]!["kind"]!);
            Near(46, (double)live["box"]!["width"]!);
            Near(84, (double)live["box"]!["height"]!);

            visitor.ClickInStack("Block 1, kept, not sewn");
            visitor.Click("button", "Take its shape to cut");
            visitor.WaitForValue("Name", "Block 1, to cut");
            visitor.WaitForText("Its edge lies under Block 3 all round");
            visitor.Click("link", "Cutting table");
            visitor.Click("button", "Block 1, to cut");
            visitor.WaitForText("84.");
            var cut = Element(visitor, "Block 1, to cut");
            Near(46, (double)cut["box"]!["width"]!);
            Near(84, (double)cut["box"]!["height"]!);

            visitor.Click("link", "Wall");
            foreach (var block in new[] { 1, 2, 3 })
            {
                visitor.ClickInStack($"Block {block}, kept, not sewn");
                visitor.Click("button", "Lasso");
                visitor.DrawRound((-9, -37), (9, -37), (9, -19), (-9, -19), (-9, -28));
                visitor.Click("button", "Split off what is inside");
                visitor.WaitForValue("Name", $"Block {block}, part 2");
            }
            visitor.ClickInStack("Block 1, part 2, kept, not sewn");
            visitor.ShiftClick("button", "Block 2, part 2, kept, not sewn");
            visitor.ShiftClick("button", "Block 3, part 2, kept, not sewn");
            visitor.WaitForText("3 elements");
            visitor.Click("button", "Keep as a part");
            visitor.Fill("Name", "Key hole");
            visitor.Fill("Tags, with commas between", "hole, tab");
            visitor.Click("button", "Keep it");
            visitor.WaitForText("Key hole stands on the shelf of parts now");

            OpenFromShelf(visitor, "Seed-packet pouch");
            visitor.WaitForText("Run strip");
            visitor.Click("button", "Stitches");
            visitor.PressButton("Shelf of parts");
            visitor.Fill("Search", "hole");
            visitor.WaitForText("Key hole");
            AssertAccessible(visitor, "shelf of parts");
            visitor.Click("button", "Drop it here");
            visitor.WaitForText("3 elements");
            visitor.Click("link", "Run sheet");
            var sewn = visitor.Steps();
            var own = new[] { 1, 2, 3 }
                .Select(block =>
                    sewn.FindIndex(step => step.StartsWith($"Block {block}, part 2", StringComparison.Ordinal))
                )
                .ToList();
            Assert.DoesNotContain(-1, own);
            Assert.Equal(own.Order(), own);
            Assert.True(own[2] < sewn.IndexOf("Linings, lay behind"));
        });

    private string ProjectOf(string title) =>
        (string)
            JsonNode
                .Parse(Site.Client.GetStringAsync("/api/projects").GetAwaiter().GetResult())!
                .AsArray()
                .First(item => (string)item!["title"]! == title)!["id"]!;

    private JsonNode Element(Visitor visitor, string name) =>
        Scene(visitor)["elements"]!.AsArray().First(each => (string)each!["name"]! == name)!;

    private static void Near(double meant, double found) => Assert.InRange(found, meant - 0.2, meant + 0.2);
}
