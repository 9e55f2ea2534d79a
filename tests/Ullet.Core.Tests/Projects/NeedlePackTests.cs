using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Projects;

public sealed class NeedlePackTests
{
    [Fact]
    public void RandomPoints_ComeBackAsTheyWere()
    {
        for (var seed = 0; seed < 200; seed++)
        {
            var random = new Random(seed);
            var at = Point.Zero;
            var points = new List<OpenedPoint>();
            for (var i = 0; i < random.Next(1, 300); i++)
            {
                var move = (OpenedMove)random.Next(3);
                at =
                    move == OpenedMove.Trim
                        ? at
                        : new Point(
                            Math.Round((random.NextDouble() - 0.5) * 2000, 2),
                            Math.Round((random.NextDouble() - 0.5) * 2000, 2)
                        );
                points.Add(new OpenedPoint(move, at));
            }
            Assert.Equal(points, NeedlePack.Unpack(NeedlePack.Pack(points))!.Value);
        }
    }

    [Fact]
    public void OrdinaryStitches_TakeFewBytesEach()
    {
        var points = Enumerable
            .Range(0, 10_000)
            .Select(i => new OpenedPoint(OpenedMove.Stitch, new Point(i % 50 * 0.4, i % 2 * 3.5)))
            .ToList();
        Assert.True(NeedlePack.Pack(points).Length < 7 * points.Count);
    }

    [Theory]
    [InlineData("no base 64 at all!")]
    [InlineData("////")]
    [InlineData("gICAgICAgICAgICA")]
    public void WhatIsNoText_IsNone(string text) => Assert.Null(NeedlePack.Unpack(text));
}
