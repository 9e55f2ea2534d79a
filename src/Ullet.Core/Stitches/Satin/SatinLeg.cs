using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>How far a cover's band reaches from the outline, compensation included, mm.</summary>
/// <param name="Outside">Outwards of the material; below 0 for a band that lies inside the outline.</param>
/// <param name="Inside">Inwards.</param>
internal readonly record struct CoverBand(double Outside, double Inside)
{
    internal double Width => Outside + Inside;
}

/// <summary>A place along the edge with the two ends of the stroke that may lie there, mm.</summary>
internal readonly record struct StrokePlace(Point Outer, Point Inner)
{
    /// <summary>True when another edge leaves the stroke less than its full length.</summary>
    internal bool IsClipped { get; init; }

    /// <summary>True when it is the outer end that has less.</summary>
    internal bool IsOuterClipped { get; init; }

    /// <summary>True when it is the inner end.</summary>
    internal bool IsInnerClipped { get; init; }

    /// <summary>Where it crosses the edge; not known beyond corners and of strokes picked between places.</summary>
    internal Point Foot { get; init; }

    internal double Length => Outer.DistanceTo(Inner);
}

/// <summary>One smooth stretch of the edge between corners as stroke places; between them strokes lie evenly.</summary>
/// <param name="Places">Places in sewing order, corner mitres included.</param>
/// <param name="First">The first place that stands on the edge itself, not beyond a corner.</param>
/// <param name="Last">The last one.</param>
/// <param name="Narrowest">Where two facing edges leave the band least room, or null.</param>
/// <param name="Feet">The edge itself, mm.</param>
internal sealed record SatinLeg(StrokePlace[] Places, int First, int Last, NarrowPlace? Narrowest, Point[] Feet)
{
    /// <summary>The places that stand on the edge.</summary>
    internal ReadOnlySpan<StrokePlace> Body => Places.AsSpan(First, Last - First + 1);
}
