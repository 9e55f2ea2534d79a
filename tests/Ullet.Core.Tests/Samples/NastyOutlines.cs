using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Samples;

/// <summary>Outlines that a cover does not like, made by plain code.</summary>
internal static class NastyOutlines
{
    /// <summary>Name and outline, mm.</summary>
    internal static IEnumerable<(string Name, Region Outline)> All()
    {
        foreach (var width in new[] { 1.0, 1.5, 2, 3, 4, 6 })
        {
            yield return ($"bar {width} mm", Polygon((0, 0), (60, 0), (60, width), (0, width)));
        }
        foreach (var arm in new[] { 3.0, 6 })
        {
            yield return ($"spiral, arms {arm} mm", Spiral(arm));
        }
        foreach (var thick in new[] { 3.0, 8 })
        {
            yield return ($"crescent {thick} mm", Crescent(thick));
        }
        foreach (var tooth in new[] { 2.0, 4, 8 })
        {
            yield return ($"comb, teeth {tooth} mm", Comb(tooth));
        }
        foreach (var off in new[] { 0.0, 4, 7.5 })
        {
            yield return ($"donut, hole {off} mm off", new Region(Circle(0, 0, 20, true), [Circle(off, 0, 10, false)]));
        }
        yield return ("donut, tiny hole", new Region(Circle(0, 0, 20, true), [Circle(5, 3, 1.2, false)]));
        yield return (
            "two holes",
            new Region(Circle(0, 0, 25, true), [Circle(-8, 0, 6, false), Circle(8, 0, 6, false)])
        );
        yield return ("lobes 0.3 mm apart", Lobes(0.3));
        yield return ("ellipse with nicks", Nicked(0.15));
        yield return ("ellipse with deep nicks", Nicked(0.2));
        yield return ("heart, 3,000 noisy points", Noisy(3000, 0.1));
        yield return ("heart, 400 noisy points", Noisy(400, 0.1));
        yield return ("spike", Polygon((0, 0), (70, -3), (70, 3)));
        yield return ("star, thin", Star(9, 30, 7));
        yield return ("circle 12 mm", new Region(Circle(0, 0, 6, true), []));
        yield return ("circle 6 mm", new Region(Circle(0, 0, 3, true), []));
        yield return ("lollipop", Lollipop());
    }

    private static Region Polygon(params (double X, double Y)[] points)
    {
        var ring = new Ring([.. points.Select(point => new Point(point.X, point.Y))]);
        return new Region(ring.SignedArea > 0 ? ring : ring.Reversed(), []);
    }

    private static Ring Circle(double x, double y, double radius, bool isShell)
    {
        var count = Math.Max(24, (int)(radius * 12));
        var ring = new Ring([
            .. Enumerable
                .Range(0, count)
                .Select(i => 2 * Math.PI * i / count)
                .Select(angle => new Point(x + (radius * Math.Cos(angle)), y + (radius * Math.Sin(angle)))),
        ]);
        return ring.SignedArea > 0 == isShell ? ring : ring.Reversed();
    }

    private static Region Spiral(double arm)
    {
        var (outer, inner) = (new List<(double, double)>(), new List<(double, double)>());
        for (var i = 0; i <= 400; i++)
        {
            var angle = 5.5 * Math.PI * i / 400;
            var radius = 6 + (angle * (2 * arm) / (2 * Math.PI));
            outer.Add(((radius + (arm / 2)) * Math.Cos(angle), (radius + (arm / 2)) * Math.Sin(angle)));
            inner.Add(((radius - (arm / 2)) * Math.Cos(angle), (radius - (arm / 2)) * Math.Sin(angle)));
        }
        inner.Reverse();
        return Polygon([.. outer, .. inner]);
    }

    private static Region Crescent(double thick)
    {
        var points = new List<(double, double)>();
        for (var i = 0; i <= 120; i++)
        {
            var angle = (-0.35 * Math.PI) + (1.7 * Math.PI * i / 120);
            points.Add((30 * Math.Cos(angle), 30 * Math.Sin(angle)));
        }
        for (var i = 119; i > 0; i--)
        {
            var angle = (-0.35 * Math.PI) + (1.7 * Math.PI * i / 120);
            var radius = 30 - (thick * Math.Sin(Math.PI * i / 120));
            points.Add((radius * Math.Cos(angle), radius * Math.Sin(angle)));
        }
        return Polygon([.. points]);
    }

    private static Region Comb(double tooth)
    {
        var points = new List<(double, double)> { (0, 0) };
        for (var i = 0; i < 6; i++)
        {
            var x = 2 * tooth * i;
            points.AddRange([(x, 30), (x + tooth, 30), (x + tooth, 10), (x + (2 * tooth), 10)]);
        }
        points.RemoveAt(points.Count - 1);
        points.Add((points[^1].Item1, 0));
        return Polygon([.. points]);
    }

    private static Region Lobes(double apart)
    {
        var points = new List<(double, double)>();
        for (var i = 0; i <= 60; i++)
        {
            var angle = (0.5 * Math.PI) + (2 * Math.PI * i / 60 * 0.98);
            points.Add((-15 - (apart / 2) + (15 * Math.Sin(angle)), 15 * Math.Cos(angle)));
        }
        points.Add((-14, 20));
        points.Add((14, 20));
        for (var i = 0; i <= 60; i++)
        {
            var angle = (-0.5 * Math.PI) + (2 * Math.PI * (60 - i) / 60 * 0.98) + 0.06;
            points.Add((15 + (apart / 2) + (15 * Math.Sin(angle)), 15 * Math.Cos(angle)));
        }
        return FilledOutline.Of([Contour.Polygon(Polygon([.. points]).Shell.Points)], FillRule.NonZero).Flatten()[0];
    }

    /// <summary>An ellipse with eighteen nicks so deep, mm.</summary>
    internal static Region Nicked(double depth)
    {
        var points = new List<(double, double)>();
        for (var i = 0; i < 720; i++)
        {
            var angle = 2 * Math.PI * i / 720;
            var nick = i % 40 == 0 ? depth : 0;
            points.Add(((30 - nick) * Math.Cos(angle), (20 - nick) * Math.Sin(angle)));
        }
        return Polygon([.. points]);
    }

    /// <summary>A heart whose points lie off by chance.</summary>
    internal static Region Noisy(int count, double most)
    {
        var random = new Random(5);
        return Polygon([
            .. Enumerable
                .Range(0, count)
                .Select(i => 2 * Math.PI * i / count)
                .Select(t =>
                    (
                        (2 * 16 * Math.Pow(Math.Sin(t), 3)) + (most * ((2 * random.NextDouble()) - 1)),
                        -2 * ((13 * Math.Cos(t)) - (5 * Math.Cos(2 * t)) - (2 * Math.Cos(3 * t)) - Math.Cos(4 * t))
                            + (most * ((2 * random.NextDouble()) - 1))
                    )
                ),
        ]);
    }

    private static Region Star(int tips, double outer, double inner) =>
        Polygon([
            .. Enumerable
                .Range(0, 2 * tips)
                .Select(i =>
                {
                    var (angle, radius) = (Math.PI * i / tips, i % 2 == 0 ? outer : inner);
                    return (radius * Math.Cos(angle), radius * Math.Sin(angle));
                }),
        ]);

    private static Region Lollipop()
    {
        var points = new List<(double, double)> { (-1.5, 50), (1.5, 50) };
        for (var i = 1; i < 60; i++)
        {
            var angle = (0.5 * Math.PI) - 0.1 - (2 * (Math.PI - 0.1) * i / 60);
            points.Add((15 * Math.Cos(angle), 15 * Math.Sin(angle)));
        }
        return Polygon([.. points]);
    }
}
