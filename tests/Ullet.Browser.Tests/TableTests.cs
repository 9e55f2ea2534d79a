using System.Globalization;
using OpenQA.Selenium;
using Ullet.Files.CutFiles;

namespace Ullet.Browser.Tests;

public sealed class TableTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void CuttingTable_MirrorsSetsTheMatAndHandsOutTheFile() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Table");
            AddShape(visitor, "Crescent");
            visitor.Click("button", "Cut beforehand");
            visitor.Click("link", "Cutting table");
            visitor.WaitForText("exact piece, as large as its placement line");
            visitor.Click("button", "Files");
            var plain = MassLeft(visitor.Download("button", "Save SVG of clay cotton", ".svg"));
            visitor.Click("button", "Lay out");
            visitor.CheckRadio("Mirror: cloth face down");
            visitor.WaitForText("Files are mirrored and say so.");
            visitor.Type("Mat width", "12");
            visitor.WaitForText("The width of the mat must be from 50 to 2000 mm; 12 was given.");
            visitor.Type("Mat width", "8 in");
            visitor.WaitForValue("Mat width", "203.2");
            visitor.Click("button", "Files");
            visitor.WaitForText("out of date: save it again");
            var mirrored = MassLeft(visitor.Download("button", "Save SVG of clay cotton", ".svg"));
            Assert.True(plain < 0.45 && mirrored > 0.55, $"{plain}, {mirrored}");
            visitor.WaitForText("matches the stitching");
        });

    [Fact]
    public void Cloths_AndThreads_AreMadeAndChanged() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Stash");
            AddShape(visitor, "Drop");
            visitor.Click("button", "New cloth");
            visitor.Fill("Name", "plum corduroy");
            visitor.Choose("Pattern", "striped");
            visitor.Click("button", "Add the cloth");
            visitor.WaitForText("plum corduroy");
            visitor.WaitForNoText("Add the cloth");
            Assert.Contains(
                "plum corduroy",
                (string)
                    visitor.Run(
                        "return [...document.querySelectorAll('aside select')].map(list => list.selectedOptions[0].text).join()"
                    )!,
                StringComparison.Ordinal
            );
            visitor.Press(Keys.Escape);
            visitor.WaitForText("This project");
            visitor.Click("button", "New thread");
            visitor.Fill("Name", "heather 402");
            visitor.Click("button", "Add the thread");
            visitor.WaitForText("heather 402");
            visitor.Choose("Thread of covers", "heather 402");
            visitor.Click("button", "Drop");
            visitor.Click("button", "Stages");
            visitor.WaitForText("the project’s (heather 402)");
        });

    [Fact]
    public void Ring_TurnsInStepsOfFifteen() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Turned");
            AddShape(visitor, "Leaf");
            // The ring stands 26 pixels above the box: some 8 mm at this fit.
            visitor.DragOnWall((0, -38), (30, -31));
            visitor.WaitForValue("Turn", "45.0");
            visitor.Type("Turn", "12.5");
            visitor.WaitForValue("Turn", "12.5");
        });

    [Fact]
    public void Band_SelectsWhatItTouches() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Band");
            AddShape(visitor, "Ellipse");
            visitor.Type("Across", "-30");
            visitor.WaitForValue("Across", "-30.0");
            AddShape(visitor, "Star");
            visitor.Type("Across", "30");
            visitor.WaitForValue("Across", "30.0");
            visitor.DragOnWall((-62, -80), (62, 60));
            visitor.WaitForText("Centre as one");
            visitor.DragOnWall((-30, 0), (-30, 20));
            visitor.Click("button", "Star");
            visitor.WaitForValue("Name", "Star");
            Assert.InRange(double.Parse(visitor.ValueOf("Down"), CultureInfo.InvariantCulture), 19, 21);
        });

    [Fact]
    public void Shape_TakesNumbersAndAHole() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Numbers of shapes");
            AddShape(visitor, "Star");
            visitor.Click("button", "Form");
            visitor.Type("Points", "8");
            visitor.WaitForValue("Points", "8");
            visitor.Type("Points", "99");
            visitor.WaitForText("The number of points must be from 3 to 24; 99 was given.");
            visitor.Choose("Hole", "round");
            visitor.WaitForText("The hole is stitched and cut as well.");
            visitor.Type("Hole width", "6");
            visitor.Run("document.querySelector('header [data-level]').click()");
            visitor.WaitForText("scissors need about 8.0 mm");
            visitor.Press(Keys.Escape);
            visitor.Choose("Hole", "none");
            visitor.WaitForNoText("The hole is stitched and cut as well.");
        });

    [Fact]
    public void Hoop_TooSmall_IsFoundAndMended() =>
        Visit(visitor =>
        {
            NewProject(visitor, "Hoops");
            AddShape(visitor, "Shield");
            visitor.Type("Height", "120");
            visitor.WaitForValue("Height", "120.0");
            visitor.Choose("Hoop, sewing field", "100 × 100 mm · 4 × 4 in");
            visitor.WaitForText("1 finding");
            visitor.Click("button", "1 finding");
            visitor.Click("button", "Use the 130 × 180 hoop (5 × 7 in)");
            visitor.WaitForText("No findings");
        });

    /// <summary>Which share of a file's page box lies right of the middle of its mass: under a half when the left is heavy.</summary>
    private static double MassLeft(byte[] file)
    {
        var ring = SvgCutReader.Read(file).Value.Lines[0].Contour.Flatten();
        var (box, points) = (ring.Bounds(), ring.Points);
        var (area, moment) = (0.0, 0.0);
        for (var i = 0; i < points.Length; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Length]);
            var cross = (a.X * b.Y) - (b.X * a.Y);
            area += cross / 2;
            moment += (a.X + b.X) * cross / 6;
        }
        return ((moment / area) - box.MinX) / box.Width;
    }
}
