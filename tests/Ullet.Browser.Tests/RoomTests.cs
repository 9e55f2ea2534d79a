using System.Text.Json;

namespace Ullet.Browser.Tests;

public sealed class RoomTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void EveryRoom_WithTheDemo_IsAccessible() =>
        Visit(visitor =>
        {
            visitor.GoTo("/");
            AssertAccessible(visitor, "shelf");
            OpenPatch(visitor);
            AssertAccessible(visitor, "wall");
            visitor.Click("button", "Beetroot");
            visitor.Click("button", "Stages");
            visitor.Click("button", "Shape");
            AssertAccessible(visitor, "wall with a piece selected");
            visitor.GoTo(visitor.Path_.Replace("wall", "cutting"));
            foreach (var part in new[] { "Lay out", "Edge match", "Blade", "Files", "Sizes" })
            {
                visitor.Click("button", part);
                AssertAccessible(visitor, $"cutting table, {part}");
            }
            visitor.Click("link", "Dry run");
            visitor.Click("button", "Take DXF");
            visitor.WaitForText("Not mirrored.");
            AssertAccessible(visitor, "stand-in cutter");
            visitor.Click("link", "Rehearsal");
            visitor.WaitForText("Before you start");
            AssertAccessible(visitor, "rehearsal");
            visitor.Click("link", "Packet");
            AssertAccessible(visitor, "packet");
        });

    [Fact]
    public void EveryRoom_OfAnEmptyProject_SaysWhatToDoNext() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Nothing yet");
            visitor.WaitForText("How do you want to begin?");
            AssertAccessible(visitor, "empty wall");
            visitor.Click("link", "Run sheet");
            visitor.WaitForText("There are no steps yet.");
            visitor.Click("link", "Cutting table");
            visitor.WaitForText("Nothing is cut yet.");
            visitor.Click("link", "Rehearsal");
            visitor.WaitForText("Nothing to sew yet");
            visitor.Click("link", "Packet");
            visitor.WaitForText("There is nothing to hand over yet.");
            AssertAccessible(visitor, "empty packet");
        });

    [Fact]
    public void Rehearsal_PlaysToTheNextStopAndLaysTheCloth() =>
        Visit(visitor =>
        {
            OpenPatch(visitor);
            visitor.Click("link", "Rehearsal");
            visitor.Click("button", "Done, press start");
            visitor.WaitForText("Now: Lay shed green cotton");
            visitor.Click("button", "Step forward");
            visitor.WaitForText("Shield, tack-down");
            visitor.Click("button", "Play");
            visitor.WaitForText("Do not cut the tack-down stitches.");
            visitor.Click("button", "Step back");
            visitor.WaitForText("Shield, tack-down");
        });

    [Fact]
    public void Note_IsShownAtItsStop() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Noted");
            AddShape(visitor, "Heart");
            visitor.Press(OpenQA.Selenium.Keys.Escape);
            visitor.Run("[...document.querySelectorAll('[aria-label=\"Run strip\"] li button')][2].click()");
            visitor.WaitForText("Lay clay cotton face up over the placement line of Heart");
            visitor.WaitForValue("Name", "Heart");
            visitor.Type("Your own note, shown at this stop", "the dotted side up");
            visitor.Click("link", "Rehearsal");
            visitor.Click("button", "Done, press start");
            visitor.WaitForText("Your note: the dotted side up");
        });

    [Fact]
    public void Shelf_DeletesAndPutsBack() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Compost heap");
            visitor.GoTo("/");
            visitor.Click("button", "Delete Compost heap");
            visitor.WaitForText("Compost heap lies in the bin for 30 days.");
            visitor.Click("button", "Put it back");
            visitor.WaitForText("130 × 180 · empty");
        });

    [Fact]
    public void Undo_ByKeys_WorksInEveryRoom() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Undone elsewhere");
            AddShape(visitor, "Polygon");
            visitor.Click("link", "Packet");
            visitor.WaitForText("Cut file, clay cotton");
            visitor.Press(OpenQA.Selenium.Keys.Control, "z");
            visitor.WaitForText("There is nothing to hand over yet.");
            visitor.Press(OpenQA.Selenium.Keys.Control, "y");
            visitor.WaitForText("Cut file, clay cotton");
        });

    [Theory]
    [InlineData(1024, 768)]
    [InlineData(2560, 1300)]
    public void EveryRoom_AtOtherSizes_KeepsItsControlsOnTheScreen(int width, int height) =>
        Visit(visitor =>
        {
            OpenPatch(visitor);
            visitor.Resize(width, height);
            foreach (var room in new[] { "Wall", "Cutting table", "Rehearsal", "Packet" })
            {
                visitor.Click("link", room);
                var outside = (string)
                    visitor.Run(
                        "return [...document.querySelectorAll('header a, header button, header select, main button, main a')]"
                            + ".filter(e => { const b = e.getBoundingClientRect(); return b.width > 0 && b.right > innerWidth + 1; })"
                            + ".map(e => e.ariaLabel || e.textContent).join(', ');"
                    )!;
                Assert.True(outside.Length == 0, $"{room}: {outside}");
            }
        });
}
