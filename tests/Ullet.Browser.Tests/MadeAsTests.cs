using System.Text.Json.Nodes;
using OpenQA.Selenium;
using Ullet.Files.StitchFiles;

namespace Ullet.Browser.Tests;

public sealed class MadeAsTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void ADrawnRing_IsALineSewnTwice_ClothAgain_ALineAgain_WithEveryNumberStillThere_AndElsewhere() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Ring");
            visitor.Click("button", "Draw");
            visitor.WaitForText("Click the first node again");
            foreach (var (x, y) in new[] { (-30.0, 0.0), (0.0, -30.0), (30.0, 0.0), (0.0, 30.0), (-30.0, 0.0) })
            {
                visitor.ClickOnWall(x, y);
            }
            visitor.WaitForText("Cut beforehand");
            visitor.Type("Cover width", "4.2");
            visitor.WaitForValue("Cover width", "4.2");

            visitor.Choose("Made as", "Stitched line");
            visitor.WaitForText("Its lines are sewn as they are");
            visitor.Choose("Sewn", "twice");
            visitor.Type("Stitch length", "3.1");
            visitor.WaitForValue("Stitch length", "3.1");
            var once = StitchCount(visitor);
            AssertAccessible(visitor, "card of a drawing made a line");

            visitor.Choose("Made as", "Cloth");
            visitor.WaitForText("Cut beforehand");
            visitor.WaitForValue("Cover width", "4.2");

            visitor.Choose("Made as", "Stitched line");
            visitor.WaitForValue("Stitch length", "3.1");
            Assert.Equal("2", visitor.ValueOf("Sewn"));
            Assert.Equal(once, StitchCount(visitor));

            var name = visitor.ValueOf("Name");
            visitor.Press(Keys.Control, "c");
            visitor.WaitForText($"{name} is copied.");
            NewProject(visitor, "Elsewhere");
            visitor.Press(Keys.Control, "v");
            visitor.WaitForValue("Stitch length", "3.1");
            Assert.Equal("2", visitor.ValueOf("Sewn"));
            visitor.Choose("Made as", "Cloth");
            visitor.WaitForValue("Cover width", "4.2");
            visitor.Choose("Made as", "Stitched line");
            visitor.WaitForValue("Stitch length", "3.1");

            visitor.Click("link", "Packet");
            foreach (var format in StitchFormats.All)
            {
                var row = format == StitchFormats.List ? "Stitch file" : $"Stitches as .{format.Ending}";
                var file = visitor.Download("link", $"Download: {row}", "." + format.Ending);
                var read = format.Read(file);
                Assert.True(read.IsOk, read.Refusal?.Words);
                Assert.Equal(once, read.Value.Sum(step => step.Commands.Count(IsStitch)));
            }
        });

    [Fact]
    public void AnOpenLine_SaysWhyItIsNoCloth_AndIsBasting() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Basting");
            visitor.Click("button", "By hand");
            visitor.DragOnWall((-40, 10), (40, 20));
            visitor.WaitForText("bean, each stitch three times");
            visitor.Choose("Made as", "Cloth");
            visitor.WaitForText("is an open line, which encloses nothing");
            visitor.Choose("Made as", "Basting");
            visitor.WaitForText("the run sheet says when it comes out");
            visitor.WaitForValue("Stitch length", "6.0");
            AssertAccessible(visitor, "card of basting");
            AddShape(visitor, "Heart");
            visitor.Click("button", "Stages");
            visitor.Click("button", "Baste round it");
            visitor.WaitUntilIdle();
            visitor.Click("link", "Run sheet");
            visitor.WaitForText("Basting of Heart");
            var steps = visitor.Steps();
            Assert.True(steps.IndexOf("Basting of Heart, basting") == steps.IndexOf("Heart, lay") + 1);
            Assert.True(steps.IndexOf("Basting of Heart, remove") == steps.IndexOf("Heart, trim") - 1);
        });

    private static bool IsStitch(Core.Program.NeedleCommand command) => command.Kind == Core.Program.NeedleKind.Stitch;
}
