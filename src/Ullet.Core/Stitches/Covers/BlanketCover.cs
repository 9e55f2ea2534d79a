using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The numbers of a blanket stitch, mm.</summary>
/// <param name="Spine">How far outside the outline the spine runs; below 0 inside it.</param>
/// <param name="Teeth">How far inside the outline the teeth end.</param>
/// <param name="Spacing">Distance of the teeth, fitted so that a whole number fills each leg.</param>
/// <param name="IsMirrored">True for a spine on the inner side with teeth outwards.</param>
internal readonly record struct BlanketNumbers(double Spine, double Teeth, double Spacing, bool IsMirrored);

/// <summary>Blanket stitch along edges: a spine, and teeth across the edge, one of them on every corner.</summary>
/// <remarks>Laws, tested in OpenCoverTests: (1) a closed edge has a whole number of teeth and ends where it began; (2) the spine
/// lies at its distance from the edge and every tooth ends in the band.</remarks>
internal static class BlanketCover
{
    /// <summary>The spine of a sharp corner reaches at most this many times its distance from it.</summary>
    private const double MitreLimit = 1.6;

    /// <summary>And at most this much farther than elsewhere, mm.</summary>
    private const double MitreReach = 0.5;

    internal static StepStitches Make(
        ImmutableArray<Region> regions,
        BlanketNumbers numbers,
        CancellationToken cancellation,
        VisibleEdge? visible = null
    )
    {
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var narrow = ImmutableArray.CreateBuilder<NarrowPlace>();
        foreach (var edge in CoverEdges.Of(regions, new CoverBand(numbers.Spine, numbers.Teeth), visible))
        {
            cancellation.ThrowIfCancellationRequested();
            var points = Sew(edge, numbers);
            if (points.Length > 2)
            {
                runs.Add(new StitchRun(RunKind.Top, edge.Ring, points));
            }
            narrow.AddRange(edge.Legs.Select(leg => leg.Narrowest).OfType<NarrowPlace>());
        }
        return new StepStitches(runs.ToImmutable(), narrow.ToImmutable());
    }

    private static ImmutableArray<Point> Sew(CoverEdge edge, BlanketNumbers numbers)
    {
        Point Spine(StrokePlace place) => numbers.IsMirrored ? place.Inner : place.Outer;
        Point Tip(StrokePlace place) => numbers.IsMirrored ? place.Outer : place.Inner;
        var points = new List<Point>();
        for (var i = 0; i < edge.Legs.Count; i++)
        {
            var side = new SidePath(edge.Legs[i], numbers.IsMirrored ? BandSide.Inner : BandSide.Outer);
            var teeth = Math.Max(1, (int)Math.Round(side.Length / numbers.Spacing));
            if (!edge.IsSmooth && (edge.IsClosed || i > 0))
            {
                AddCorner(edge.Legs[(i + edge.Legs.Count - 1) % edge.Legs.Count], edge.Legs[i], numbers, points);
            }
            else
            {
                AddTooth(Spine(side.At(0)), Tip(side.At(0)), points);
            }
            for (var k = 0; k < teeth; k++)
            {
                Budget.Spend();
                var (from, to) = (side.Length * k / teeth, side.Length * (k + 1) / teeth);
                Append(RunStitch.Along(side.Between(from, to), numbers.Spacing), points);
                var isLast = k == teeth - 1;
                // The last tooth of a leg is its corner's, or that of the beginning.
                if (!isLast || (!edge.IsClosed && i == edge.Legs.Count - 1))
                {
                    AddTooth(Spine(side.At(to)), Tip(side.At(to)), points);
                }
            }
        }
        if (edge.IsClosed && points.Count > 2)
        {
            points.Add(points[0]);
        }
        return [.. points];
    }

    private static void AddTooth(Point spine, Point tip, List<Point> points)
    {
        Append([spine, tip, spine], points);
    }

    /// <summary>The tooth of a corner lies on its bisector.</summary>
    private static void AddCorner(SatinLeg before, SatinLeg after, BlanketNumbers numbers, List<Point> points)
    {
        var corner = after.Feet[0];
        var (into, onward) = ((corner - before.Feet[^2]).Unit(), (after.Feet[1] - corner).Unit());
        var outward = (into.Outward() + onward.Outward()).Unit();
        var half = Math.Abs(Point.Turn(into, onward)) / 2 * Math.PI / 180;
        var stretch = Math.Min(MitreLimit, 1 / Math.Max(Math.Cos(half), 1e-3));
        // In an acute corner the facing sides leave a tooth less room.
        var room = Math.Min(1, Math.Cos(half) / Math.Sqrt(0.5));
        var isConvex = Point.Turn(into, onward) > 0;
        var (spineOut, teethIn) = isConvex
            ? (Math.Min(numbers.Spine * stretch, numbers.Spine + MitreReach), numbers.Teeth * room)
            : (numbers.Spine * room, numbers.Teeth);
        // Where the piece is narrow the tooth ends in its middle, as its neighbours do.
        teethIn = Math.Min(
            teethIn,
            NarrowRoom * Math.Max(Depth(before, corner, numbers), Depth(after, corner, numbers))
        );
        var (outer, inner) = (corner + (outward * spineOut), corner - (outward * teethIn));
        AddTooth(numbers.IsMirrored ? inner : outer, numbers.IsMirrored ? outer : inner, points);
    }

    /// <summary>A corner's tooth may be longer than its neighbours by this.</summary>
    private const double NarrowRoom = 1.2;

    /// <summary>How far inwards a leg's strokes reach near a corner, mm.</summary>
    private static double Depth(SatinLeg leg, Point corner, BlanketNumbers numbers)
    {
        var deepest = 0.0;
        foreach (ref readonly var place in leg.Body)
        {
            Budget.Spend();
            if (place.Foot.DistanceTo(corner) <= 2 * numbers.Teeth)
            {
                deepest = Math.Max(deepest, place.Foot.DistanceTo(place.Inner));
            }
        }
        // A leg whose places stand far apart is free there.
        return deepest > 0 ? deepest : numbers.Teeth;
    }

    private static void Append(ImmutableArray<Point> line, List<Point> points)
    {
        foreach (var point in line)
        {
            if (points.Count == 0 || points[^1].DistanceTo(point) > Tolerance.Quantum)
            {
                points.Add(point);
            }
        }
    }
}
