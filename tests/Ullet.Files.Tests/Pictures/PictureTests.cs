using SkiaSharp;
using Ullet.Core.Projects;
using Ullet.Files.Pictures;

namespace Ullet.Files.Tests.Pictures;

public sealed class PictureTests
{
    [Fact]
    public void Picture_ShowsGroundClothAndThreadWhereTheyLie()
    {
        using var picture = SKBitmap.Decode(ProjectPicture.Png(DemoWork.Patch, 900));
        Assert.Equal((650, 900), (picture.Width, picture.Height));
        AssertNear(picture, "#e9e0cb", -60, -85);
        AssertNear(picture, "#35584b", 0, 50);
        AssertNear(picture, "#97304f", 0, 16);
    }

    [Fact]
    public void Picture_OfAnEmptyProject_IsTheGround()
    {
        var empty = DemoWork.Context.Evaluator.Evaluate(DemoWork.Patch.Project with { Elements = [] });
        using var picture = SKBitmap.Decode(ProjectPicture.Png(empty, 200));
        Assert.Equal(200, picture.Height);
    }

    /// <summary>20 mm of cloth in 40 pixels: checks of 10 mm, counted from the field's centre.</summary>
    [Fact]
    public void Photo_IsRepeatedAtItsTrueSize()
    {
        var project = DemoWork.Patch.Project with { Elements = [] };
        var ground = project.FindCloth(project.Hooping.GroundClothId)!;
        var photographed = project with
        {
            Cloths =
            [
                .. project.Cloths.Select(cloth =>
                    cloth == ground ? cloth with { Swatch = new ClothSwatch("photo", 20) } : cloth
                ),
            ],
        };
        var photos = new Dictionary<string, byte[]> { ["photo"] = SwatchPicture.Checks() };
        var evaluated = DemoWork.Context.Evaluator.Evaluate(photographed);
        using var picture = SKBitmap.Decode(ProjectPicture.Png(evaluated, 1800, photos: photos));
        AssertNear(picture, "#ff0000", 5, 5);
        AssertNear(picture, "#0000ff", 15, 5);
        AssertNear(picture, "#0000ff", -5, 5);
        AssertNear(picture, "#ff0000", 25, 5);
        // Without the photo's file the cloth is drawn by its colour.
        using var drawn = SKBitmap.Decode(ProjectPicture.Png(evaluated, 900));
        AssertNear(drawn, ground.Colour, 5, 5);
    }

    [Fact]
    public void Picture_OfTheDesign_IsAsWideAsItWithItsMargin()
    {
        var design = DemoWork.All["Shed-key tab"].DesignBounds().Grown(14);
        using var picture = SKBitmap.Decode(
            ProjectPicture.Png(DemoWork.All["Shed-key tab"], 1000, PictureFrame.Design)
        );
        Assert.Equal(1000, picture.Height);
        Assert.Equal(design.Width / design.Height * 1000, picture.Width, 1.0);
    }

    [Theory]
    [InlineData("words", "picture-foreign")]
    [InlineData("GIF89a", "picture-foreign")]
    public void PictureReader_OfWhatIsNone_Refuses(string text, string code) =>
        Assert.Equal(code, PictureReader.Size(System.Text.Encoding.ASCII.GetBytes(text)).Refusal?.Code);

    [Fact]
    public void PictureReader_OfAPictureCutShort_Refuses()
    {
        var whole = ProjectPicture.Png(DemoWork.Patch, 400);
        Assert.Equal(400, PictureReader.Size(whole).Value.Height);
        Assert.False(PictureReader.Size(whole[..60]).IsOk);
    }

    private static void AssertNear(SKBitmap picture, string hex, double x, double y)
    {
        var scale = picture.Height / 180.0;
        var found = picture.GetPixel((int)((x + 65) * scale), (int)((y + 90) * scale));
        var wanted = SKColor.Parse(hex);
        var off =
            Math.Abs(found.Red - wanted.Red)
            + Math.Abs(found.Green - wanted.Green)
            + Math.Abs(found.Blue - wanted.Blue);
        Assert.True(off < 60, $"{found} instead of {wanted} at {x}, {y}");
    }
}
