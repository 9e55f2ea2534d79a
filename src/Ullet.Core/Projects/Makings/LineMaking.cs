namespace Ullet.Core.Projects;

/// <summary>A line that is sewn as it is, without cloth: open or closed.</summary>
public sealed record LineMaking : Making
{
    [System.Text.Json.Serialization.JsonIgnore]
    public override bool FollowsLines => true;

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsInParts => false;

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsSewn => true;

    public LineSettings Stitching { get; init; } = new();

    /// <summary>What it is for in the trade's words ("closing seam"); null for a line of no special kind.</summary>
    public string? Purpose { get; init; }
}

/// <summary>How a line without cloth is sewn.</summary>
public sealed record LineSettings
{
    public LineKind Kind { get; init; } = LineKind.Run;

    /// <summary>Null for the project's thread of covers.</summary>
    public string? ThreadId { get; init; }

    /// <summary>mm; null for the usual length.</summary>
    public double? StitchLength { get; init; }

    /// <summary>How wide a zigzag, a blanket or a decorative stitch is, mm, 1 to 7; null for its usual width.</summary>
    public double? Width { get; init; }

    /// <summary>Which decorative unit; null for the first.</summary>
    public string? MotifId { get; init; }

    /// <summary>True for teeth or units on the other side.</summary>
    [System.Text.Json.Serialization.JsonIgnore(
        Condition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingDefault
    )]
    public bool IsMirrored { get; init; }

    /// <summary>How often it is sewn over: a seam that bears load goes round twice. 1 to 3.</summary>
    public int Passes { get; init; } = 1;

    /// <summary>More passes cut the cloth.</summary>
    public const int MostPasses = 3;
}

/// <summary>The stitch of a line.</summary>
public enum LineKind
{
    /// <summary>Once along.</summary>
    Run,

    /// <summary>Every stitch three times: forward, back, forward.</summary>
    Bean,

    /// <summary>To and fro across the line: keeps raw edges from fraying.</summary>
    Zigzag,

    /// <summary>Along the line with teeth to one side.</summary>
    Blanket,

    /// <summary>A decorative unit again and again.</summary>
    Motif,
}
