using SkiaSharp;
using Ullet.Files.Instructions;
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

    [Fact]
    public void InstructionSheet_IsAPdfOfA4()
    {
        var pdf = InstructionSheet.Pdf(DemoWork.Patch);
        Assert.Equal("%PDF-"u8.ToArray(), pdf[..5]);
        var text = System.Text.Encoding.Latin1.GetString(pdf);
        Assert.Contains("/MediaBox [0 0 595 842]", text, StringComparison.Ordinal);
        Assert.Contains("HankenGrotesk", text, StringComparison.Ordinal);
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
