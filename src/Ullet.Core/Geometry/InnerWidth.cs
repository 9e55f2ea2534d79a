using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>How wide a form is from edge to edge, measured inside it, mm.</summary>
/// <param name="Thin">A tenth of its edge lies on stretches thinner than this.</param>
/// <param name="Usual">Half of its edge lies on stretches thinner than this.</param>
public sealed record InnerWidth(double Thin, double Usual)
{
    /// <summary>Distance of the places measured along the edge, mm.</summary>
    private const double Step = 0.6;

    /// <summary>Two edges face each other when their feet on the inscribed circle lie at least this far apart, degrees;
    /// nearer ones are the two legs of a corner, where the way straight across is taken.</summary>
    private const double Facing = 125;

    /// <summary>A crossing nearer than this is the edge that the measure begins at, mm.</summary>
    private const double LeastAcross = 1e-3;

    /// <summary>Measures by circles inscribed at the edge (see <see cref="MedialReach"/>), near corners straight across.</summary>
    /// <param name="regions">The form, mm.</param>
    /// <param name="most">Stretches wider than this count as this wide, mm.</param>
    /// <returns>Null for an empty form.</returns>
    /// <remarks>Costs the square of a region's number of edges at worst.</remarks>
    public static InnerWidth? Of(IReadOnlyList<Region> regions, double most = 40)
    {
        var widths = new List<double>();
        foreach (var region in regions)
        {
            var rings = region.Rings.Where(ring => ring.Points.Length > 2).ToList();
            var reach = new MedialReach(new SegmentIndex(rings, Math.Max(2, most / 8)));
            foreach (var (foot, outward) in rings.SelectMany(Feet))
            {
                Budget.Spend();
                var inward = outward * -1;
                var (radius, stop) = reach.Of(foot, inward, most / 2);
                widths.Add(
                    stop is { } other && Faces(foot, other, foot + (inward * radius))
                        ? radius * 2
                        : Across(foot, inward, rings, most)
                );
            }
        }
        if (widths.Count == 0)
        {
            return null;
        }
        widths.Sort();
        return new InnerWidth(widths[widths.Count / 10], widths[widths.Count / 2]);
    }

    /// <summary>Places along a ring, off its vertices, each with the way out of the form.</summary>
    private static IEnumerable<(Point Foot, Point Outward)> Feet(Ring ring)
    {
        var left = Step / 2;
        for (var i = 0; i < ring.Points.Length; i++)
        {
            var (a, b) = (ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]);
            var length = a.DistanceTo(b);
            for (; left < length; left += Step)
            {
                Budget.Spend();
                yield return (Point.Lerp(a, b, left / length), (b - a).Unit().Outward());
            }
            left -= length;
        }
    }

    /// <summary>The way from an edge straight through the form to the next one.</summary>
    private static double Across(Point foot, Point inward, List<Ring> rings, double most)
    {
        var nearest = most;
        foreach (var points in rings.Select(ring => ring.Points))
        {
            for (var i = 0; i < points.Length; i++)
            {
                var (a, b) = (points[i] - foot, points[(i + 1) % points.Length] - foot);
                var (left, right) = (Point.Cross(inward, a), Point.Cross(inward, b));
                if (left > 0 == right > 0)
                {
                    continue;
                }
                var hit = Point.Lerp(a, b, left / (left - right));
                var along = Point.Dot(hit, inward);
                if (along > LeastAcross && along < nearest)
                {
                    nearest = along;
                }
            }
        }
        return nearest;
    }

    private static bool Faces(Point foot, Point stop, Point centre)
    {
        var (a, b) = ((foot - centre).Unit(), (stop - centre).Unit());
        return Math.Acos(Math.Clamp(Point.Dot(a, b), -1, 1)) * 180 / Math.PI >= Facing;
    }
}
