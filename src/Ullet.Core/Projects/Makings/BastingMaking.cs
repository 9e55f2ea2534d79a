using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Long stitches that hold layers together while others are sewn, and come out again.</summary>
public sealed record BastingMaking : Making
{
    [JsonIgnore]
    public override bool FollowsLines => true;

    [JsonIgnore]
    public override bool IsInParts => false;

    [JsonIgnore]
    public override bool IsTakenOut => true;

    [JsonIgnore]
    public override bool IsSewn => true;

    /// <summary>Longest stitch, mm; 4 to 7, null for the usual.</summary>
    public double? StitchLength { get; init; }

    /// <summary>Null for the hooping's thread of lines.</summary>
    public string? ThreadId { get; init; }

    /// <summary>The element whose cloth it holds; null for what is hooped, or the panel that it lies on.</summary>
    public string? HoldsId { get; init; }
}
