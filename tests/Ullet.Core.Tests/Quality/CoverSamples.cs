using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Quality;

/// <summary>Sews satin covers and puts them on the raster.</summary>
internal static class CoverSamples
{
    /// <param name="regions">The outline, mm.</param>
    /// <param name="numbers">The cover.</param>
    /// <param name="spoil">Changes the needle points of each top run first; null to leave them.</param>
    internal static QualityRaster Measure(
        ImmutableArray<Region> regions,
        SatinNumbers numbers,
        Func<ImmutableArray<Point>, ImmutableArray<Point>>? spoil = null
    )
    {
        var stitches = SatinCover.Make(regions, numbers, CancellationToken.None);
        return new QualityRaster(
            new CoverSample(
                [.. regions.SelectMany(region => region.Rings).Select(ring => (IReadOnlyList<Point>)ring.Points)],
                (numbers.Width * (1 - numbers.InsideShare)) + numbers.Compensation,
                (numbers.Width * numbers.InsideShare) + numbers.Compensation,
                [
                    .. stitches
                        .Runs.Where(run => run.Kind == RunKind.Top)
                        .Select(run => (IReadOnlyList<Point>)(spoil is null ? run.Points : spoil(run.Points))),
                ],
                QualityBounds.OverlapPoints(numbers.Spacing)
            )
        );
    }
}
