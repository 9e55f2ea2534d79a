using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Samples;

/// <summary>Outlines by seed: generators, blobs of smooth curves, rings and rectangles on whole millimetres, whose edges
/// often touch or coincide.</summary>
internal static class RandomOutlines
{
    private static readonly ImmutableArray<ShapeSource> Generators =
    [
        new EllipseShape(),
        new HeartShape(),
        new StarShape(5, 0.4),
        new LeafShape(),
        new RectangleShape(3),
        new CrescentShape(0.3),
        new PolygonShape(6),
        new DropShape(),
    ];

    /// <summary>A pair of outlines near each other: overlapping, nested, touching or apart.</summary>
    internal static (Outline A, Outline B) Pair(int seed)
    {
        var random = new Random(seed);
        return (One(random), One(random));
    }

    internal static Outline One(Random random) =>
        random.Next(5) switch
        {
            0 => Generated(random),
            1 => Blob(random),
            2 => Ring(random),
            3 => OnTheGrid(random),
            _ => FilledOutline.Joined([Generated(random), Blob(random)]),
        };

    private static Outline Generated(Random random) =>
        Placed(
            random,
            ShapeContours.Make(
                Generators[random.Next(Generators.Length)],
                10 + (random.NextDouble() * 70),
                10 + (random.NextDouble() * 70)
            )
        );

    /// <summary>A smooth closed line through places round a middle (Catmull-Rom as Béziers).</summary>
    private static Outline Blob(Random random)
    {
        var count = 5 + random.Next(9);
        var places = Enumerable
            .Range(0, count)
            .Select(i =>
            {
                var (angle, radius) = (2 * Math.PI * i / count, 8 + (random.NextDouble() * 30));
                return new Point(radius * Math.Cos(angle), radius * Math.Sin(angle));
            })
            .ToArray();
        Point At(int i) => places[(i + count) % count];
        return Placed(
            random,
            new Contour([
                .. Enumerable
                    .Range(0, count)
                    .Select(i =>
                        Curve.Cubic(
                            At(i),
                            At(i) + ((At(i + 1) - At(i - 1)) * (1 / 6.0)),
                            At(i + 1) - ((At(i + 2) - At(i)) * (1 / 6.0)),
                            At(i + 1)
                        )
                    ),
            ])
        );
    }

    private static Outline Ring(Random random)
    {
        var (width, height) = (20 + (random.NextDouble() * 50), 20 + (random.NextDouble() * 50));
        var hole = ShapeContours.Make(new EllipseShape(), width * 0.5, height * 0.5).Oriented(clockwise: false);
        return new Outline([new OutlinePart(ShapeContours.Make(new EllipseShape(), width, height), [hole])]).Transform(
            Affine.Translate(random.Next(-20, 20), random.Next(-20, 20))
        );
    }

    private static Outline OnTheGrid(Random random) =>
        new Outline([
            new OutlinePart(
                ShapeContours.Make(new RectangleShape(), 2 * random.Next(3, 20), 2 * random.Next(3, 20)),
                []
            ),
        ]).Transform(Affine.Translate(random.Next(-10, 10), random.Next(-10, 10)));

    private static Outline Placed(Random random, Contour contour) =>
        new Outline([new OutlinePart(contour.Oriented(clockwise: true), [])]).Transform(
            Affine
                .Rotate(random.Next(360))
                .Then(Affine.Translate((random.NextDouble() * 50) - 25, (random.NextDouble() * 50) - 25))
        );
}
