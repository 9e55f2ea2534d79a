using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The part of a cover beyond a corner.</summary>
internal static class CornerCap
{
    /// <summary>Distance between stroke places beyond a corner, mm, where their ends move fast.</summary>
    private const double CapStep = 0.12;

    /// <summary>The strokes of one leg beyond a corner, parallel to its others: from the bisector, where the other leg's
    /// strokes meet them in a mitre, to the round cap.</summary>
    /// <remarks>At a distance u beyond a corner that turns by θ the bisector lies u / tan(θ/2) off the leg's line, the cap
    /// √(r² − u²); they meet at u = r · sin(θ/2).</remarks>
    internal static void Add(
        Point corner,
        Point neighbour,
        double turn,
        bool ahead,
        CoverBand band,
        MedialReach reach,
        List<StrokePlace> places
    )
    {
        var along = (corner - neighbour).Unit();
        var outward = (ahead ? along : along * -1).Outward();
        var convex = turn > 0;
        var side = convex ? outward : outward * -1;
        var radius = convex ? band.Outside : band.Inside;
        if (radius <= 0)
        {
            return;
        }
        var half = Math.Abs(turn) / 2 * Math.PI / 180;
        var (farthest, slope) = (radius * Math.Sin(half), Math.Tan(half));
        for (var u = CapStep / 3; u < farthest; u += u < CapStep ? CapStep / 3 : CapStep)
        {
            Budget.Spend();
            var foot = corner + (along * u);
            var low = foot + (side * (u / slope));
            var high = reach.ClipBeyondCorner(corner, low, foot + (side * Math.Sqrt((radius * radius) - (u * u))));
            var place = convex ? new StrokePlace(high, low) : new StrokePlace(low, high);
            if (place.Length < StitchDefaults.ShortestStitch)
            {
                break;
            }
            places.Add(place);
        }
    }
}
