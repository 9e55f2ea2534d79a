namespace Ullet.Core.Projects;

/// <summary>The stages that a method may have.</summary>
public enum StageRole
{
    Placement,
    TackDown,
    Cover,

    /// <summary>A line that is sewn without cloth; no method has it.</summary>
    Line,
}

/// <summary>Numbers set by hand over the method's presets, per stage. A null keeps the preset.</summary>
public sealed record StageSettings
{
    public RunSettings Placement { get; init; } = new();

    public RunSettings TackDown { get; init; } = new();

    public CoverSettings Cover { get; init; } = new();

    /// <summary>True when the user switched the stage off.</summary>
    public bool IsOff(StageRole role) =>
        role switch
        {
            StageRole.Placement => Placement.Off,
            StageRole.TackDown => TackDown.Off,
            _ => Cover.Off,
        };

    /// <summary>The thread set for the stage, or null.</summary>
    public string? ThreadOf(StageRole role) =>
        role switch
        {
            StageRole.Placement => Placement.ThreadId,
            StageRole.TackDown => TackDown.ThreadId,
            _ => Cover.ThreadId,
        };
}

/// <summary>A running stage (placement, tack-down) as set by hand.</summary>
public sealed record RunSettings
{
    public bool Off { get; init; }

    public string? ThreadId { get; init; }

    /// <summary>Stitch length, mm.</summary>
    public double? StitchLength { get; init; }

    /// <summary>How far inside the outline the line runs, mm.</summary>
    public double? Inset { get; init; }
}

/// <summary>The cover as set by hand.</summary>
public sealed record CoverSettings
{
    public bool Off { get; init; }

    public string? ThreadId { get; init; }

    /// <summary>Width as sewn, mm; 2 to 7.</summary>
    public double? Width { get; init; }

    /// <summary>Distance between neighbouring holes on one side, mm; 0.30 to 0.80.</summary>
    public double? Spacing { get; init; }

    /// <summary>Share of the width inside the outline, 0.3 to 0.9.</summary>
    public double? InsideShare { get; init; }

    /// <summary>Pull compensation on each side, mm; 0 to 1.</summary>
    public double? Compensation { get; init; }
}
