using OpenQA.Selenium;

namespace Ullet.Browser.Tests;

public sealed class WallTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void Numbers_AreTakenAsTypedInMmInchesAndFractions() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Numbers");
            AddShape(visitor, "Rectangle");
            visitor.Click("button", "Keep proportions");
            visitor.Type("Height", "1 3/8");
            visitor.WaitForText("60.0 × 34.9 mm");
            visitor.Type("Across", "-12.25");
            visitor.WaitForValue("Across", "-12.3");
            visitor.Click("button", "mm, show inches instead");
            visitor.WaitForValue("Height", "1.375");
            visitor.Type("Height", "50 mm");
            visitor.WaitForValue("Height", "1.969");
        });

    [Fact]
    public void BadNumbers_GetASentenceAndChangeNothing() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Bad numbers");
            AddShape(visitor, "Star");
            visitor.Type("Height", "-4");
            visitor.WaitForText("The height of Star must be from 1 to 1000 mm; -4 was given.");
            visitor.WaitForValue("Height", "60.0");
            visitor.Type("Height", "huge");
            visitor.WaitForText("\"huge\" is not a length.");
            visitor.Press(Keys.Escape);
            visitor.WaitForText("60.0 × 60.0 mm");
        });

    [Fact]
    public void Hands_SelectMoveAndLetGo() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Hands");
            AddShape(visitor, "Ellipse");
            visitor.ClickOnWall(0, 70);
            visitor.WaitForText("This project");
            visitor.ClickOnWall(0, 0);
            visitor.WaitForValue("Name", "Ellipse");
            visitor.DragOnWall((0, 0), (20, -30));
            var (x, y) = (double.Parse(visitor.ValueOf("Across")), double.Parse(visitor.ValueOf("Down")));
            Assert.InRange(x, 19, 21);
            Assert.InRange(y, -31, -29);
            visitor.DragOnWall((20, -30), (0, 40), letGo: false);
            visitor.Press(Keys.Escape);
            visitor.LetGo();
            visitor.WaitUntilIdle();
            Assert.Equal(x, double.Parse(visitor.ValueOf("Across")));
            visitor.Press(Keys.Control, "z");
            visitor.WaitForValue("Across", "0.0");
        });

    [Fact]
    public void Handles_ScaleWithTheProportionsKept() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Handles");
            AddShape(visitor, "Rectangle");
            visitor.DragOnWall((30, 30), (40, 34));
            var height = double.Parse(visitor.ValueOf("Height"));
            Assert.InRange(height, 69, 71);
            visitor.WaitForText($"{height:0.0} × {height:0.0} mm");
            Assert.InRange(double.Parse(visitor.ValueOf("Across")), 4.5, 5.5);
        });

    [Fact]
    public void Keyboard_DoesItAll() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Keys");
            AddShape(visitor, "Leaf");
            visitor.Run("document.querySelector('[role=application]').focus()");
            visitor.Press(Keys.ArrowRight);
            visitor.Press(Keys.Shift, Keys.ArrowDown);
            visitor.Press(Keys.Alt, Keys.ArrowRight);
            visitor.WaitForValue("Across", "1.1");
            visitor.WaitForValue("Down", "10.0");
            visitor.Press(Keys.Control, "d");
            visitor.WaitForValue("Name", "Leaf copy");
            visitor.Press(Keys.Delete);
            visitor.WaitForText("This project");
            visitor.Press(Keys.Control, "z");
            visitor.Press(Keys.Control, "a");
            visitor.WaitForText("Centre as one");
            visitor.Press("?");
            visitor.WaitForText("Zoom at the pointer");
        });

    [Fact]
    public void Stack_AndStages_ShapeTheRun() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Stack");
            AddShape(visitor, "Shield");
            AddShape(visitor, "Drop");
            visitor.Click("button", "Move Drop down the stack");
            visitor.Click("button", "Stages");
            var second = (string)
                visitor.Run("return document.querySelectorAll('[aria-label=\"Run strip\"] li button')[1].ariaLabel")!;
            Assert.StartsWith("Step 2, stitches: Drop, placement", second, StringComparison.Ordinal);
            visitor.WaitForText("5 stops");
            visitor.Check("Tack-down");
            visitor.WaitForText("4 stops");
        });

    [Fact]
    public void Preview_FollowsTheSliderAndIsSavedWhenLetGo() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Slider");
            AddShape(visitor, "Heart");
            visitor.Run("document.querySelector('[aria-label=\"Cover width, slide\"]').focus()");
            visitor.Press(Keys.ArrowRight);
            visitor.Press(Keys.ArrowRight);
            visitor.WaitForValue("Cover width", "3.7");
            visitor.Click("button", "As first set");
            visitor.WaitForValue("Cover width", "3.5");
        });

    [Fact]
    public void Finding_IsMendedInOnePress() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Mend");
            AddShape(visitor, "Heart");
            visitor.Type("Inside share", "90");
            visitor.WaitForText("1 finding");
            visitor.Click("button", "1 finding");
            visitor.WaitForText("may peep out from under its cover");
            visitor.Click("button", "Put 80 % of the cover inside");
            visitor.WaitForText("No findings");
        });

    [Fact]
    public void File_SavedAndOpened_IsAnotherProject() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Keepsake");
            AddShape(visitor, "Crescent");
            visitor.Click("link", "Packet");
            var file = visitor.Download("link", "Download: Project file", ".ullet");
            var path = Path.Combine(Site.DataFolder, "keepsake.ullet");
            File.WriteAllBytes(path, file);
            visitor.GoTo("/");
            visitor.ChooseFile("Project file", path);
            visitor.WaitForText("Crescent");
            File.WriteAllText(path, "not a project");
            visitor.GoTo("/");
            visitor.ChooseFile("Project file", path);
            visitor.WaitForText("This is not an Ullet project file");
        });
}
