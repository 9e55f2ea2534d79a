using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A wide zigzag that lies wholly inside the outline, to hold a piece under its cover.</summary>
internal static class ZigzagTack
{
    /// <param name="regions">The outline, mm.</param>
    /// <param name="inset">How far inside the outline its outer side runs, mm.</param>
    /// <param name="width">Its width from there inwards, mm.</param>
    /// <param name="cancellation">Stops the work.</param>
    internal static StepStitches Make(
        ImmutableArray<Region> regions,
        double inset,
        double width,
        CancellationToken cancellation
    )
    {
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        foreach (var edge in CoverEdges.Of(regions, new CoverBand(-inset, inset + width), visible: null))
        {
            cancellation.ThrowIfCancellationRequested();
            var points = ImmutableArray.CreateBuilder<Point>();
            foreach (var leg in edge.Legs)
            {
                foreach (var stroke in StrokeSpread.Pick(leg.Body, StitchDefaults.TackWidth, even: false))
                {
                    Budget.Spend();
                    if (stroke.Length > StitchDefaults.ShortestStitch)
                    {
                        points.Add(points.Count % 2 == 0 ? stroke.Outer : stroke.Inner);
                    }
                }
            }
            if (points.Count > 1)
            {
                points.Add(points[0]);
                runs.Add(new StitchRun(RunKind.Line, edge.Ring, points.ToImmutable()));
            }
        }
        return new StepStitches(runs.ToImmutable(), []);
    }
}
