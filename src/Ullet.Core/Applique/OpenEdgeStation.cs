using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>A piece that may lie under others.</summary>
/// <param name="Outline">Its outline, mm.</param>
/// <param name="OutlineKey">Stands for it in the key.</param>
/// <param name="Above">The pieces on top of it that come near it.</param>
/// <param name="Touches">Stretches set by hand.</param>
/// <param name="Box">The element's frame, in which the touches are placed.</param>
public sealed record OpenEdgeInput(
    Outline Outline,
    ContentHash OutlineKey,
    ImmutableArray<PieceAbove> Above,
    ImmutableArray<EdgeTouch> Touches,
    ElementBox Box
);

/// <summary>A piece on top.</summary>
/// <param name="Outline">Its outline, mm.</param>
/// <param name="Key">Stands for it in the key.</param>
/// <param name="Tuck">How far the lower piece's cover goes on under it, mm.</param>
/// <param name="TakenIn">Its outline taken in by a distance, mm.</param>
public sealed record PieceAbove(Outline Outline, ContentHash Key, double Tuck, Func<double, Outline> TakenIn);

/// <summary>A stretch of a piece's edge between two corners, or between covered and open.</summary>
/// <param name="Ring">The ring's number, part by part, shell before holes.</param>
/// <param name="Points">At least two places, mm, in the ring's direction.</param>
/// <param name="IsCovered">True where it lies under another piece (or was set so): it gets no cover.</param>
/// <param name="IsByHand">True when it was set by hand.</param>
public sealed record EdgeStretch(int Ring, ImmutableArray<Point> Points, bool IsCovered, bool IsByHand)
{
    public double Length => new ArcLength(Points).Total;

    /// <summary>The place halfway along it.</summary>
    public Point Middle
    {
        get
        {
            var along = new ArcLength(Points);
            return along.At(along.Total / 2);
        }
    }
}

/// <summary>What the stack leaves of a piece.</summary>
/// <param name="Laid">The cloth as it is laid: cut off where it would go on under another piece by more than the underlap.</param>
/// <param name="Stretches">All of the edge, in order.</param>
/// <param name="Visible">What gets a cover; null for all of it.</param>
/// <param name="IsBuried">True when the whole piece lies under others.</param>
public sealed record OpenEdges(
    Outline Laid,
    ImmutableArray<EdgeStretch> Stretches,
    VisibleEdge? Visible,
    bool IsBuried
);

/// <summary>The stack to a piece's visible and covered edges, and to the cloth that is laid for it.</summary>
public sealed class OpenEdgeStation : IStation<OpenEdgeInput, OpenEdges>
{
    /// <summary>How far a lower piece's cover goes on under an upper one, mm; never more than the upper cover's inside share.</summary>
    public const double Tuck = 1.5;

    /// <summary>How far a lower piece's cloth goes on under an upper one, mm.</summary>
    public const double Underlap = Splitting.Underlap;

    /// <summary>Stretches shorter than this go with their neighbour, mm.</summary>
    private const double Shortest = 0.3;

    /// <summary>How far a lower cover goes on under a piece: the tuck, but never out on the inner side of its cover, mm.</summary>
    public static double TuckUnder(AppliqueElement above, Project project)
    {
        var cover = CoverChoice.Of(above, project);
        return above.Stages.Cover.Off || !cover.LiesAcross ? Tuck : Math.Min(Tuck, cover.Inside);
    }

    public int Version => 1;

    public long Bytes(OpenEdges output) =>
        Footprint.Of(output.Laid)
        + (2 * output.Stretches.Sum(stretch => Footprint.Thing + Footprint.Of(stretch.Points)));

    public ContentHash Key(OpenEdgeInput input) =>
        ContentHash.Combine([
            ContentHash.Of(
                new { Touches = input.Touches.ToArray(), Box = input.Touches.IsEmpty ? null : input.Box },
                $"open-edges-{Version}-{input.OutlineKey}"
            ),
            .. input.Above.Select(above => ContentHash.Of(above.Tuck, above.Key.Hex)),
        ]);

    public OpenEdges Compute(OpenEdgeInput input, CancellationToken cancellation)
    {
        var own = new AreaIndex(input.Outline);
        var above = input.Above.Where(piece => own.Meets(piece.Outline)).ToList();
        var (laid, isBuried) = Laid(input.Outline, above);
        var tucked = above
            .Select(piece => new AreaIndex(piece.TakenIn(piece.Tuck)))
            .Where(area => !area.IsEmpty)
            .ToList();
        var rings = input.Outline.Flatten().SelectMany(region => region.Rings).ToList();
        var stretches = rings.SelectMany((ring, number) => Stretches(ring, number, tucked)).ToList();
        foreach (var touch in input.Touches)
        {
            Budget.Spend();
            Set(stretches, BoxFit.OnWall(input.Box, touch.At), touch.IsCovered);
        }
        return new OpenEdges(laid, [.. stretches], Visible(rings, stretches), isBuried);
    }

    /// <summary>The outline without what lies deep under others. Cloth under a piece that stands clear of the edge stays
    /// whole: nobody cuts a hole there.</summary>
    private static (Outline Laid, bool IsBuried) Laid(Outline outline, List<PieceAbove> above)
    {
        var laid = outline;
        foreach (var piece in above)
        {
            Budget.Spend();
            var under = OutlineOverlay.Intersection(laid, piece.TakenIn(Underlap));
            var reaching = under
                .Parts.Where(part => RegionOverlay.DistanceToEdge([part.Flatten()], outline) < 2 * Tolerance.Quantum)
                .ToImmutableArray();
            if (!reaching.IsEmpty)
            {
                laid = OutlineOverlay.Difference(laid, new Outline(reaching));
            }
        }
        return laid.IsEmpty ? (outline, true) : (laid, false);
    }

    private static IEnumerable<EdgeStretch> Stretches(Ring ring, int number, List<AreaIndex> tucked)
    {
        ImmutableArray<Point> points = [.. ring.Points, ring.Points[0]];
        var along = new ArcLength(points);
        var cuts = ring.Corners().Select(corner => along.Of(points[corner])).ToList();
        cuts.AddRange(tucked.SelectMany(area => area.Crossings(points, along)));
        var stops = Apart(cuts, along.Total);
        for (var i = 0; i < stops.Count; i++)
        {
            Budget.Spend();
            var (from, to) = (stops[i], i + 1 < stops.Count ? stops[i + 1] : stops[0] + along.Total);
            var middle = along.At((from + to) / 2 % along.Total);
            yield return new EdgeStretch(
                number,
                Between(points, along, from, to),
                tucked.Any(area => area.Holds(middle)),
                false
            );
        }
    }

    /// <summary>Places along a ring without those that follow another too near.</summary>
    private static List<double> Apart(List<double> cuts, double total)
    {
        var stops = new List<double>();
        foreach (var cut in cuts.Select(cut => cut % total).Order())
        {
            if (stops.Count == 0 || cut - stops[^1] > Shortest)
            {
                stops.Add(cut);
            }
        }
        if (stops.Count > 1 && stops[0] + total - stops[^1] <= Shortest)
        {
            stops.RemoveAt(stops.Count - 1);
        }
        return stops.Count == 0 ? [0] : stops;
    }

    private static ImmutableArray<Point> Between(ImmutableArray<Point> ring, ArcLength along, double from, double to)
    {
        var points = ImmutableArray.CreateBuilder<Point>();
        points.Add(along.At(from % along.Total));
        for (var lap = 0; lap < 2; lap++)
        {
            for (var i = 1; i < ring.Length; i++)
            {
                Budget.Spend();
                var at = along.OfVertex(i) + (lap * along.Total);
                if (at > from + Tolerance.Quantum && at < to - Tolerance.Quantum)
                {
                    points.Add(ring[i]);
                }
            }
        }
        points.Add(along.At(to > along.Total + 1e-9 ? to - along.Total : to));
        return points.ToImmutable();
    }

    private static void Set(List<EdgeStretch> stretches, Point at, bool isCovered)
    {
        if (stretches.Count == 0)
        {
            return;
        }
        var nearest = Enumerable
            .Range(0, stretches.Count)
            .MinBy(i =>
            {
                var along = new ArcLength(stretches[i].Points);
                return along.At(along.Of(at)).DistanceTo(at);
            });
        stretches[nearest] = stretches[nearest] with { IsCovered = isCovered, IsByHand = true };
    }

    private static VisibleEdge? Visible(List<Ring> rings, List<EdgeStretch> stretches)
    {
        if (stretches.TrueForAll(stretch => !stretch.IsCovered))
        {
            return null;
        }
        var whole = ImmutableArray.CreateBuilder<int>();
        var open = ImmutableArray.CreateBuilder<OpenStretch>();
        for (var ring = 0; ring < rings.Count; ring++)
        {
            var own = stretches.Where(stretch => stretch.Ring == ring).ToList();
            var firstCovered = own.FindIndex(stretch => stretch.IsCovered);
            if (firstCovered < 0)
            {
                whole.Add(ring);
                continue;
            }
            // From a covered stretch on, so that no visible run is divided by the ring's first point.
            var run = ImmutableArray.CreateBuilder<Point>();
            foreach (var stretch in own.Skip(firstCovered).Concat(own.Take(firstCovered)).Append(own[firstCovered]))
            {
                Budget.Spend();
                if (!stretch.IsCovered)
                {
                    run.AddRange(run.Count == 0 ? stretch.Points : stretch.Points[1..]);
                }
                else if (run.Count > 1)
                {
                    open.Add(new OpenStretch(ring, run.ToImmutable()));
                    run.Clear();
                }
            }
        }
        return new VisibleEdge(whole.ToImmutable(), open.ToImmutable());
    }
}
