using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>What a run of needle points is for.</summary>
public enum RunKind
{
    Line,
    Underlay,
    Top,
}

/// <summary>Needle points sewn one after the other without travel, mm.</summary>
/// <param name="Kind">What the run is for.</param>
/// <param name="Edge">Which edge of the outline it belongs to.</param>
/// <param name="Points">Needle points.</param>
public sealed record StitchRun(RunKind Kind, int Edge, ImmutableArray<Point> Points)
{
    /// <summary>A thread of its own; null for the step's.</summary>
    public string? ThreadId { get; init; }

    /// <summary>Runs of one group are sewn in the order in which they stand, without others between; each edge is its own unless
    /// edges lie in each other's way.</summary>
    public int Group { get; init; } = Edge;

    /// <summary>How it is sewn where its needle points stand as a file has them; null for one that is locked, split and cut as usual.</summary>
    public AsMadeRun? AsMade { get; init; }
}

/// <summary>What a file says of a run of its own beside the needle points: nothing of them is split, merged, locked or left out.</summary>
/// <param name="JumpTo">Where it jumps to first, mm; null where the thread goes on from the run before.</param>
/// <param name="IsTrimmed">True where the thread is cut after it.</param>
public sealed record AsMadeRun(Point? JumpTo, bool IsTrimmed);

/// <summary>A place where a cover had to be narrowed, and the width that was left there, mm.</summary>
public sealed record NarrowPlace(Point At, double Width);

/// <summary>What one stage is sewn with, before travel, locks and trims are added.</summary>
public sealed record StepStitches(ImmutableArray<StitchRun> Runs, ImmutableArray<NarrowPlace> NarrowPlaces)
{
    /// <summary>Stretches of satin that are sewn otherwise, as they are too narrow or too wide.</summary>
    public ImmutableArray<FallenPart> Fallen { get; init; } = [];

    public int PointCount => Runs.Sum(run => run.Points.Length);
}
