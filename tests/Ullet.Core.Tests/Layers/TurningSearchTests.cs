using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Layers;

/// <summary>Small things sewn by hand: can they be turned, and how?</summary>
public sealed class TurningSearchTests
{
    private const double NoWay = 0;

    /// <summary>Name, how it is answered, the way, the width of its narrowest place, mm, and what closes it off.</summary>
    public static TheoryData<string, TurningAnswer, string, double, string> Cases =>
        new()
        {
            { "bag with a gap", TurningAnswer.Through, "through the gap in the seam", 70, "" },
            { "bag without a gap", TurningAnswer.ClosedOff, "", NoWay, "closing seam" },
            { "bag with a short gap", TurningAnswer.Through, "through the gap in the seam", 30, "" },
            { "bag with two gaps", TurningAnswer.Through, "through the gap in the seam", 50, "" },
            { "bag open along a side", TurningAnswer.Through, "through the gap in the seam", 120, "" },
            { "bag with a gap at a corner", TurningAnswer.Through, "through the gap in the seam", 50, "" },
            { "gap in the wrong layer", TurningAnswer.ClosedOff, "", NoWay, "closing seam 1" },
            { "lining not caught", TurningAnswer.ClosedOff, "", NoWay, "closing seam" },
            {
                "halves that overlap",
                TurningAnswer.Through,
                "through the free edge between upper half and lower half",
                120,
                ""
            },
            {
                "halves that overlap, front alone",
                TurningAnswer.Through,
                "through the free edge between front and upper half",
                120,
                ""
            },
            { "halves that end apart from each other", TurningAnswer.AlreadyOutside, "", double.PositiveInfinity, "" },
            { "window in the back", TurningAnswer.Through, "through the window in back", 100, "" },
            { "window too small", TurningAnswer.Through, "through the window in back", 24, "" },
            { "patch", TurningAnswer.AlreadyOutside, "", double.PositiveInfinity, "" },
            { "paper that was taken out", TurningAnswer.Through, "through the gap in the seam", 60, "" },
            { "paper that was not taken out", TurningAnswer.Through, "through the gap in the seam", 60, "" },
            { "quilted rug", TurningAnswer.Through, "through the gap in the seam", 64, "" },
            { "lined pouch", TurningAnswer.Through, "through the gap in the lining, then through the zip", 70, "" },
            {
                "lined pouch, zip sewn across its open part",
                TurningAnswer.Through,
                "through the gap in the lining, then through the zip",
                40,
                ""
            },
            { "lined pouch, its gap closed", TurningAnswer.ClosedOff, "", NoWay, "closing seam 1" },
            { "lined pouch, zip shut", TurningAnswer.ClosedOff, "", NoWay, "closing seam 1" },
            { "lined pouch, no slot", TurningAnswer.ClosedOff, "", NoWay, "closing seam 1" },
            {
                "lined pouch, zip open a little",
                TurningAnswer.Through,
                "through the gap in the lining, then through the zip",
                34,
                ""
            },
            { "quick pouch", TurningAnswer.Through, "through the zip", 76, "" },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void Of_AThingSewnByHand_KnowsTheWay(
        string name,
        TurningAnswer answer,
        string way,
        double width,
        string closedBy
    )
    {
        var work = Made(name);
        var report = TurningSearch.Of(work)!;
        Assert.Equal((answer, way), (report.Answer, report.WayWords));
        if (double.IsFinite(width))
        {
            Assert.Equal(width, report.Width, 5.0);
        }
        Assert.Equal(closedBy, report.ClosedBy.FirstOrDefault(""));
    }

    [Theory]
    [MemberData(nameof(Cases))]
    public void Of_AgreesWithWaterPouredOverIt(
        string name,
        TurningAnswer answer,
        string way,
        double width,
        string closedBy
    )
    {
        Assert.NotNull(way + width + closedBy);
        var work = Made(name);
        var flood = new VoxelFlood(work);
        var outer = Enumerable.Range(0, work.Layers.Length).Where(i => work.Layers[i].Role == LayerRole.Outer);
        Assert.Equal(
            answer != TurningAnswer.ClosedOff,
            outer.All(i =>
                flood.Wets(i, work.Layers[i].FaceUp, new Point(8, work.Layers[i].Name == "upper" ? -32 : 12))
            )
        );
    }

    [Fact]
    public void Of_NothingSewn_OrNothingWithARightSide_SaysNothing()
    {
        Assert.Null(TurningSearch.Of(new StackMaker().Lay("front", LayerRole.Outer, true).Done));
        Assert.Null(TurningSearch.Of(new StackMaker().Lay("felt", LayerRole.Inner, true).SewRound("line").Done));
    }

    [Fact]
    public void Of_MoreLayersThanAreJudged_SaysNothing()
    {
        var maker = new StackMaker();
        foreach (var i in Enumerable.Range(0, 65))
        {
            maker.Lay($"layer {i}", LayerRole.Outer, true);
        }
        Assert.Null(TurningSearch.Of(maker.SewRound("line").Done));
    }

    private static SewnLayers Made(string name) =>
        name switch
        {
            "bag with a gap" => Bag().SewRound("closing seam", (-35, 35)).Done,
            "bag without a gap" => Bag().SewRound("closing seam").Done,
            "bag with a short gap" => Bag().SewRound("closing seam", (-15, 15)).Done,
            "bag with two gaps" => Bag().SewRound("closing seam", (-50, -20), (0, 50)).Done,
            "bag open along a side" => Bag()
                .Sew("closing seam", new(-60, 40), new(-60, -40), new(60, -40), new(60, 40))
                .Done,
            "bag with a gap at a corner" => Bag().SewRound("closing seam", (10, 60)).Done,
            "gap in the wrong layer" => Bag()
                .SewRound("closing seam 1")
                .Lay("lining", LayerRole.Lining, true, behind: true)
                .SewRound("closing seam 2", (-35, 35))
                .Done,
            "lining not caught" => new StackMaker()
                .Lay("lining", LayerRole.Lining, true, new Box(-50, -30, 50, 30))
                .Lay("front", LayerRole.Outer, true)
                .Lay("back", LayerRole.Outer, false)
                .SewRound("closing seam")
                .Done,
            "halves that overlap" => new StackMaker()
                .Lay("front", LayerRole.Outer, true)
                .Lay("upper half", LayerRole.Outer, false, new Box(-70, -50, 70, 15))
                .Lay("lower half", LayerRole.Outer, false, new Box(-70, -15, 70, 50))
                .SewRound("closing seam")
                .Done,
            "halves that overlap, front alone" => new StackMaker()
                .Lay("front", LayerRole.Outer, true)
                .Lay("upper half", LayerRole.Lining, false, new Box(-70, -50, 70, 20))
                .SewRound("closing seam", (-60, 60))
                .Done,
            "halves that end apart from each other" => new StackMaker()
                .Lay("front", LayerRole.Outer, true)
                .Lay("upper half", LayerRole.Lining, false, new Box(-70, -50, 70, -20))
                .Lay("lower half", LayerRole.Lining, false, new Box(-70, 30, 70, 50))
                .SewRound("closing seam")
                .Done,
            "window in the back" => Bag().Cut("back", new Box(-25, -25, 25, 25)).SewRound("closing seam").Done,
            "window too small" => Bag().Cut("back", new Box(-6, -6, 6, 6)).SewRound("closing seam").Done,
            "patch" => new StackMaker()
                .Lay("back", LayerRole.Outer, false)
                .Lay("front", LayerRole.Outer, true)
                .SewRound("edge")
                .Done,
            "paper that was taken out" => Bag()
                .Lay("paper", LayerRole.TakenOut, true)
                .SewRound("closing seam", (-30, 30))
                .Remove("paper")
                .Done,
            "paper that was not taken out" => Bag()
                .Lay("paper", LayerRole.TakenOut, true)
                .SewRound("closing seam", (-30, 30))
                .Done,
            "quilted rug" => Quilted(),
            "lined pouch" => Pouch((-35, 35), (-40, 40), hasSlot: true),
            "lined pouch, its gap closed" => Pouch(null, (-40, 40), hasSlot: true),
            "lined pouch, zip shut" => Pouch((-35, 35), (0, 0), hasSlot: true),
            "lined pouch, no slot" => Pouch((-35, 35), (-40, 40), hasSlot: false),
            "lined pouch, zip open a little" => Pouch((-35, 35), (6, 40), hasSlot: true),
            "lined pouch, zip sewn across its open part" => Pouch((-35, 35), (-40, 40), hasSlot: true, bar: 0),
            "quick pouch" => QuickPouch(),
            _ => throw new ArgumentException($"Nothing is called {name}.", nameof(name)),
        };

    private static StackMaker Bag() =>
        new StackMaker().Lay("front", LayerRole.Outer, true).Lay("back", LayerRole.Outer, false);

    private static SewnLayers Quilted()
    {
        var maker = new StackMaker()
            .Lay("stabiliser", LayerRole.Inner, true, kind: ClothKind.Stabiliser)
            .Lay("filling", LayerRole.Inner, true, kind: ClothKind.Batting)
            .Lay("front", LayerRole.Outer, true);
        for (var x = -48.0; x <= 48; x += 12)
        {
            maker.Sew("quilting", new(x, -38), new(x, 38));
        }
        return maker.Lay("back", LayerRole.Outer, false).SewRound("closing seam", (-32, 32)).Done;
    }

    /// <summary>The zip lies across at -20 mm; panels and linings end 7 mm from its teeth.</summary>
    private static StackMaker Zipped(bool hasSlot)
    {
        var maker = new StackMaker()
            .Lay("stabiliser", LayerRole.Inner, true, kind: ClothKind.Stabiliser)
            .Lay("tape", LayerRole.Inner, true, new Box(-75, -35, 75, -5), kind: ClothKind.Zip)
            .Lay("lower", LayerRole.Outer, false, new Box(-70, -76, 70, -7))
            .Sew("lower panel seam", new(-65, -13), new(65, -13))
            .Fold("lower", true, new Box(-70, -13, 70, 50))
            .Lay("upper", LayerRole.Outer, false, new Box(-70, -33, 70, -4))
            .Sew("upper panel seam", new(-65, -27), new(65, -27))
            .Fold("upper", true, new Box(-70, -50, 70, -27));
        return hasSlot ? maker.Cut("stabiliser", new Box(-50, -25, 50, -15)) : maker;
    }

    private static SewnLayers Pouch(
        (double From, double To)? gap,
        (double From, double To) open,
        bool hasSlot,
        double? bar = null
    )
    {
        var maker = Zipped(hasSlot)
            .Lay("lower lining", LayerRole.Lining, false, new Box(-70, -12, 70, 50), behind: true)
            .Lay("upper lining", LayerRole.Lining, false, new Box(-70, -50, 70, -28), behind: true)
            .Sew("lower line", new(-65, -8), new(65, -8))
            .Sew("upper line", new(-65, -32), new(65, -32))
            .Open("tape", open.From, open.To, -20);
        if (bar is { } x)
        {
            maker.Sew("bar", new(x, -26), new(x, -14));
        }
        maker
            .Lay("back", LayerRole.Outer, false)
            .SewRound("closing seam 1")
            .Lay("back lining", LayerRole.Lining, true, behind: true);
        return (gap is { } own ? maker.SewRound("closing seam 2", own) : maker.SewRound("closing seam 2")).Done;
    }

    private static SewnLayers QuickPouch() =>
        Zipped(hasSlot: true)
            .Open("tape", -38, 38, -20)
            .Lay("back", LayerRole.Outer, false)
            .Lay("back lining", LayerRole.Lining, true)
            .SewRound("closing seam")
            .Done;
}
