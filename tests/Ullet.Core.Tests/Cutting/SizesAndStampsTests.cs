using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Cutting;

public sealed class SizesAndStampsTests
{
    [Fact]
    public void Reading_OfAFile_SaysWhatOtherScalesShow()
    {
        var size = new SizeReading(90, 40);
        Assert.Equal(120, size.ShownAt(72), 1e-9);
        Assert.Equal(96, size.ShownAt(90), 1e-9);
        Assert.Equal(90, size.ShownAt(96), 1e-9);
        Assert.Equal(34.016, size.ShownInTenths, 0.001);
    }

    [Theory]
    [InlineData(64.42, 64.5, 2.54)]
    [InlineData(64.5, 64.5, 2.54)]
    [InlineData(25.4, 25.4, 1.0)]
    [InlineData(25.41, 25.5, 1.01)]
    public void TypedWidth_IsNeverRoundedDown(double width, double mm, double inches)
    {
        var size = new SizeReading(width, 10);
        Assert.Equal((mm, inches), (size.TypedMm, size.TypedInches));
    }

    [Fact]
    public void Stamp_OfAMovedPiece_Agrees_AndOfAResizedOne_DoesNot()
    {
        var project = SampleProject.With(new DropShape(), 40, 50, Method.CutBeforehand);
        var before = Stamp(project);
        var moved = SampleProject.Apply(
            project,
            new MoveElements
            {
                ElementIds = ["e1"],
                X = 7.1234,
                Y = -3.3,
            }
        );
        Assert.True(CutStamp.Agree(before, Stamp(moved)));
        var wider = SampleProject.Apply(project, new PlaceElement { ElementId = "e1", Width = 40.2 });
        Assert.False(CutStamp.Agree(before, Stamp(wider)));
        var flipped = SampleProject.Apply(
            SampleProject.Apply(project, new PlaceElement { ElementId = "e1", Rotation = 90 }),
            new FlipElements { ElementIds = ["e1"], Direction = Direction.Across }
        );
        var turned = SampleProject.Apply(project, new PlaceElement { ElementId = "e1", Rotation = 90 });
        Assert.False(CutStamp.Agree(Stamp(turned), Stamp(flipped)));
    }

    [Fact]
    public void Stamp_OfAMirroredCloth_DoesNotAgree_OfAnotherPlaceOnTheMat_Does()
    {
        var project = SampleProject.With(new EllipseShape(), 40, 50, Method.CutBeforehand);
        var before = Stamp(project);
        var mirrored = SampleProject.Apply(project, new MirrorCloth { ClothId = "beet", Lies = Lying.FaceDown });
        Assert.False(CutStamp.Agree(before, Stamp(mirrored)));
        var placed = SampleProject.Apply(
            project,
            new PlaceShape
            {
                ClothId = "beet",
                Key = "e1.0",
                X = 80,
                Y = 90,
            }
        );
        Assert.True(CutStamp.Agree(before, Stamp(placed)));
        Assert.False(CutStamp.Agree(before, ""));
    }

    [Fact]
    public void Coupon_HasRingsAndBarsOfItsSizesInTheField()
    {
        var source = SampleProject.With(new LeafShape());
        var coupon = Coupon.Make(source, source.FindCloth("felt")!, Method.CutBeforehand);
        var evaluated = SampleProject.Evaluate(coupon);
        Assert.DoesNotContain(evaluated.Findings, finding => finding.Code is "outside-field" or "same-element");
        Assert.Equal(Coupon.Ring, evaluated.Cuts.First(shape => shape.Name == "ring").Bounds().Width, 1e-6);
        Assert.Equal(3, evaluated.Cuts.Count(shape => Math.Abs(shape.Bounds().Width - Coupon.Bar) < 1e-6));
        Assert.Equal("Coupon, moss felt", coupon.Title);
        Assert.True(ProjectJson.Read(ProjectJson.Write(coupon)).IsOk);
    }

    [Fact]
    public void Coupon_WhenRead_GivesTheTolerancesThatTheEdgeMatchReckonsWith()
    {
        var project = SampleProject.With(new EllipseShape(), 60, 60, Method.CutBeforehand);
        var usual = Worst(project);
        var reading = new CouponReading
        {
            RingWidth = 50.3,
            WidestGap = 0.9,
            BarLength = 79.6,
        };
        var read = SampleProject.Apply(project, new ReadCoupon { ClothId = "beet", Reading = reading });
        var tolerances = read.Cut.Of("beet").Tolerances;
        Assert.Equal((0.15, 0.75, 0.005), (tolerances.Cutting, tolerances.Laying, tolerances.DrawIn));
        // 0.2 + 0.5 as usual, 0.15 + 0.75 as read; 30 mm from the middle draw in by 0.002 and by 0.005 of that.
        Assert.Equal(usual - 0.2 - (30 * 0.003), Worst(read), 0.001);
        var partly = SampleProject.Apply(
            read,
            new ReadCoupon
            {
                ClothId = "beet",
                Reading = new CouponReading { TrimMost = 1.1 },
            }
        );
        Assert.Equal(
            (0.15, 1.1),
            (partly.Cut.Of("beet").Tolerances.Cutting, partly.Cut.Of("beet").Tolerances.TrimMost)
        );
    }

    [Theory]
    [InlineData(70.0, null, null)]
    [InlineData(null, -1.0, null)]
    [InlineData(null, null, 20.0)]
    public void Coupon_ReadImpossibly_IsRefused(double? ring, double? gap, double? bar)
    {
        var reading = new CouponReading
        {
            RingWidth = ring,
            WidestGap = gap,
            BarLength = bar,
        };
        var refusal = SampleProject.Refused(
            SampleProject.With(new LeafShape()),
            new ReadCoupon { ClothId = "beet", Reading = reading }
        );
        Assert.Equal("number-out-of-range", refusal.Code);
    }

    private static string Stamp(Project project) => CutStamp.Of(SampleProject.Evaluate(project).Sheets[0]);

    private static double Worst(Project project) =>
        EdgeMatch.Of(SampleProject.Evaluate(project).Pieces.Single())!.Worst!.Bite;
}
