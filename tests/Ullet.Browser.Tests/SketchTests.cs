using OpenQA.Selenium;
using Ullet.Files.StitchFiles;

namespace Ullet.Browser.Tests;

public sealed class SketchTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void ARobinInThread_BesideOneInCloth_IsMadeClothAndBack_AndTheFileIsTheOneFromBefore() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Robins");
            visitor.Click("button", "New cloth");
            visitor.Fill("Name", "pearl film");
            visitor.Choose("Kind", "Polyester film");
            visitor.Click("button", "Add the cloth");
            visitor.WaitForText("pearl film");

            Open(visitor, "bird");
            AssertAccessible(visitor, "drawings of our own");
            Put(visitor, "In thread", "9", "Robin in thread is at least");
            Put(visitor, "In thread", "18", "beak (from");
            Put(visitor, "In thread", "50", "All of it can be sewn in thread.");
            visitor.Click("button", "Put on the wall");
            visitor.WaitForText("6 elements");
            visitor.DragOnWall((0, 2), (-30, -30));
            visitor.WaitUntilIdle();

            // Loosened for film, the fill asks hands for it.
            visitor.ClickInStack("Robin, breast");
            visitor.Choose("Film between the rows", "pearl film");
            visitor.WaitForText("10 rows to the cm");
            visitor.Click("link", "Run sheet");
            visitor.WaitForText("pearl film");
            visitor.Click("link", "Wall");

            visitor.ClickOnWall(-60, 80);
            Open(visitor, "robin");
            Put(visitor, "In cloth", "50", "All of it can be sewn in cloth.");
            visitor.Click("button", "Put on the wall");
            visitor.WaitForText("6 elements");
            visitor.DragOnWall((0, 2), (30, 35));
            visitor.WaitUntilIdle();
            Assert.Equal(12, visitor.Stack().Count);

            visitor.ClickOnWall(-60, 80);
            visitor.Click("button", "Change earth brown");
            visitor.Choose("Exchange it everywhere for", "ink blue");
            visitor.WaitUntilIdle();
            var before = Exported(visitor);

            visitor.Click("link", "Wall");
            visitor.ClickOnWall(-30, -30);
            visitor.WaitForText("6 elements");
            Set(visitor, "In cloth");
            visitor.WaitUntilIdle();
            Set(visitor, "In thread");
            visitor.WaitUntilIdle();
            Assert.Equal(before, Exported(visitor));
            Assert.True(StitchFormats.List.Read(before).IsOk);
        });

    [Fact]
    public void Colours_AreKeptUnderNames_AndTakenAgain() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Colours");
            AddShape(visitor, "Heart");
            visitor.ClickOnWall(-60, 80);
            visitor.TypeAndPress("Keep", ("Keep the present colours as", "Summer"));
            visitor.WaitForText("Summer");
            visitor.Click("button", "Change rust");
            visitor.Fill("Name", "frost");
            visitor.Click("button", "Change the thread");
            visitor.WaitForText("frost");
            AssertAccessible(visitor, "colourways");
            visitor.Click("button", "Summer");
            visitor.WaitForNoText("frost");
            visitor.Click("button", "Let Summer go");
            visitor.WaitForText("try them side by side");
        });

    [Fact]
    public void AGroupOfOnesOwn_IsPutOnTheShelf_AndSetInThread() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Own shelf");
            AddShape(visitor, "Heart");
            AddShape(visitor, "Star");
            visitor.Press(Keys.Control, "a");
            visitor.WaitForText("2 elements");
            visitor.Click("button", "Put on the shelf of drawings");
            AssertAccessible(visitor, "put on the shelf");
            visitor.Fill("What it shows", "Plot badge");
            visitor.Fill("Other words to find it by", "award");
            visitor.Click("button", "Put it there");
            visitor.WaitForText("Plot badge stands on the shelf");
            visitor.ClickOnWall(-60, 80);
            Open(visitor, "award");
            Put(visitor, "In thread", "50", "All of it can be sewn in thread.");
            visitor.Click("button", "Put on the wall");
            visitor.WaitForText("2 elements");
            Assert.Equal(4, visitor.Stack().Count);
            Open(visitor, "award");
            visitor.Click("button", "Take it off the shelf");
            visitor.WaitForText("No drawing answers to that word.");
        });

    private static void Open(Visitor visitor, string search)
    {
        visitor.Click("button", "Drawings");
        visitor.Fill("Search", search);
        visitor.WaitForNoText("Watering can");
    }

    private static void Put(Visitor visitor, string way, string size, string said)
    {
        Set(visitor, way);
        visitor.Type("Larger side", size);
        visitor.WaitForText(said);
    }

    private static void Set(Visitor visitor, string way) => visitor.Click("button", way);

    private static byte[] Exported(Visitor visitor)
    {
        visitor.Click("link", "Packet");
        return visitor.Download("link", "Download: Stitch file", ".ulst");
    }
}
