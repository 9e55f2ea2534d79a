using SkiaSharp;
using Ullet.Core.Edits;
using Ullet.Core.Program;
using Ullet.Files.Pictures;

namespace Ullet.Files.Tests.Pictures;

public sealed class BastingPictureTests
{
    [Fact]
    public void FinishedPicture_ShowsNoBasting()
    {
        const int Size = 300;
        var plain = DemoWork.All["Tea-towel corner"];
        var basted = DemoWork.With(plain.Project, new AddBasting());
        using var without = SKBitmap.Decode(ProjectPicture.Png(plain, Size));
        using var with = SKBitmap.Decode(ProjectPicture.Png(basted, Size));
        var (field, scale) = (plain.Project.Hooping.Hoop, Size / plain.Project.Hooping.Hoop.FieldWidth);
        var places = basted
            .Program.Steps.OfType<ProgramStitches>()
            .Single(step => step.Key.Stage == "basting")
            .Commands.Where(command => command.Kind == NeedleKind.Stitch)
            .Select(command =>
                (
                    X: (int)((command.At.X + (field.FieldWidth / 2)) * scale),
                    Y: (int)((command.At.Y + (field.FieldHeight / 2)) * scale)
                )
            )
            .ToList();
        Assert.True(places.Count > 20);
        Assert.All(places, place => Assert.Equal(without.GetPixel(place.X, place.Y), with.GetPixel(place.X, place.Y)));
    }
}
