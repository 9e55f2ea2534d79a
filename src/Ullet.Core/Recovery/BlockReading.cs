using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Recovery;

/// <summary>What can be read off the needle points of a block.</summary>
/// <param name="Look">How they look.</param>
/// <param name="Lines">Lines that were sewn along; of a blanket stitch its spine, of strokes none.</param>
/// <param name="Band">What strokes cover; null for lines.</param>
public sealed record BlockReading(OpenedLook Look, ImmutableArray<RunLine> Lines, StrokeBand? Band)
{
    /// <summary>How long the teeth of a blanket stitch are, mm; 0 for anything else.</summary>
    public double Teeth { get; init; }

    /// <summary>The needle points of lines and units, without what holds the thread's ends; none of anything else.</summary>
    public ImmutableArray<Point> Places { get; init; } = [];

    /// <summary>The same seen through a map; widths and lengths grow as its areas do.</summary>
    public BlockReading On(Affine map)
    {
        if (map == Affine.Identity)
        {
            return this;
        }
        var growth = Math.Sqrt(Math.Abs((map.A * map.D) - (map.B * map.C)));
        return this with
        {
            Lines =
            [
                .. Lines.Select(line =>
                    line with
                    {
                        Points = [.. line.Points.Select(map.Apply)],
                        StitchLength = line.StitchLength * growth,
                    }
                ),
            ],
            Band = Band is { } band
                ? new StrokeBand(
                    [.. band.Area.Select(region => RegionMap.On(region, map))],
                    band.Width * growth,
                    band.Spacing * growth
                )
                : null,
            Places = [.. Places.Select(map.Apply)],
            Teeth = Teeth * growth,
        };
    }

    /// <summary>The usual stitch length of lines, mm.</summary>
    public double StitchLength => Lines.IsEmpty ? 0 : Lines.MaxBy(line => line.Length())!.StitchLength;

    /// <summary>The closed lines, the longest first.</summary>
    public IEnumerable<RunLine> Rings => Lines.Where(line => line.IsClosed).OrderByDescending(line => line.Length());

    /// <summary>True for a band that goes round something: it has a hole.</summary>
    public bool IsRound => Band is { } band && band.Area.Any(region => !region.Holes.IsEmpty);
}
