using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using OpenQA.Selenium;
using Ullet.Files.StitchFiles;

namespace Ullet.Browser.Tests;

public sealed class FilledTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void ALeaf_IsFilled_LoosenedForFilm_MadeClothAndBack_AndItsThreadExchanged() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Leaf");
            visitor.Click("button", "New cloth");
            visitor.Fill("Name", "pearl film");
            visitor.Choose("Kind", "Polyester film");
            visitor.Click("button", "Add the cloth");
            visitor.WaitForText("pearl film");
            AddShape(visitor, "Leaf");
            visitor.Choose("Made as", "Filled");
            visitor.WaitForText("25 rows to the cm");
            visitor.Choose("Row pattern", "furrows: lines that turn to and fro, as ploughed ground");
            visitor.WaitUntilIdle();
            visitor.Type("Angle", "70");
            visitor.WaitForValue("Angle", "70.0");
            AssertAccessible(visitor, "card of a fill");
            var sewn = StitchCount(visitor);

            visitor.Choose("Film between the rows", "pearl film");
            visitor.WaitForText("10 rows to the cm");
            Assert.True(StitchCount(visitor) < sewn);
            visitor.Click("button", "Draw a line for the rows to follow");
            visitor.DragOnWall((-20, -3), (20, 3));
            visitor.WaitForText("Straight rows again");
            visitor.Click("button", "Straight rows again");
            visitor.WaitForNoText("Straight rows again");
            visitor.Click("button", "Done with the line");

            visitor.Click("button", "Edge");
            visitor.Choose("Along its outline", "a narrow satin");
            visitor.WaitUntilIdle();

            visitor.Choose("Made as", "Cloth");
            visitor.WaitForText("Cut beforehand");
            visitor.Choose("Made as", "Filled");
            visitor.WaitForText("10 rows to the cm");

            visitor.ClickOnWall(-60, 80);
            visitor.Click("button", "Change rust");
            visitor.Choose("Exchange it everywhere for", "ink blue");
            visitor.WaitUntilIdle();
            Assert.Equal("ink", (string?)Scene(visitor)["hooping"]!["coverThreadId"]);

            visitor.Click("link", "Packet");
            var file = visitor.Download("link", "Download: Stitch file", ".ulst");
            Assert.True(StitchFormats.List.Read(file).IsOk);
            var lines = Encoding.UTF8.GetString(file).Split('\n').ToList();
            int At(string what) =>
                lines.FindIndex(line =>
                    line.StartsWith("step", StringComparison.Ordinal) && line.Contains(what, StringComparison.Ordinal)
                );
            var (lay, fill, tear) = (At("lay-film"), At("stitch fill"), At("tear-film"));
            Assert.True(0 < lay && lay < fill && fill < tear, $"{lay}, {fill}, {tear}");
            // Before the first stitch hands need no stop; before the edge they do.
            Assert.Contains("stop", lines[fill..At("stitch edge")]);
        });
}
