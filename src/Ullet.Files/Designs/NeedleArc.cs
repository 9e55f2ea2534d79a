using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Designs;

/// <summary>An arc of a needle path (ISO 6983: G2 clockwise, G3 counter-clockwise); mm, y up.</summary>
/// <param name="From">Where it begins.</param>
/// <param name="To">Where it ends; the same place for a full circle.</param>
/// <param name="IsClockwise">Which way it goes.</param>
internal readonly record struct NeedleArc(Point From, Point To, bool IsClockwise)
{
    /// <summary>Stitches that an arc is stepped into are no longer, mm.</summary>
    private const double Step = 1.5;

    /// <summary>They turn no more, radians: what is small stays round.</summary>
    private const double Turn = 0.35;

    private const int MostSteps = 20_000;

    /// <summary>Its centre; null where nothing says it.</summary>
    /// <param name="offset">From its beginning to the centre; null where the line does not say so.</param>
    /// <param name="radius">Below 0 for the longer way round; null where the line does not say so.</param>
    internal Point? Centre(Point? offset, double? radius)
    {
        if (offset is { } by)
        {
            return From + by;
        }
        if (radius is not { } said || From.DistanceTo(To) is not (> 1e-9 and var chord))
        {
            return null;
        }
        var size = Math.Max(Math.Abs(said), chord / 2);
        var high = Math.Sqrt(Math.Max(0, (size * size) - (chord * chord / 4)));
        var way = (To - From).Unit();
        var side = IsClockwise == (said > 0) ? -1 : 1;
        return Point.Lerp(From, To, 0.5) + (new Point(-way.Y, way.X) * (high * side));
    }

    /// <summary>True where both ends lie on one circle about a centre, to 0.5 mm or 2 %.</summary>
    internal bool IsAbout(Point centre)
    {
        var reach = From.DistanceTo(centre);
        return reach >= 1e-6 && Math.Abs(To.DistanceTo(centre) - reach) <= Math.Max(0.5, reach * 0.02);
    }

    /// <summary>Places along it after its beginning; its end is the last.</summary>
    internal IEnumerable<Point> Stepped(Point centre)
    {
        var reach = From.DistanceTo(centre);
        var (start, end) = (
            Math.Atan2(From.Y - centre.Y, From.X - centre.X),
            Math.Atan2(To.Y - centre.Y, To.X - centre.X)
        );
        var sweep = IsClockwise ? start - end : end - start;
        sweep = sweep <= 1e-9 ? sweep + (2 * Math.PI) : sweep;
        var steps = (int)Math.Clamp(Math.Ceiling(sweep * reach / Step), Math.Ceiling(sweep / Turn), MostSteps);
        for (var k = 1; k <= steps; k++)
        {
            Budget.Spend();
            var angle = start + ((IsClockwise ? -1 : 1) * sweep * k / steps);
            yield return k == steps ? To : centre + (new Point(Math.Cos(angle), Math.Sin(angle)) * reach);
        }
    }
}
