using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The tip of a spike: a corner so sharp that its two edges lie within the slack with which the medial axis is searched.
/// There strokes end at the bisector by the corner's angle.</summary>
internal sealed record SpikeTip
{
    /// <summary>Interior angles over this are sharp to a search as well, degrees.</summary>
    private const double Sharpest = 30;

    /// <summary>So far from the tip the edges part clearly, mm.</summary>
    private const double Reach = 0.8;

    private readonly Point _corner;
    private readonly double _slope;
    private readonly bool _isConvex;

    private SpikeTip(Point corner, double slope, bool isConvex) =>
        (_corner, _slope, _isConvex) = (corner, slope, isConvex);

    /// <summary>The tip at a corner; null where it is none.</summary>
    /// <param name="corner">The corner, mm.</param>
    /// <param name="turn">By how much the edge turns there, degrees; null at an open end.</param>
    internal static SpikeTip? Of(Point corner, double? turn) =>
        turn is { } by && 180 - Math.Abs(by) is var angle && angle < Sharpest
            ? new SpikeTip(corner, Math.Tan(angle / 2 * Math.PI / 180), by > 0)
            : null;

    /// <summary>How far a stroke may reach outwards and inwards from a foot near the tip, mm.</summary>
    internal (double Outward, double Inward) Clip(Point foot, double outward, double inward)
    {
        var away = foot.DistanceTo(_corner);
        if (away > Reach)
        {
            return (outward, inward);
        }
        var bisector = away * _slope;
        return _isConvex ? (outward, Math.Min(inward, bisector)) : (Math.Min(outward, bisector), inward);
    }
}
