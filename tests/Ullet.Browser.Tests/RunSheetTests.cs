using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

public sealed class RunSheetTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void EqualHandSteps_AreOneCard_AndARingIsPutIntoASeam() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Three leaves");
            visitor.Choose("The ground is", "sticky stabiliser");
            AddShape(visitor, "Leaf");
            visitor.Type("Width", "26");
            visitor.Type("Across", "-36");
            visitor.Click("button", "Duplicate Leaf");
            visitor.WaitForValue("Name", "Leaf copy");
            visitor.Type("Across", "0");
            visitor.Click("button", "Duplicate Leaf copy");
            visitor.WaitUntilIdle();
            visitor.Type("Across", "36");
            visitor.Click("button", "Together, 3 stops");
            visitor.Click("link", "Run sheet");
            visitor.ClickStep("Leaf, lay");
            visitor.WaitForText("One card at the machine. Once for 1 to 3 on the picture");

            visitor.Click("link", "Rehearsal");
            visitor.WaitForText("peel it off");
            visitor.PressButton("Step 6, hands: Leaf, lay");
            visitor.WaitForText("Now: Once for 1 to 3 on the picture: lay");
            visitor.WaitForText("Steps 6 to 8 of");
            visitor.Click("button", "Done, press start");
            visitor.WaitForText("The machine sews");

            visitor.Click("link", "Run sheet");
            visitor.ClickStep("Leaf, placement");
            visitor.Click("button", "Add a hand step");
            visitor.Choose("What hands do", "insert");
            visitor.Choose("Cloth that is laid", "cotton");
            visitor.Choose("What is put in", "ring on a tape");
            visitor.Choose("Into the seam", "Leaf copy");
            visitor.Click("button", "Add it");
            visitor.WaitForText("Thread the ring onto 70 mm of ");
            AssertAccessible(visitor, "run sheet with an insert");
        });

    [Fact]
    public void Pouch_WithAName_StandsInOrder_IsDraggedWrong_ToldWhy_PutRight_AndRehearsed() =>
        Visit(visitor =>
        {
            MakePouch(visitor);
            visitor.WaitForText("Pattern: zip pouch");
            Assert.Contains("Rowan", visitor.Stack());

            visitor.Click("link", "Run sheet");
            visitor.WaitForText("Ullet’s order: no better one exists");
            AssertAccessible(visitor, "run sheet");
            var steps = visitor.Steps();
            Assert.True(steps.IndexOf("Front panel, fold") < steps.IndexOf("Rowan, line"));
            Assert.True(steps.IndexOf("Rowan, line") < steps.IndexOf("Linings, lay behind"));

            visitor.DragStep("Rowan, line", "Stabiliser, trim");
            visitor.WaitForText("This order does not work");
            visitor.WaitForText(
                "Once the lower lining is laid behind, Rowan on the front panel would be stitched through it"
            );
            AssertAccessible(visitor, "run sheet with a broken order");
            visitor.Click("link", "Packet");
            visitor.WaitForText("Hand it over despite this");
            Assert.False(visitor.Sees("link", "Download: Stitch file"));
            visitor.Check("Hand it over despite this; the files will say so");
            Assert.True(visitor.Sees("link", "Download: Stitch file"));

            visitor.Click("link", "Run sheet");
            visitor.Click("button", "Put it right");
            visitor.WaitForText("Your own order, and it works");
            steps = visitor.Steps();
            Assert.True(steps.IndexOf("Rowan, line") < steps.IndexOf("Linings, lay behind"));

            visitor.Click("link", "Rehearsal");
            visitor.Click("button", "Step 22, hands: Zip, open the zip");
            visitor.WaitForText("Now: Open the zip by two thirds");
            visitor.WaitForText("The slider lies inside the pouch");
        });

    [Fact]
    public void Steps_MoveByKeys_HandStepsAreAdded_AndPatternsGrow() =>
        Visit(visitor =>
        {
            MakePouch(visitor);
            visitor.Click("link", "Run sheet");
            visitor.WaitForText("33 steps");
            visitor.ClickStep("Rowan, line");
            visitor.WaitForText("It can stand anywhere from 14 to 18.");
            visitor.Press(Keys.Alt, Keys.ArrowUp);
            visitor.WaitForText("Your own order, and it works");
            Assert.Equal(16, visitor.Steps().IndexOf("Rowan, line"));
            visitor.Click("button", "Add a hand step");
            visitor.Choose("What hands do", "press");
            visitor.Fill("In a sentence", "Press the front from the wrong side.");
            AssertAccessible(visitor, "hand step");
            visitor.Click("button", "Add it");
            visitor.WaitForText("34 steps");
            Assert.Equal(17, visitor.Steps().IndexOf("By hand, press"));
            visitor.Click("button", "Let Ullet order");
            visitor.WaitForText("Ullet’s order");

            visitor.Click("link", "Wall");
            visitor.Press(Keys.Escape);
            visitor.Type("Height", "150");
            visitor.WaitForValue("Height", "150.0");
            visitor.Type("Name on the front", "Bo");
            visitor.WaitForNoText("Rowan");
            visitor.Click("button", "Zone");
            visitor.Click("button", "Keep clear");
            visitor.WaitForValue("What it is for", "keepClear");
            visitor.Type("Down", "30");
            visitor.WaitForText("finding");
            visitor.Click("button", "Delete Keep clear");
            visitor.WaitForText("No findings");
        });

    [Fact]
    public void PatternChooser_SizesFromHardware_AndSaysWhatCannotBe() =>
        Visit(visitor =>
        {
            visitor.GoTo("/");
            visitor.Click("button", "From a pattern");
            visitor.Click("button", "Zip pouch");
            AssertAccessible(visitor, "pattern chooser");
            visitor.Type("Its length", "200");
            visitor.Click("button", "Size it for this");
            visitor.WaitForValue("Width", "140.0");
            visitor.WaitForText("Smallest hoop: 260 × 160 mm");
            visitor.Type("Zip below the top edge", "78");
            visitor.WaitForText("at least 50 mm must be left below it");
            visitor.Type("Zip below the top edge", "40");
            visitor.Click("button", "Make the zip pouch");
            visitor.WaitForText("Pattern: zip pouch");
        });

    private static void MakePouch(Visitor visitor)
    {
        visitor.GoTo("/");
        visitor.Click("button", "From a pattern");
        visitor.Click("button", "Zip pouch");
        visitor.Type("Width", "180");
        visitor.Type("Height", "120");
        visitor.Fill("Name on the front", "Rowan");
        visitor.Click("button", "Make the zip pouch");
        visitor.WaitForText("Run strip");
        visitor.WaitUntilIdle();
    }
}
