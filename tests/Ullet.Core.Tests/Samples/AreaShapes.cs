using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Samples;

/// <summary>Areas to be filled: with holes, arms, long tips.</summary>
internal static class AreaShapes
{
    internal static readonly ImmutableDictionary<string, Func<ImmutableArray<Region>>> All = new Dictionary<
        string,
        Func<ImmutableArray<Region>>
    >
    {
        ["disc"] = () => [new Region(Circle(0, 0, 12), [])],
        ["ring"] = () => [new Region(Circle(0, 0, 14), [Circle(2, 1, 6).Reversed()])],
        ["three holes"] = () =>
            [
                new Region(
                    Circle(0, 0, 18),
                    [Circle(-7, -6, 3.5).Reversed(), Circle(7, -5, 4).Reversed(), Circle(0, 8, 5).Reversed()]
                ),
            ],
        ["comb"] = () =>
            [
                new Region(
                    Ring.Of([
                        new(0, 0),
                        new(40, 0),
                        new(40, 20),
                        new(34, 20),
                        new(34, 6),
                        new(28, 6),
                        new(28, 20),
                        new(22, 20),
                        new(22, 6),
                        new(16, 6),
                        new(16, 20),
                        new(0, 20),
                    ]),
                    []
                ),
            ],
        ["star"] = () =>
            [
                new Region(
                    Ring.Of([.. Enumerable.Range(0, 10).Select(i => On(0, 0, i % 2 == 0 ? 16 : 7, i * Math.PI / 5))]),
                    []
                ),
            ],
        ["two islands"] = () => [new Region(Circle(0, 0, 6), []), new Region(Circle(20, 3, 7), [])],
    }.ToImmutableDictionary();

    internal static Ring Circle(double x, double y, double radius) =>
        Ring.Of([.. Enumerable.Range(0, 72).Select(i => On(x, y, radius, i * Math.PI / 36))]);

    private static Point On(double x, double y, double radius, double turn) =>
        new(x + (radius * Math.Cos(turn)), y + (radius * Math.Sin(turn)));
}
