using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

/// <summary>A zip pouch from the zip in one's hand to the turned thing, as somebody makes it who sews it afterwards.</summary>
public sealed class PouchTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void Pouch_ForAZip_IsReadToBeTurned_ShutByAClosedGap_AndRehearsedToTheTurn() =>
        Visit(visitor =>
        {
            visitor.GoTo("/");
            visitor.Click("button", "From a pattern");
            visitor.Click("button", "Zip pouch");
            visitor.Choose("Begin from what you have", "A zip, its tape measured");
            visitor.Type("Its length", "250");
            visitor.Click("button", "Size it for this");
            visitor.WaitForValue("Width", "190.0");
            visitor.Fill("Name on the front", "Rowan");
            visitor.Choose("Ribbon loop", "in the left seam");
            visitor.Click("button", "Make the zip pouch");
            visitor.WaitForText("Pattern: zip pouch");
            visitor.WaitForText("No findings");

            visitor.Click("link", "Run sheet");
            visitor.ClickStep("Zip pouch, turn");
            visitor.WaitForText("It turns through the gap in the lining, then through the zip.");
            AssertAccessible(visitor, "run sheet at the turn");

            visitor.Click("link", "Wall");
            visitor.Press(Keys.Escape);
            visitor.Type("Gap in the lining, at most", "0");
            visitor.Click("button", "1 finding");
            visitor.WaitForText("which is shut in by closing seam 1 and closing seam 2");
            visitor.Press(Keys.Escape);
            visitor.Click("link", "Run sheet");
            visitor.ClickStep("Zip pouch, turn");
            visitor.WaitForText("It can't be turned: nothing leads to the right side of the");
            AssertAccessible(visitor, "run sheet of what can't be turned");
            visitor.Press(Keys.Control, "z");
            visitor.WaitForText("It turns through the gap in the lining, then through the zip.");

            visitor.ClickStep("Front panel, basting in its seam allowance");
            visitor.Click("button", "Add a hand step");
            visitor.Choose("What hands do", "lay");
            visitor.Fill("In a sentence", "Lay the overlay over the front panel.");
            visitor.Choose("Cloth that is laid", "leaf green cotton");
            visitor.Click("button", "Add it");
            visitor.WaitForText("This order does not work");
            visitor.WaitForText("the needle would sew Rowan through it instead of only on the front panel");
            visitor.Click("button", "Put it right");
            visitor.WaitForText("Your own order, and it works");

            visitor.Click("link", "Rehearsal");
            visitor.PressButton("Step 32, hands: Zip pouch, turn");
            visitor.WaitForText("Turn the work through the gap of 70 mm in the lining");
        });
}
