using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Thread in rows over an area.</summary>
public sealed record FilledMaking : Making
{
    /// <summary>Most places of a guide.</summary>
    public const int MostGuide = 60;

    [JsonIgnore]
    public override bool FollowsLines => false;

    [JsonIgnore]
    public override bool IsInParts => false;

    [JsonIgnore]
    public override bool IsSewn => true;

    /// <summary>Null for the project's thread of covers.</summary>
    public string? ThreadId { get; init; }

    /// <summary>A thread that comes in while the first thins out, so that one colour goes softly over into the other; null for none.</summary>
    public string? SecondThreadId { get; init; }

    /// <summary>Distance of rows, mm; 0.25 to 5; null for what cloth and thread ask for.</summary>
    public double? Spacing { get; init; }

    /// <summary>Rows are longer by this at each end, mm; 0 to 1; null for what the cloth asks for.</summary>
    public double? Compensation { get; init; }

    /// <summary>Direction of rows, degrees clockwise on screen from the right, -180 to 180.</summary>
    public double Angle { get; init; } = 30;

    /// <summary>True to keep the rows' direction on the wall, false to turn it with the element.</summary>
    public bool IsAngleFixed { get; init; }

    /// <summary>Distance of holes along a row, mm; 1.5 to 6.5; null for the usual.</summary>
    public double? StitchLength { get; init; }

    /// <summary>How holes of neighbouring rows lie to each other.</summary>
    public RowPattern Pattern { get; init; } = RowPattern.FourRows;

    /// <summary>What lies under it; null for what its spacing asks for.</summary>
    public FillUnderlay? Underlay { get; init; }

    /// <summary>A film that is laid under the rows and shines between them; null for none.</summary>
    public string? FilmClothId { get; init; }

    /// <summary>A curve that rows follow, in the element's frame; empty for straight rows.</summary>
    public ImmutableArray<Spot> Guide { get; init; } = [];

    /// <summary>A line along its outline, or null.</summary>
    public SatinEdge? Edge { get; init; }

    public override Making InFrame(Func<Spot, Spot> moved) => this with { Guide = [.. Guide.Select(moved)] };
}
