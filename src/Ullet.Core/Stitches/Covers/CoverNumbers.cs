using Ullet.Core.Projects;

namespace Ullet.Core.Stitches;

/// <summary>The numbers of a cover of any kind, mm.</summary>
/// <param name="Kind">Satin, zigzag, blanket, motif, bean or raw edge.</param>
/// <param name="Band">What it takes across the edge. For a blanket cover its outer side is the spine and its inner side the
/// teeth's tips; for a bean line it is as wide as the thread.</param>
public sealed record CoverNumbers(CoverKind Kind, SatinNumbers Band)
{
    /// <summary>The decorative unit of a motif cover.</summary>
    public string? MotifId { get; init; }

    /// <summary>Length of one unit of a blanket or motif cover, or of one stitch of a bean line.</summary>
    public double UnitLength { get; init; }

    /// <summary>True to turn blanket teeth or motif units to the other side.</summary>
    public bool IsMirrored { get; init; }

    /// <summary>How far inside the outline a bean line runs; below 0 outside it, on the ground round a window.</summary>
    public double Inset { get; init; }

    /// <summary>How often a bean line is sewn over: 3 or 5.</summary>
    public int Passes { get; init; } = StitchDefaults.BeanPasses;

    /// <summary>True for a kind whose strokes lie side by side and hide the edge.</summary>
    public bool HidesEdge => Kind == CoverKind.Satin;

    /// <summary>True for a kind that lies across the edge.</summary>
    public bool LiesAcross => Kind is not (CoverKind.Bean or CoverKind.RawEdge);

    /// <summary>How far it reaches outside the outline as sewn, mm; 0 for a line inside.</summary>
    public double Outside => LiesAcross ? Band.Width * (1 - Band.InsideShare) : Math.Max(0, -Inset);

    /// <summary>How far it reaches inside the outline as sewn, mm; for a line inside, the line.</summary>
    public double Inside => LiesAcross ? Band.Width * Band.InsideShare : Math.Max(0, Inset);
}
