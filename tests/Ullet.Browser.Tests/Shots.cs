using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Browser.Tests;

/// <summary>Takes the current picture of each main view; "./ullet shots" keeps them in docs/screenshots.</summary>
public sealed class Shots(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    private readonly string _folder =
        Environment.GetEnvironmentVariable("ULLET_SHOTS")
        ?? Directory.CreateDirectory(Path.Combine(Repository.Root, "artifacts", "shots")).FullName;

    [Fact]
    public void EachMainView_FromDemoData() =>
        Visit(visitor =>
        {
            visitor.GoTo("/");
            Keep(visitor, "shelf");
            OpenPatch(visitor);
            Keep(visitor, "wall");
            visitor.Click("button", "Beetroot");
            visitor.WaitForText("Understood");
            Keep(visitor, "wall-piece");
            visitor.Click("button", "Understood");
            visitor.Click("link", "Rehearsal");
            visitor.Click("button", "Done, press start");
            visitor.WaitForText("Now: Lay shed green cotton");
            visitor.Click("button", "Step 18, hands: Beetroot, trim");
            visitor.WaitForText("trim beetroot cotton close");
            Keep(visitor, "rehearsal-stop");
            visitor.Click("link", "Packet");
            Keep(visitor, "packet");
            visitor.GoTo("/");
            visitor.Click("link", "Plot 14 pennant");
            visitor.WaitForText("Run strip");
            visitor.Click("link", "Cutting table");
            visitor.Click("button", "Plot, o");
            Keep(visitor, "cutting-table");
            visitor.Click("button", "carrot striped cotton");
            visitor.Click("button", "Edge match");
            visitor.WaitForText("bites");
            visitor.Click("link", "Dry run");
            visitor.Click("button", "Take SVG");
            visitor.WaitForText("Mirrored already");
            visitor.Type("From the left edge", "60");
            visitor.Click("button", "Cut a ring and lift it");
            visitor.WaitForText("The ring lifts out");
            visitor.AllowMotion();
            visitor.PressButton("Cut");
            visitor.WaitForProgress(45);
            Keep(visitor, "dry-run", isMoving: true);
            visitor.PressButton("Cancel");
            visitor.Click("link", "Wall");
            visitor.WaitForText("Run strip");
            visitor.Click("button", "Plot");
            visitor.Click("button", "Letters", last: true);
            visitor.Click("button", "Letter o");
            Keep(visitor, "wall-letters");
            visitor.Click("button", "Letters");
            visitor.Fill("Words to set", "Rowan");
            visitor.WaitUntilIdle();
            Keep(visitor, "font-chooser");
            visitor.Press(OpenQA.Selenium.Keys.Escape);
            visitor.Click("button", "Drawings");
            visitor.Click("button", "Robin");
            visitor.Click("button", "In thread");
            visitor.WaitForText("All of it can be sewn");
            Keep(visitor, "drawings");
            visitor.Press(OpenQA.Selenium.Keys.Escape);
            visitor.GoTo("/");
            visitor.Click("link", "Seed-packet pouch");
            visitor.WaitForText("Run strip");
            visitor.Click("link", "Run sheet");
            visitor.ClickStep("Zip pouch, turn");
            Keep(visitor, "run-sheet");
            visitor.GoTo("/");
            visitor.Click("button", "From a pattern");
            visitor.Click("button", "Zip pouch");
            visitor.WaitForText("Smallest hoop");
            Keep(visitor, "pattern-chooser");
            visitor.Press(OpenQA.Selenium.Keys.Escape);
            visitor.GoTo("/");
            visitor.Click("link", "Beetroot and carrot block");
            visitor.WaitForText("Run strip");
            visitor.ClickInStack("Beetroot");
            visitor.WaitForValue("Name", "Beetroot");
            visitor.Click("button", "Edge match");
            visitor.WaitForText("Holds.");
            visitor.Type("Cover width", "2.4");
            visitor.WaitForText("Does not hold.");
            visitor.Run(
                "[...document.querySelectorAll('h3, button')].find(e => e.textContent.startsWith('Edge match')).scrollIntoView()"
            );
            Keep(visitor, "edge-match");
            visitor.Press(OpenQA.Selenium.Keys.Control, "z");
            visitor.WaitForText("Holds.");
            visitor.Click("button", "Edge match");
            NewProject(visitor, "Stranger");
            visitor.ChooseFile("Stitch files", StitchFile("Plot 14 harvest patch"));
            visitor.WaitForText("the machine stops");
            Keep(visitor, "stitches-open");
            visitor.Press(OpenQA.Selenium.Keys.Escape);
            visitor.GoTo("/");
            visitor.Click("link", "Seed-packet pouch");
            visitor.WaitForText("Run strip");
            visitor.Click("link", "Order book");
            visitor.WaitForText("3 orders can’t be made yet");
            Keep(visitor, "orders");
            visitor.GoTo("/stash");
            Keep(visitor, "stash");
            visitor.GoTo("/help/methods#method-trimInTheHoop");
            visitor.WaitForText("The machine sews the placement of heart");
            Keep(visitor, "help");
            OpenPatch(visitor);
            visitor.ClickInStack("Beetroot");
            foreach (
                var (key, _) in Enumerable
                    .Range(0, 5)
                    .Select(i => (i % 2 == 0 ? OpenQA.Selenium.Keys.ArrowLeft : OpenQA.Selenium.Keys.ArrowUp, i))
            )
            {
                visitor.Press(OpenQA.Selenium.Keys.Shift, key);
            }
            visitor.Type("Name", "Beet");
            visitor.Click("button", "History");
            visitor.WaitForText("Newest first.");
            visitor.WaitForPictures();
            Keep(visitor, "history");
            visitor.Press(OpenQA.Selenium.Keys.Escape);
            visitor.Press(OpenQA.Selenium.Keys.Control, "k");
            visitor.Press("stit");
            visitor.WaitForText("Save the stitch file");
            Keep(visitor, "search");
        });

    /// <summary>What a demo project sews, as a file.</summary>
    private string StitchFile(string title)
    {
        var shelf = Site.Client.GetFromJsonAsync<JsonArray>("/api/projects").GetAwaiter().GetResult();
        var id = (string)shelf!.First(item => (string)item!["title"]! == title)!["id"]!;
        return Sample(
            $"{title}.ulst",
            Site.Client.GetStringAsync($"/api/projects/{id}/program.ulst").GetAwaiter().GetResult()
        );
    }

    private void Keep(Visitor visitor, string name, bool isMoving = false)
    {
        if (!isMoving)
        {
            visitor.WaitUntilIdle();
        }
        // Messages, tooltips and the seconds since the last save are no part of the view.
        visitor.Run("document.activeElement?.blur()");
        var picture = visitor.Picture();
        var (width, height) = (BigEndian(picture, 16), BigEndian(picture, 20));
        Assert.Equal((1280, 800), (width, height));
        File.WriteAllBytes(Path.Combine(_folder, $"{name}.png"), picture);
    }

    /// <summary>PNG keeps its size in the header, big end first.</summary>
    private static int BigEndian(byte[] bytes, int at) =>
        (bytes[at] << 24) | (bytes[at + 1] << 16) | (bytes[at + 2] << 8) | bytes[at + 3];
}
