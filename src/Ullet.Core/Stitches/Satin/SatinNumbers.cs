using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The runs that may lie under a cover.</summary>
[Flags]
public enum UnderlayKinds
{
    None = 0,

    /// <summary>Once along the band's middle.</summary>
    CentreRun = 1,

    /// <summary>Along both sides, a little inside them.</summary>
    EdgeRuns = 2,

    /// <summary>A wide zigzag across it.</summary>
    Zigzag = 4,
}

/// <summary>The numbers of a cover that lies across an edge, mm.</summary>
/// <param name="Width">Width as sewn.</param>
/// <param name="Spacing">Distance between neighbouring holes on the same side.</param>
/// <param name="InsideShare">Share of the width inside the outline, 0 to 1.</param>
/// <param name="Compensation">Added on each side.</param>
public sealed record SatinNumbers(double Width, double Spacing, double InsideShare, double Compensation)
{
    /// <summary>Most needle points that a disc of 0.5 mm radius may take: fewer on cloths that tear along a row of holes.</summary>
    public int NeedleLimit { get; init; } = StitchDefaults.NeedleLimit;

    /// <summary>What lies under it; null for what its width asks for.</summary>
    public UnderlayKinds? Underlay { get; init; }

    /// <summary>Stretches of edge with numbers of their own.</summary>
    public ImmutableArray<StretchNumbers> Stretches { get; init; } = [];

    [JsonIgnore]
    internal CoverBand Band => new((Width * (1 - InsideShare)) + Compensation, (Width * InsideShare) + Compensation);

    /// <summary>What lies under it.</summary>
    [JsonIgnore]
    public UnderlayKinds UnderlayKinds =>
        Underlay ?? (Spacing > LoosestHiding ? UnderlayKinds.None : UsualUnderlay(Width));

    /// <summary>Strokes set looser than this show what lies under them, mm.</summary>
    private const double LoosestHiding = 0.6;

    /// <summary>The underlay that a width asks for.</summary>
    public static UnderlayKinds UsualUnderlay(double width) =>
        UnderlayKinds.CentreRun
        | (width >= StitchDefaults.EdgeRunsFrom ? UnderlayKinds.EdgeRuns : UnderlayKinds.None)
        | (width >= StitchDefaults.ZigzagFrom ? UnderlayKinds.Zigzag : UnderlayKinds.None);

    /// <summary>The numbers that hold along a stretch of edge.</summary>
    internal SatinNumbers At(StretchNumbers? stretch) =>
        stretch is null
            ? this
            : this with
            {
                Width = stretch.Width ?? Width,
                Spacing = stretch.Spacing ?? Spacing,
                InsideShare = stretch.InsideShare ?? InsideShare,
            };
}

/// <summary>A stretch of edge whose cover has numbers of its own; a null keeps the cover's.</summary>
/// <param name="At">A place on the stretch, mm.</param>
public sealed record StretchNumbers(
    Point At,
    double? Width = null,
    double? Spacing = null,
    double? InsideShare = null,
    string? ThreadId = null
)
{
    /// <summary>Farther from the line than this the place belongs to another stretch, mm.</summary>
    private const double Near = 0.6;

    /// <summary>The one that is meant for a line, or null.</summary>
    internal static StretchNumbers? Of(ImmutableArray<StretchNumbers> stretches, ReadOnlySpan<Point> line)
    {
        var at = IndexOn([.. stretches.Select(stretch => stretch.At)], line);
        return at < 0 ? null : stretches[at];
    }

    /// <summary>The place that lies nearest to a line, by its number; -1 when none lies on it.</summary>
    /// <param name="places">Places by which stretches are named, mm.</param>
    /// <param name="line">A stretch of edge, mm.</param>
    public static int IndexOn(ReadOnlySpan<Point> places, ImmutableArray<Point> line) => IndexOn(places, line.AsSpan());

    private static int IndexOn(ReadOnlySpan<Point> places, ReadOnlySpan<Point> line)
    {
        var (best, nearest) = (-1, Near);
        for (var k = 0; k < places.Length; k++)
        {
            for (var i = 1; i < line.Length; i++)
            {
                Budget.Spend();
                var distance = SegmentIndex.Foot(places[k], line[i - 1], line[i]).DistanceTo(places[k]);
                if (distance < nearest)
                {
                    (best, nearest) = (k, distance);
                }
            }
        }
        return best;
    }
}
