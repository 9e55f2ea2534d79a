using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Applique;

public sealed class StrokeFitTests
{
    /// <summary>3.5 wide, 60 % inside: 4.2 from both edges, and 1 of cloth between.</summary>
    private static readonly Core.Stitches.CoverNumbers Usual = CoverChoice.Of(
        new CoverSettings(),
        ClothPreset.Of(null)
    );

    [Theory]
    [InlineData(6, 8, StrokeVerdict.Fits)]
    [InlineData(3, 8, StrokeVerdict.ThinInPlaces)]
    [InlineData(3, 5, StrokeVerdict.TooThin)]
    public void Judge_ComparesStrokesWithTheCoversNeed(double thin, double usual, StrokeVerdict verdict)
    {
        Assert.Equal(5.2, StrokeFit.Needed(Usual), 1e-9);
        Assert.Equal(verdict, StrokeFit.Judge(new InnerWidth(thin, usual), Usual));
    }

    [Fact]
    public void Judge_OfANarrowerCover_TakesThinnerStrokes()
    {
        var strokes = new InnerWidth(3.6, 4);
        Assert.Equal(StrokeVerdict.TooThin, StrokeFit.Judge(strokes, Usual));
        Assert.Equal(
            StrokeVerdict.Fits,
            StrokeFit.Judge(strokes, CoverChoice.Of(new CoverSettings { Width = 2 }, ClothPreset.Of(null)))
        );
        Assert.Equal(StrokeVerdict.TooThin, StrokeFit.Judge(null, Usual));
    }
}
