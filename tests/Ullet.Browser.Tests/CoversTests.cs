using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Browser.Tests;

public sealed class CoversTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void MethodAndCover_AreChanged_StepsStitchesStopsAndEdgeMatchFollow_AndTheMendPutsItRight() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Seed packet");
            AddShape(visitor, "Heart");
            var (sewn, stops) = (Scene(visitor, "stitchCount"), Scene(visitor, "stopCount"));
            Assert.Equal(3, stops);
            visitor.WaitForText("Trim in the hoop");

            visitor.Click("button", "Cut beforehand");
            visitor.WaitForText("lay it inside the placement line");
            Assert.Equal(2, Scene(visitor, "stopCount"));
            visitor.Click("button", "Marked on the cloth");
            visitor.WaitForText("The machine first stitches the outline");
            visitor.WaitForText("Cut guides on");
            visitor.Click("button", "Cut beforehand");

            visitor.Click("button", "Zigzag");
            visitor.WaitForText("cloth shows between them");
            Assert.True(Scene(visitor, "stitchCount") < sewn / 2);
            visitor.Click("button", "Blanket");
            visitor.WaitForText("bites 3.0 mm, spine 0.8 mm outside");
            visitor.Click("button", "Motif");
            visitor.Click("button", "Fern");
            AssertAccessible(visitor, "card with a motif cover");
            visitor.Click("button", "Satin");

            visitor.Click("button", "Edge match");
            visitor.WaitForText("Holds.");
            visitor.Type("Cover width", "2");
            visitor.WaitForText("Does not hold.");
            AssertAccessible(visitor, "card with an edge match");
            Assert.Equal("bite-too-small", Finding(visitor));
            visitor.Click("button", "Make the cover 3.0 mm wide");
            visitor.WaitForText("Holds.");
            visitor.WaitForValue("Cover width", "3.0");
            Assert.Null(Finding(visitor));
            visitor.Press(OpenQA.Selenium.Keys.Control, "z");
            visitor.WaitForText("Does not hold.");
        });

    [Fact]
    public void PiecesSewnTogether_StopLess_AndAMapLiesOverTheWall() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Two leaves");
            AddShape(visitor, "Leaf");
            visitor.Type("Across", "-35");
            AddShape(visitor, "Drop");
            visitor.Type("Across", "35");
            visitor.WaitForText("One by one, 5 stops");
            visitor.Click("button", "Together, 3 stops");
            visitor.WaitForText("3 stops · about");
            Assert.Equal(3, Scene(visitor, "stopCount"));
            visitor.Click("button", "Maps");
            visitor.Click("button", "Coverage");
            visitor.WaitForText("Thread over the covers");
            visitor.WaitForText("covered");
            AssertAccessible(visitor, "wall with a map");
            visitor.Click("button", "Close the map");
            visitor.WaitForNoText("Thread over the covers");
        });

    private double Scene(Visitor visitor, string number) => (double)Read(visitor)[number]!;

    private string? Finding(Visitor visitor) =>
        (string?)
            Read(visitor)["findings"]!
                .AsArray()
                .FirstOrDefault(finding => (string)finding!["code"]! is "bite-too-small" or "edge-peeps-out")
                ?["code"];

    private JsonNode Read(Visitor visitor)
    {
        visitor.WaitUntilIdle();
        var id = visitor.Path_.Split('/')[2];
        return Site.Client.GetFromJsonAsync<JsonNode>($"/api/projects/{id}/scene").GetAwaiter().GetResult()!;
    }
}
