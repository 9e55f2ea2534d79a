using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A decorative unit repeated along edges, bent with them, a whole number to each leg between corners.</summary>
/// <remarks>Law, tested in OpenCoverTests: a closed edge ends where it began, and no point lies outside the band.</remarks>
internal static class MotifCover
{
    /// <param name="regions">The outline, mm.</param>
    /// <param name="cover">Band, unit, its length and side.</param>
    /// <param name="visible">What gets a cover; null for all of it.</param>
    /// <param name="cancellation">Stops the work.</param>
    internal static StepStitches Make(
        ImmutableArray<Region> regions,
        CoverNumbers cover,
        CancellationToken cancellation,
        VisibleEdge? visible = null
    )
    {
        var (outside, inside) = (cover.Outside, cover.Inside);
        var unit = StitchUnit.Of(cover.MotifId).Places;
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var narrow = ImmutableArray.CreateBuilder<NarrowPlace>();
        foreach (var edge in CoverEdges.Of(regions, new CoverBand(outside, inside), visible))
        {
            cancellation.ThrowIfCancellationRequested();
            var points = ImmutableArray.CreateBuilder<Point>();
            foreach (var leg in edge.Legs)
            {
                var strokes = new SidePath(leg, BandSide.Edge);
                var units = Math.Max(1, (int)Math.Round(strokes.Length / cover.UnitLength));
                for (var k = 0; k < units; k++)
                {
                    Budget.Spend();
                    foreach (var (along, across) in unit)
                    {
                        var stroke = strokes.At(strokes.Length * (k + along) / units);
                        var side = cover.IsMirrored ? -across : across;
                        var point = Point.Lerp(stroke.Foot, side > 0 ? stroke.Outer : stroke.Inner, Math.Abs(side));
                        if (points.Count == 0 || points[^1].DistanceTo(point) > Tolerance.Quantum)
                        {
                            points.Add(point);
                        }
                    }
                }
            }
            if (points.Count > 2)
            {
                runs.Add(new StitchRun(RunKind.Top, edge.Ring, points.ToImmutable()));
            }
            narrow.AddRange(edge.Legs.Select(leg => leg.Narrowest).OfType<NarrowPlace>());
        }
        return new StepStitches(runs.ToImmutable(), narrow.ToImmutable());
    }
}
