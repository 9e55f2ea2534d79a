using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Opened;

/// <summary>What a stitch file says, whatever its format; mm, x right, y down.</summary>
/// <param name="Name">What the file calls it, or the file's own name.</param>
/// <param name="Blocks">What is sewn, in order; at least one.</param>
/// <param name="Threads">What it is sewn with; at least one.</param>
public sealed record StitchDesign(
    string Name,
    ImmutableArray<DesignBlock> Blocks,
    ImmutableArray<MachineThread> Threads
)
{
    /// <summary>Most blocks that are opened.</summary>
    public const int MostBlocks = 600;

    /// <summary>Most threads that are opened.</summary>
    public const int MostThreads = 100;

    /// <summary>Most needle points that are opened.</summary>
    public const int MostPoints = 1_000_000;

    /// <summary>The cloths that its hands lay.</summary>
    public ImmutableArray<Cloth> Cloths { get; init; } = [];

    /// <summary>What is hooped; null where it does not say so.</summary>
    public Cloth? Ground { get; init; }

    /// <summary>The sewing field that it was made for, mm; null where it does not say so.</summary>
    public (double Width, double Height)? Field { get; init; }

    /// <summary>What hands do after the last block.</summary>
    public ImmutableArray<OpenedHands> After { get; init; } = [];

    /// <summary>What could not be read, and where, a sentence each.</summary>
    public ImmutableArray<string> LeftOut { get; init; } = [];

    /// <summary>True where the file says how long its units are.</summary>
    public bool SaysUnit { get; init; }

    /// <summary>True where the file says which way its axes go.</summary>
    public bool SaysAxes { get; init; }

    /// <summary>How long its units were taken to be, mm.</summary>
    public double MmPerUnit { get; init; } = 1;

    /// <summary>True where its y axis was taken to grow upwards.</summary>
    public bool IsYUp { get; init; }

    /// <summary>All places that the needle goes into, mm.</summary>
    public Box Bounds() =>
        Blocks.Aggregate(
            Box.Empty,
            (box, block) =>
                block
                    .Points.Where(point => point.Move == OpenedMove.Stitch)
                    .Aggregate(box, (all, point) => all.Including(point.At))
        );

    /// <summary>About how many bytes it takes in memory.</summary>
    public long Bytes => 1_000 + Blocks.Sum(block => 200 + (24L * block.Points.Length));
}

/// <summary>One block: what is sewn with one thread between stops.</summary>
/// <param name="Points">Its commands, mm.</param>
/// <param name="Thread">Its thread, by number from 0.</param>
public sealed record DesignBlock(ImmutableArray<OpenedPoint> Points, int Thread)
{
    /// <summary>What the file calls it; null for nothing.</summary>
    public string? Name { get; init; }

    /// <summary>What it is for, in the file's words; null where it does not say so.</summary>
    public string? Words { get; init; }

    /// <summary>What hands do before it; the cloths are named by the design's own ids.</summary>
    public ImmutableArray<OpenedHands> Before { get; init; } = [];

    /// <summary>True where the machine stops after it, whether the file says for what or not.</summary>
    public bool StopAfter { get; init; }

    /// <summary>How many needle points it has.</summary>
    public int StitchCount => Points.Count(point => point.Move == OpenedMove.Stitch);
}

/// <summary>Stitch files that were brought in.</summary>
public interface IStitchDesigns
{
    /// <summary>A file as it is to be read; null for one that is not known, or that can't be read so.</summary>
    StitchDesign? Find(string token, OpenedReading reading);
}

/// <summary>None.</summary>
public sealed class NoDesigns : IStitchDesigns
{
    public StitchDesign? Find(string token, OpenedReading reading) => null;
}
