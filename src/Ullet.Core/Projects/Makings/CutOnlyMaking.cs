using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Cut out of a cloth or a film and never sewn: a sign, letters that are ironed on.</summary>
public sealed record CutOnlyMaking : Making
{
    /// <summary>The cloth or film that it is cut from.</summary>
    public required string ClothId { get; init; }

    /// <summary>How much larger it is cut than its outline on every side, mm; -5 to 30; null for none.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Allowance { get; init; }

    /// <summary>The opened stitches that are to cover its edge; null for none.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? CoveredBy { get; init; }

    [JsonIgnore]
    public override bool FollowsLines => false;

    [JsonIgnore]
    public override bool IsInParts => true;

    [JsonIgnore]
    public override bool IsSewn => false;
}
