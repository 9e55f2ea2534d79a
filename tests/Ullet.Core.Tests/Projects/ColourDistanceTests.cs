using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Projects;

public sealed class ColourDistanceTests
{
    /// <summary>Pairs of CIELAB with their distance: the supplementary test data of the formula's implementation notes.</summary>
    [Theory]
    [InlineData(50.0000, 2.6772, -79.7751, 50.0000, 0.0000, -82.7485, 2.0425)]
    [InlineData(50.0000, 3.1571, -77.2803, 50.0000, 0.0000, -82.7485, 2.8615)]
    [InlineData(50.0000, 2.8361, -74.0200, 50.0000, 0.0000, -82.7485, 3.4412)]
    [InlineData(50.0000, -1.3802, -84.2814, 50.0000, 0.0000, -82.7485, 1.0000)]
    [InlineData(50.0000, 0.0000, 0.0000, 50.0000, -1.0000, 2.0000, 2.3669)]
    [InlineData(50.0000, 2.4900, -0.0010, 50.0000, -2.4900, 0.0009, 7.1792)]
    [InlineData(50.0000, 2.4900, -0.0010, 50.0000, -2.4900, 0.0011, 7.2195)]
    [InlineData(50.0000, -0.0010, 2.4900, 50.0000, 0.0009, -2.4900, 4.8045)]
    [InlineData(50.0000, 2.5000, 0.0000, 73.0000, 25.0000, -18.0000, 27.1492)]
    [InlineData(50.0000, 2.5000, 0.0000, 61.0000, -5.0000, 29.0000, 22.8977)]
    [InlineData(50.0000, 2.5000, 0.0000, 56.0000, -27.0000, -3.0000, 31.9030)]
    [InlineData(50.0000, 2.5000, 0.0000, 58.0000, 24.0000, 15.0000, 19.4535)]
    [InlineData(50.0000, 2.5000, 0.0000, 50.0000, 3.1736, 0.5854, 1.0000)]
    [InlineData(60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644)]
    [InlineData(63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.2630)]
    [InlineData(22.7233, 20.0904, -46.6940, 23.0331, 14.9730, -42.5619, 2.0373)]
    [InlineData(36.4612, 47.8580, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146)]
    [InlineData(6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377)]
    [InlineData(2.0776, 0.0795, -1.1350, 0.9033, -0.0636, -0.5514, 0.9082)]
    public void Distance_AgreesWithThePublishedPairs_EitherWay(
        double l1,
        double a1,
        double b1,
        double l2,
        double a2,
        double b2,
        double apart
    )
    {
        Assert.Equal(apart, ColourDistance.Between((l1, a1, b1), (l2, a2, b2)), 0.00011);
        Assert.Equal(apart, ColourDistance.Between((l2, a2, b2), (l1, a1, b1)), 0.00011);
    }

    [Fact]
    public void Colours_OfTheScreen_AreNoughtFromThemselves_AndAHundredFromBlackToWhite()
    {
        Assert.Equal(0, ColourDistance.Between("#5d7a3a", "#5d7a3a"), 1e-9);
        Assert.Equal(100, ColourDistance.Between("#000000", "#ffffff"), 0.01);
        Assert.Equal(53.24, ColourDistance.Lightness("#ff0000"), 0.01);
    }

    [Fact]
    public void Shades_ThatEyesTellApart_AreFartherThanThoseTheyDont()
    {
        Assert.True(ColourDistance.Between("#35584b", "#36594c") < ColourDistance.HardlyTold);
        Assert.True(ColourDistance.Between("#35584b", "#97304f") > ColourDistance.Near);
    }
}
