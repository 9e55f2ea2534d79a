using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Applique;

/// <summary>A place of a piece's visible edge.</summary>
/// <param name="At">The place, mm.</param>
/// <param name="Ring">The ring's number, part by part, shell before holes.</param>
/// <param name="Along">Its distance along the ring from its first corner, mm.</param>
/// <param name="FromMiddle">Its distance from the piece's middle, mm.</param>
/// <param name="Line">The line between corners that it lies on.</param>
internal readonly record struct EdgePlace(
    Point At,
    int Ring,
    double Along,
    double FromMiddle,
    ReadOnlyMemory<Point> Line
);

/// <summary>Places along a piece's visible edge, found once for whatever cover is then held against them.</summary>
internal sealed class EdgePlaces
{
    /// <summary>Distance of the places along the edge, mm; at most <see cref="MostPlaces"/> for each ring.</summary>
    private const double Step = 1.0;

    private const int MostPlaces = 400;

    internal EdgePlaces(PieceAtWork work) => (Work, All) = (work, [.. Find(work)]);

    internal PieceAtWork Work { get; }

    internal ImmutableArray<EdgePlace> All { get; }

    private static IEnumerable<EdgePlace> Find(PieceAtWork work)
    {
        var rings = work.Edge.Flatten().SelectMany(region => region.Rings).ToList();
        var covered = work
            .Stretches.Where(stretch => stretch.IsCovered)
            .ToLookup(stretch => stretch.Ring, stretch => stretch.Points);
        var middle = work.Edge.Bounds().Centre;
        for (var number = 0; number < rings.Count; number++)
        {
            var ring = rings[number];
            if (ring.Points.Length < 3 || Stitches.CoverEdges.IsSpeck(ring))
            {
                continue;
            }
            var step = Math.Max(Step, ring.Length / MostPlaces);
            var (along, next) = (0.0, step / 2);
            foreach (var line in Lines(ring))
            {
                for (var i = 0; i + 1 < line.Length; i++)
                {
                    Budget.Spend();
                    var length = line[i].DistanceTo(line[i + 1]);
                    for (; next < along + length; next += step)
                    {
                        Budget.Spend();
                        var at = Point.Lerp(line[i], line[i + 1], (next - along) / length);
                        if (!covered[number].Any(stretch => IsOn(stretch.AsSpan(), at)))
                        {
                            yield return new EdgePlace(at, number, next, at.DistanceTo(middle), line);
                        }
                    }
                    along += length;
                }
            }
        }
    }

    /// <summary>The ring from its first corner on, cut at its corners.</summary>
    private static IEnumerable<Point[]> Lines(Ring ring)
    {
        var corners = ring.Corners();
        var count = ring.Points.Length;
        if (corners.IsEmpty)
        {
            corners = [0];
        }
        for (var i = 0; i < corners.Length; i++)
        {
            var end = i + 1 < corners.Length ? corners[i + 1] : corners[0] + count;
            yield return [.. Enumerable.Range(corners[i], end - corners[i] + 1).Select(k => ring.Points[k % count])];
        }
    }

    private static bool IsOn(ReadOnlySpan<Point> line, Point place)
    {
        for (var i = 1; i < line.Length; i++)
        {
            if (SegmentIndex.Foot(place, line[i - 1], line[i]).DistanceTo(place) < Tolerance.Quantum)
            {
                return true;
            }
        }
        return false;
    }
}
