using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Program;

public sealed class ZipLookTests
{
    private static readonly PresentLayer Tape = new(
        "zip",
        "Zip",
        new Cloth
        {
            Id = "zip",
            Name = "zip",
            Colour = "#445566",
            Kind = ClothKind.Zip,
        },
        true,
        false,
        [new Region(Ring.Of(new Box(-100, -15, 120, 15).Corners()), [])]
    )
    {
        SliderShut = new Point(105, 0),
    };

    [Fact]
    public void Shut_ItHasOneRowOfTeeth_AndItsSliderBeyond()
    {
        var look = ZipLook.Of(Tape)!;
        Assert.Single(look.Teeth);
        Assert.Equal((-100, 120), (look.Teeth[0][0].X, look.Teeth[0][^1].X));
        Assert.Empty(look.Slit);
        Assert.Contains(look.Slider, region => new AreaIndex([region]).Holds(new Point(105, 0)));
    }

    [Fact]
    public void Open_ItCanBeLookedThrough_FromTheSliderToItsEnd()
    {
        var look = ZipLook.Of(Tape with { Parted = (new Point(-40, 0), new Point(80, 0)) })!;
        var slit = new AreaIndex(look.Slit);
        Assert.True(slit.Holds(new Point(20, 0)) && slit.Holds(new Point(20, 3)));
        Assert.False(slit.Holds(new Point(-60, 0)) || slit.Holds(new Point(100, 0)) || slit.Holds(new Point(20, 4)));
        Assert.True(new AreaIndex(look.Slider).Holds(new Point(-40, 0)));
        // What is shut still, behind the slider.
        Assert.Contains(look.Teeth, row => row[0] == new Point(-100, 0) && row[^1] == new Point(-40, 0));
        Assert.Null(ZipLook.Of(Tape with { Cloth = Tape.Cloth with { Kind = ClothKind.Linen } }));
    }
}
