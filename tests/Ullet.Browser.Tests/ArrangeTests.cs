using System.Net.Http.Json;
using System.Text.Json.Nodes;
using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

public sealed class ArrangeTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void Several_AreGroupedCentredMatchedAndSpaced() =>
        Visit(visitor =>
        {
            Three(visitor, "Several");
            visitor.Press(Keys.Control, "a");
            visitor.WaitForText("Centre as one");
            AssertAccessible(visitor, "card of several");
            visitor.Choose("Line up with", "Star, which stays");
            visitor.Click("button", "Same width");
            var boxes = Outlines(visitor);
            Assert.All(boxes, box => Assert.Equal(boxes[2].Width, box.Width, 0.01));
            visitor.Choose("Line up with", "what is selected");
            visitor.Click("button", "Equal gaps down");
            boxes = [.. Outlines(visitor).OrderBy(box => box.Y)];
            Assert.Equal(boxes[1].Y - boxes[0].Y - boxes[0].Height, boxes[2].Y - boxes[1].Y - boxes[1].Height, 0.01);
            visitor.Click("button", "Centre as one");
            boxes = [.. Outlines(visitor).OrderBy(box => box.Y)];
            Assert.Equal(0, boxes[0].Y + boxes[2].Y + boxes[2].Height, 0.01);
            visitor.Press(Keys.Control, "g");
            visitor.Press(Keys.Escape);
            visitor.Click("button", "Heart");
            visitor.WaitForValue("Name", "Heart");
            visitor.Press(Keys.Escape);
            visitor.ClickOnWall(boxes[1].X + (boxes[1].Width / 2), boxes[1].Y + (boxes[1].Height / 2));
            visitor.WaitForText("Centre as one");
            visitor.Press(Keys.Control, Keys.Shift, "g");
            visitor.Press(Keys.Escape);
            visitor.ClickOnWall(boxes[1].X + (boxes[1].Width / 2), boxes[1].Y + (boxes[1].Height / 2));
            visitor.WaitForNoText("Centre as one");
        });

    [Fact]
    public void RightClick_OffersWhatTheCardOffers_AlsoByKeys() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Menu");
            AddShape(visitor, "Ellipse");
            visitor.RightClickOnWall(0, 0);
            visitor.WaitForText("Cut out and keep");
            AssertAccessible(visitor, "menu");
            visitor.Click("menu item", "Lock");
            visitor.WaitForText("Ellipse is locked: it is not moved");
            visitor.Press(Keys.Delete);
            visitor.Press(Keys.ArrowRight);
            visitor.WaitForText("Ellipse is locked. Unlock it first.");
            visitor.DragOnWall((0, 0), (30, 30));
            Assert.Equal(0, Outlines(visitor)[0].X + (Outlines(visitor)[0].Width / 2), 0.01);
            visitor.Click("button", "Ellipse");
            visitor.Run("document.querySelector('[role=application]').focus()");
            visitor.Press(Keys.Shift, Keys.F10);
            visitor.WaitForText("Unlock");
            visitor.Click("menu item", "Unlock");
            visitor.WaitForNoText("it is not moved");
            visitor.RightClickOnWall(0, 0);
            visitor.Click("menu item", "Hide");
            visitor.WaitForText("1 finding");
            visitor.Click("button", "1 finding");
            visitor.WaitForText("Ellipse is hidden on the wall, but it is sewn and cut.");
        });

    [Fact]
    public void ACopy_GoesToAnotherProject() =>
        Visit(visitor =>
        {
            NewProject(visitor, "From");
            AddShape(visitor, "Leaf");
            visitor.Choose("Cloth", "hay felt");
            visitor.Press(Keys.Control, "c");
            visitor.WaitForText("Leaf is copied.");
            NewProject(visitor, "To");
            visitor.Press(Keys.Control, "v");
            visitor.WaitForValue("Name", "Leaf");
            Assert.Equal("hay", visitor.ValueOf("Cloth"));
            Assert.Equal("5.0", visitor.ValueOf("Across"));
            visitor.Press(Keys.Control, "x");
            visitor.WaitForText("How do you want to begin?");
        });

    [Fact]
    public void TheStack_IsDraggedAndMovedByKeys_AndSelectsByRule() =>
        Visit(visitor =>
        {
            Three(visitor, "Stack");
            Assert.Equal(["Star", "Heart", "Ellipse"], visitor.Stack());
            visitor.DragInStack("Ellipse", "Star");
            Assert.Equal(["Ellipse", "Star", "Heart"], visitor.Stack());
            visitor.Click("button", "Heart");
            visitor.Click("button", "Move Heart up the stack");
            Assert.Equal(["Ellipse", "Heart", "Star"], visitor.Stack());
            visitor.Choose("Cloth", "hay felt");
            visitor.Press(Keys.Escape);
            visitor.Click("button", "Select by cloth, thread, kind or stage");
            visitor.Click("button", "clay cotton");
            visitor.WaitForText("Centre as one");
        });

    [Fact]
    public void ADrag_IsCaughtByTheMiddleOfTheHoop_UnlessAltIsHeld() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Guides");
            AddShape(visitor, "Ellipse");
            visitor.Type("Across", "20");
            visitor.DragOnWall((20, 0), (0.8, 40.3));
            Assert.Equal("0.0", visitor.ValueOf("Across"));
        });

    private static void Three(Visitor visitor, string title)
    {
        NewProject(visitor, title);
        foreach (
            var (shape, across, width) in new[] { ("Ellipse", "-30", "20"), ("Heart", "5", "30"), ("Star", "40", "26") }
        )
        {
            AddShape(visitor, shape);
            visitor.Type("Width", width);
            visitor.Type("Across", across);
            visitor.Type("Down", across);
            visitor.WaitForValue("Down", across + ".0");
        }
        visitor.Press(Keys.Escape);
    }

    private List<(double X, double Y, double Width, double Height)> Outlines(Visitor visitor) =>
        [
            .. Site
                .Client.GetFromJsonAsync<JsonNode>($"/api/projects/{visitor.Path_.Split('/')[2]}/scene")
                .GetAwaiter()
                .GetResult()!["elements"]!
                .AsArray()
                .Select(element => element!["outline"]!)
                .Select(box => ((double)box["x"]!, (double)box["y"]!, (double)box["width"]!, (double)box["height"]!)),
        ];
}
