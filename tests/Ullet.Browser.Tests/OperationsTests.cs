using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

public sealed class OperationsTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void ALetter_IsCarvedByAName_FollowsIt_IsCleared_Joined_Rounded_Frozen_AndUndone() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Gate initial");
            Set(visitor, "R", "110");
            Set(visitor, "Rowan", "124");
            var bare = CutOf(visitor, "R");

            SelectInStack(visitor, "R");
            visitor.Click("button", "Shape", last: true);
            AddOperation(visitor, "Carve");
            visitor.Check("Rowan");
            visitor.Click("button", "Carve");
            visitor.WaitForValue("Reveal", "2.0");
            visitor.WaitForText("Measured between finished edges: 1.4 mm of this cover and 1.4 mm of theirs");
            var carved = CutOf(visitor, "R");
            var sewn = StitchesOf(visitor, "R");
            Assert.NotEqual(bare, carved);
            AssertAccessible(visitor, "card with an operation");

            SelectInStack(visitor, "Rowan");
            visitor.Choose("When words change", "letters keep their height");
            visitor.TypeWords("Words", "Ro");
            visitor.WaitForValue("Name", "Ro");
            SelectInStack(visitor, "R");
            Assert.NotEqual(carved, CutOf(visitor, "R"));
            Assert.NotEqual(sewn, StitchesOf(visitor, "R"));

            // As wide as the letter, the name leaves a corner of it that nobody can lay.
            SelectInStack(visitor, "Ro");
            visitor.Type("Width", "124");
            visitor.WaitForValue("Width", "124.0");
            SelectInStack(visitor, "R");
            visitor.WaitForText("What is left too small");
            AssertAccessible(visitor, "card with crumbs");
            var crumbs = Leftovers(visitor, "R", "crumb");
            Assert.NotEqual(0, crumbs);
            visitor.Click("button", "Show crumb 1");
            visitor.Click("button", "Clear all crumbs");
            visitor.WaitForText("Or narrower than");
            Assert.Equal(0, Leftovers(visitor, "R", "crumb"));

            AddShape(visitor, "Rectangle");
            visitor.Type("Across", "0");
            visitor.Click("button", "Keep proportions");
            visitor.Type("Width", "120");
            visitor.Type("Height", "12");
            visitor.Click("button", "Keep proportions");
            SelectInStack(visitor, "R");
            AddOperation(visitor, "Join");
            visitor.Check("Rectangle");
            visitor.Click("button", "Join");
            Assert.True((bool)Element(visitor, "Rectangle")["isConstruction"]!);
            Assert.Equal(120, (double)Element(visitor, "R")["outline"]!["width"]!, 0.5);
            AddOperation(visitor, "Round corners");
            visitor.Type("Radius", "2");
            visitor.WaitForValue("Radius", "2.0");
            Assert.Equal(4, Element(visitor, "R")["operations"]!.AsArray().Count);
            var before = CutOf(visitor, "R");

            visitor.Click("button", "Freeze into nodes");
            visitor.WaitForText("Carve, join, round or repeat this element");
            Assert.Empty(Element(visitor, "R")["operations"]!.AsArray());
            Assert.True((bool)Element(visitor, "R")["isDrawn"]!);
            Assert.Equal(before.Length, CutOf(visitor, "R").Length, before.Length * 0.02);

            for (var edits = 15; edits > 0; edits--)
            {
                visitor.Press(Keys.Escape);
                visitor.Press(Keys.Control, "z");
            }
            visitor.WaitForText("How do you want to begin?");
        });

    [Fact]
    public void DrawnLines_GetNodes_AreMovedMadeSmooth_AndOpenLinesStayOpen() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Nodes");
            visitor.Click("button", "Draw");
            visitor.WaitForText("Click the first node again");
            visitor.ClickOnWall(-40, 30);
            visitor.ClickOnWall(0, -30);
            visitor.ClickOnWall(40, 30);
            visitor.ClickOnWall(-40, 30);
            visitor.WaitForText("Cut beforehand");
            Assert.Equal("piece", (string)Elements(visitor)[0]!["kind"]!);

            visitor.Click("button", "Nodes");
            visitor.Click("button", "Edit nodes");
            visitor.WaitForText("3 nodes");
            visitor.DragOnWall((0, -30), (0, -50));
            visitor.WaitForText("Node 2 of 3");
            visitor.WaitUntilIdle();
            Assert.InRange(double.Parse(visitor.ValueOf("Node down")), -51, -49);
            visitor.Type("Node down", "-48");
            visitor.WaitForValue("Node down", "-48.0");
            visitor.Click("button", "Smooth");
            visitor.Click("button", "Add after");
            visitor.WaitForText("Node 2 of 4");
            AssertAccessible(visitor, "card of nodes");
            visitor.Click("button", "Split here");
            visitor.WaitForText("whose edge must close");
            visitor.Click("button", "Done with nodes");

            visitor.Click("button", "By hand");
            visitor.DragOnWall((-50, 60), (50, 70));
            visitor.WaitForText("bean, each stitch three times");
            Assert.Equal("line", (string)Elements(visitor)[1]!["kind"]!);
        });

    [Fact]
    public void Layers_ShowWhatLiesUnder_AndDeletingWhatIsNeededAsks() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Layers");
            AddShape(visitor, "Ellipse");
            AddShape(visitor, "Heart");
            visitor.Type("Down", "0");
            visitor.Type("Across", "25");
            SelectInStack(visitor, "Ellipse");
            visitor.Click("button", "Edge");
            visitor.WaitForText("under");
            Assert.NotEqual("", (string)Element(visitor, "Ellipse")["coveredPath"]!);
            visitor.Check("Stretch 1, " + FirstStretch(visitor));
            visitor.WaitForText("By hand");
            AssertAccessible(visitor, "card of edges");

            visitor.Press(Keys.Escape);
            visitor.Press(Keys.Control, "a");
            visitor.Click("button", "Combine");
            visitor.WaitForText("Element that changes");
            AssertAccessible(visitor, "card of several");
            visitor.Click("button", "Carve");
            visitor.WaitForText("Measured between finished edges");
            SelectInStack(visitor, "Heart");
            visitor.Press(Keys.Escape);
            SelectInStack(visitor, "Heart");
            visitor.Click("button", "Delete Heart");
            visitor.WaitForText("Ellipse is made with what you delete.");
            AssertAccessible(visitor, "panel of deleting");
            visitor.Click("button", "Freeze and delete");
            visitor.WaitForNoText("is made with what you delete");
            Assert.Equal("Ellipse", (string)Assert.Single(Elements(visitor))!["name"]!);
        });

    private static void Set(Visitor visitor, string words, string width)
    {
        visitor.Press(Keys.Escape);
        visitor.WaitForText("Whole design");
        visitor.Click("button", "Letters");
        visitor.Fill("Words to set", words);
        visitor.Choose("Size by", "width");
        visitor.Type("Width of the letters", width);
        visitor.Choose("Made as", "all as one piece");
        visitor.Click("button", "Thick");
        visitor.Click("button", "Titan One");
        visitor.Click("button", "Set the words");
        visitor.WaitForValue("Name", words);
        visitor.WaitUntilIdle();
    }

    private static void AddOperation(Visitor visitor, string name)
    {
        visitor.Click("button", "Add an operation");
        visitor.Click("menu item", name);
    }

    private static void SelectInStack(Visitor visitor, string name)
    {
        visitor.Press(Keys.Escape);
        visitor.ClickInStack(name);
        visitor.WaitForValue("Name", name);
        visitor.WaitUntilIdle();
    }

    private JsonArray Elements(Visitor visitor) => Scene(visitor)["elements"]!.AsArray();

    private JsonNode Element(Visitor visitor, string name) =>
        Elements(visitor).Single(each => (string)each!["name"]! == name)!;

    private string CutOf(Visitor visitor, string name) => (string)Element(visitor, name)["cutPath"]!;

    private int Leftovers(Visitor visitor, string name, string kind) =>
        Element(visitor, name)["leftovers"]!.AsArray().Count(left => (string)left!["kind"]! == kind);

    private string StitchesOf(Visitor visitor, string name)
    {
        var id = (string)Element(visitor, name)["id"]!;
        var steps = Scene(visitor)["steps"]!.AsArray().Where(step => (string)step!["ownerId"]! == id);
        return string.Join(' ', steps.Select(step => (string?)step!["stitchesKey"]));
    }

    private string FirstStretch(Visitor visitor)
    {
        var id = (string)Element(visitor, "Ellipse")["id"]!;
        var form = Site
            .Client.GetFromJsonAsync<JsonNode>($"{Api(visitor)}/elements/{id}/form")
            .GetAwaiter()
            .GetResult()!;
        return $"{(double)form["stretches"]![0]!["length"]!:0.0} mm";
    }

    private static string Api(Visitor visitor) => $"/api/projects/{visitor.Path_.Split('/')[2]}";
}
