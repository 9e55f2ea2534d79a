using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches.Runs;

public sealed class LockEndsTests
{
    private static readonly ImmutableArray<Point> Bare =
    [
        .. Enumerable.Range(0, 12).Select(i => new Point(i * 2.5, 0)),
    ];

    [Fact]
    public void LocksAtBothEnds_AreParted_TheSewingBeginsAndEndsInItsOwnHoles()
    {
        ImmutableArray<Point> locked =
        [
            Bare[0],
            new(0.7, 0),
            Bare[0],
            new(0.7, 0),
            .. Bare[1..],
            new(26.8, 0),
            Bare[^1],
            new(26.8, 0),
        ];
        var (lead, core, trail) = LockEnds.Parts(locked);
        Assert.Equal(Bare, core);
        Assert.Equal(4, lead.Length);
        Assert.InRange(trail.Length, 3, 4);
    }

    [Fact]
    public void WithoutLocks_NothingIsTaken()
    {
        var (lead, core, trail) = LockEnds.Parts(Bare);
        Assert.Empty(lead);
        Assert.Empty(trail);
        Assert.Equal(Bare, core);
    }

    [Fact]
    public void ALocksOtherHole_LiesALocksLengthAlong()
    {
        var place = LockEnds.PlaceOf(Bare[0], Bare);
        Assert.Equal(StitchDefaults.LockLength, place.DistanceTo(Bare[0]), 6);
        Assert.Equal(0, place.Y, 6);
    }

    [Theory]
    [InlineData(0.5)]
    [InlineData(0.9)]
    [InlineData(1.4)]
    [InlineData(3)]
    public void ARunAtAnotherSize_KeepsItsStitchLength_ItsEndsAndItsCorners(double growth)
    {
        ImmutableArray<Point> corner = [.. Bare, .. Enumerable.Range(1, 10).Select(i => new Point(27.5, i * 2.5))];
        ImmutableArray<Point> grown = [.. corner.Select(at => at * growth)];
        var stepped = Restepped.Of(grown, growth, OpenedLook.Run);
        Assert.Equal(grown[0], stepped[0]);
        Assert.Equal(grown[^1].X, stepped[^1].X, 6);
        Assert.Equal(grown[^1].Y, stepped[^1].Y, 6);
        Assert.Contains(stepped, at => at.DistanceTo(new Point(27.5 * growth, 0)) < 1e-6);
        Assert.All(
            stepped.Zip(stepped.Skip(1), (from, to) => from.DistanceTo(to)),
            length => Assert.InRange(length, 1.6, 3.6)
        );
    }

    [Fact]
    public void ABeanStitchAtAnotherSize_IsOneStill()
    {
        var bean = BeanStitch.Of(Bare);
        var stepped = Restepped.Of([.. bean.Select(at => at * 2)], 2, OpenedLook.Bean);
        Assert.Equal(
            OpenedLook.Bean,
            Core.Recovery.BlockReader.LookOf([.. stepped.Select(at => new OpenedPoint(OpenedMove.Stitch, at))])
        );
        Assert.Equal(Restepped.WithoutReturns(bean).Length * 2, Restepped.WithoutReturns(stepped).Length + 1, 1.0);
    }
}
