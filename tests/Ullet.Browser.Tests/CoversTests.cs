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
    public void ARoughOutline_IsNamed_AndIsCutAsItIsSewn_WhenItsMendSaysSo() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Rough pebble");
            visitor.ChooseFile("Drawing file", Sample("pebble.svg", RoughPebble()));
            visitor.Click("button", "Put on the wall");
            visitor.Click("button", "Cut beforehand");
            visitor.Click("button", "Edge");
            visitor.WaitForText("Thread can’t follow all of this outline");
            AssertAccessible(visitor, "card with a rough outline");
            visitor.Click("button", "1 finding");
            visitor.WaitForText("detail that thread can't follow");
            visitor.Click("button", "Cut it as it is sewn");
            visitor.WaitForText("the cloth is cut alike");
            visitor.Click("button", "1 finding");
            visitor.WaitForNoText("the cloth is cut alike");
            Assert.True((bool)Read(visitor)["elements"]![0]!["making"]!["outline"]!["cutsAsSewn"]!);
            visitor.Type("How far they may", "0");
            visitor.WaitForText("Stitches follow the outline exactly.");
            visitor.Type("How far they may", "0.15");
            visitor.WaitForText("Thread can’t follow all of this outline");
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

    /// <summary>An ellipse with a nick of 0.15 mm at every twentieth part.</summary>
    private static string RoughPebble()
    {
        var points = Enumerable
            .Range(0, 720)
            .Select(i => (Angle: Math.PI * i / 360, Nick: i % 36 == 0 ? 0.15 : 0))
            .Select(at =>
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{35 + ((30 - at.Nick) * Math.Cos(at.Angle)):0.###},{25 + ((20 - at.Nick) * Math.Sin(at.Angle)):0.###}"
                )
            );
        return $"<svg xmlns='http://www.w3.org/2000/svg' width='70mm' height='50mm' viewBox='0 0 70 50'><polygon points='{string.Join(' ', points)}'/></svg>";
    }
}
