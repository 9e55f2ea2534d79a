using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

/// <summary>Finding one's way after a month: shelf, stash, help, search box, history.</summary>
public sealed class FindingOneselfTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void AfterAMonth_ThreadsComeIn_AProjectIsFoundByItsTag_AndGoesBackByItsPicture() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Came back");
            AddShape(visitor, "Heart");
            var id = visitor.Path_.Split('/')[2];
            var threeAgo = Document(id);
            visitor.Press(Keys.ArrowRight);
            visitor.Press(Keys.ArrowDown);

            // Threads from a table, and the nearest of them in the place of the project's own.
            visitor.GoTo("/stash");
            AssertAccessible(visitor, "empty stash");
            visitor.Click("button", "Bring in a CSV");
            visitor.ChooseFile("CSV file of threads", Sample("threads.csv", Threads(200)));
            visitor.WaitForText("200 threads: 200 new");
            AssertAccessible(visitor, "threads from a table");
            visitor.Click("button", "Bring in 200 threads");
            visitor.WaitForText("200 threads came into the stash.");
            visitor.Fill("Search the threads", "near rust");
            visitor.WaitForText("1199");
            AssertAccessible(visitor, "stash");
            visitor.GoTo($"/p/{id}/wall");
            visitor.Click("button", "Change rust");
            visitor.Click("button", "Exchange it for the nearest of the stash");
            visitor.WaitForText("Nearest to rust first");
            AssertAccessible(visitor, "nearest threads");
            visitor.ClickNth("button", "1199 near rust", 0);
            visitor.WaitForText("1199 near rust");
            var scene = Scene(visitor);
            var cover = (string)scene["hooping"]!["coverThreadId"]!;
            var thread = scene["threads"]!.AsArray().Single(each => (string)each!["id"]! == cover)!;
            Assert.Equal(("1199", "near rust"), ((string)thread["number"]!, (string)thread["name"]!));

            // Found again among sixty by its tag.
            visitor.GoTo("/");
            visitor.Fill("Search the shelf", "CAME back");
            visitor.WaitForText("1 of ");
            visitor.Click("button", "More with Came back");
            visitor.Click("menu item", "Tags…");
            visitor.Fill("New tags, with commas between", "autumn stall");
            AssertAccessible(visitor, "tags");
            visitor.Click("button", "Keep the tags");
            visitor.WaitForText("autumn stall");
            FillShelf(60);
            visitor.GoTo("/");
            visitor.WaitForText("60 projects");
            visitor.Click("button", "autumn stall 1");
            visitor.WaitForText("1 of 60 projects");
            visitor.Click("link", "Came back");
            visitor.WaitForText("Run strip");

            // Its state of three edits ago, by its picture.
            visitor.Click("button", "History");
            visitor.WaitForText("Newest first.");
            visitor.WaitForText("Exchange rust for one of the stash");
            AssertAccessible(visitor, "history");
            var undo = Document(id);
            visitor.ClickNth("button", "Go back to this: Add heart", 0);
            visitor.WaitForText("that state is back");
            Assert.Equal(threeAgo, Document(id));
            visitor.Press(Keys.Control, "z");
            visitor.WaitUntilIdle();
            Assert.Equal(undo, Document(id));
        });

    [Fact]
    public void PutItRight_IsFoundByTheSearchBox_AndTheHelpFromAFinding() =>
        Visit(visitor =>
        {
            OpenFromShelf(visitor, "Seed-packet pouch");
            visitor.Click("link", "Run sheet");
            visitor.DragStep("Rowan, satin", "Stabiliser, trim");
            visitor.WaitForText("This order does not work");

            visitor.Press(Keys.F1);
            visitor.WaitForText("Finding one's way");
            visitor.Press(Keys.Escape);
            visitor.Click("link", "Wall");
            visitor.Run("document.querySelector('[aria-controls=findings]').click()");
            visitor.Click("button", "What this means: An order that does not work");
            visitor.WaitForText("moves as few steps as it can");
            AssertAccessible(visitor, "help over the wall");
            visitor.Click("button", "Close: Help");

            visitor.Press("/");
            visitor.WaitForText("↑ ↓ choose");
            AssertAccessible(visitor, "search box");
            visitor.Press("put it r");
            visitor.WaitForText("Moves as few steps as it can until the order works.");
            visitor.Press(Keys.Enter);
            visitor.WaitForText("Your own order, and it works");
            Assert.EndsWith("/run-sheet", visitor.Path_, StringComparison.Ordinal);

            visitor.Press(Keys.Control, "k");
            visitor.Press("zzqq");
            visitor.WaitForText("Nothing is called so.");
            visitor.Press(Keys.Escape);
            visitor.WaitForNoText("↑ ↓ choose");
        });

    [Fact]
    public void TheShelf_ByKeys_Renames_ChoosesSeveral_ThrowsThemAway_AndGivesThemBack() =>
        Visit(visitor =>
        {
            foreach (var title in new[] { "Shelf one", "Shelf two" })
            {
                Site.Client.PostAsJsonAsync("/api/projects", new { title }).GetAwaiter().GetResult();
            }
            visitor.GoTo("/?search=shelf");
            visitor.Click("button", "More with Shelf one");
            visitor.Click("menu item", "Rename");
            visitor.Press("Shelf three");
            visitor.Press(Keys.Enter);
            visitor.WaitForText("Shelf three");
            visitor.WaitForNoText("Shelf one");

            visitor.CheckBox("Choose Shelf two");
            visitor.CheckBox("Choose Shelf three");
            visitor.WaitForText("2 projects chosen");
            AssertAccessible(visitor, "shelf with projects chosen");
            visitor.Choose("Put into a set", "a new set");
            visitor.Fill("Name", "Rows");
            visitor.Click("button", "Make the set");
            visitor.WaitForText("Rows");
            visitor.Click("button", "Delete");
            visitor.WaitForText("2 projects lie in the bin for 30 days.");
            visitor.WaitForText("No project answers to that.");
            visitor.Click("button", "Bin (2)");
            visitor.WaitForText("Put all back");
            AssertAccessible(visitor, "bin");
            visitor.Click("button", "Put back: Shelf two");
            visitor.Click("button", "Delete Shelf three for good");
            visitor.WaitForText("This can’t be undone.");
            visitor.Click("button", "Delete for good");
            visitor.WaitForText("The bin is empty.");
            visitor.Click("button", "Close: Bin");
            visitor.WaitForText("Shelf two");
        });

    [Fact]
    public void AnEmptyWall_OffersFiveWays_AStageIsExplainedOnce_AndAVariantIsMade() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Beginner");
            visitor.WaitForText("How do you want to begin?");
            foreach (var way in new[] { "A shape", "Letters", "A small drawing", "A pattern", "A file" })
            {
                Assert.True(visitor.Sees("button", way), way);
            }
            AssertAccessible(visitor, "empty wall");
            visitor.Click("button", "A pattern");
            visitor.WaitForText("Which pattern?");
            visitor.Click("button", "Back to the other ways");
            visitor.Click("button", "A shape");
            visitor.Click("button", "Star");
            visitor.WaitForValue("Name", "Star");
            visitor.WaitForText("The machine sews a single line on the ground and stops");
            AssertAccessible(visitor, "stages explained");
            visitor.Click("button", "Understood");
            visitor.WaitForNoText("The machine sews a single line on the ground and stops");
            visitor.GoTo(visitor.Path_);
            visitor.Click("button", "Star");
            visitor.WaitForText("Trim in the hoop");
            Assert.DoesNotContain("The machine sews a single line", visitor.Text(), StringComparison.Ordinal);

            visitor.Press("/");
            visitor.Press("variant");
            visitor.Press(Keys.Enter);
            visitor.WaitForText("covers not counted");
            AssertAccessible(visitor, "variant");
            visitor.Type("Width of all outlines", "80");
            visitor.Click("button", "Make the variant");
            visitor.WaitForText("It stands in one set with the other sizes.");
            visitor.WaitForValue("Project title", "Beginner, 80 mm");
            var box = Scene(visitor)["elements"]![0]!["box"]!;
            Assert.Equal(80, (double)box["width"]!, 0.01);
        });

    [Fact]
    public void Keys_FitScrollAndClose_AndThePacketTellsItsFolder_AndWhatWentOut() =>
        Visit(visitor =>
        {
            OpenPatch(visitor);
            visitor.Press("?");
            visitor.WaitForText("Search for what to do, projects and help");
            AssertAccessible(visitor, "keys");
            Assert.True(
                (bool)
                    visitor.Run(
                        "const box = document.querySelector('[role=dialog]').getBoundingClientRect();"
                            + "return box.top >= 0 && box.bottom <= innerHeight;"
                    )!
            );
            visitor.Click("button", "Close: Keys");
            visitor.WaitForNoText("Search for what to do, projects and help");
            visitor.Click("link", "Packet");
            visitor.WaitForText("Handed out before");
            visitor.Fill("The folder’s name", "For Ada");
            AssertAccessible(visitor, "packet");
            var id = visitor.Path_.Split('/')[2];
            var went = Site.Client.GetByteArrayAsync($"/api/projects/{id}/packet.zip?folder=For%20Ada");
            Assert.NotEmpty(went.GetAwaiter().GetResult());
            visitor.WaitForText("For Ada.zip");
            Assert.True(visitor.Sees("link", "The same again: For Ada.zip"));
        });

    private string Document(string id) =>
        Site.Client.GetFromJsonAsync<JsonNode>($"/api/projects/{id}").GetAwaiter().GetResult()![
            "project"
        ]!.ToJsonString();

    private void FillShelf(int count)
    {
        var there = Site.Client.GetFromJsonAsync<JsonArray>("/api/projects").GetAwaiter().GetResult()!;
        for (var i = there.Count; i < count; i++)
        {
            Site.Client.PostAsJsonAsync("/api/projects", new { title = $"Bed {i}" }).GetAwaiter().GetResult();
        }
    }

    /// <summary>Threads of made-up shades; one lies next to the rust that new projects begin with.</summary>
    private static string Threads(int count) =>
        "Colour;Number;Name;Maker;Metres\n"
        + string.Join(
            '\n',
            Enumerable
                .Range(0, count - 1)
                .Select(i => $"#{i * 7919 * 31 % 0xffffff:x6};{1000 + i};shade {i};yarns;{100 + i}")
                .Append("#8d4029;1199;near rust;yarns;500")
        );
}
