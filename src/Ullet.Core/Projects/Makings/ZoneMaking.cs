using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>A region of the wall that is never sewn itself: kept clear, kept within, or only looked at.</summary>
public sealed record ZoneMaking : Making
{
    [System.Text.Json.Serialization.JsonIgnore]
    public override bool FollowsLines => false;

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsInParts => false;

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsSewn => false;

    /// <summary>Most elements that may enter one zone.</summary>
    public const int MostAllowed = 1_000;

    public ZoneRole Role { get; init; }

    /// <summary>The elements that may enter a zone that is kept clear: the seams that are meant to.</summary>
    public ImmutableArray<string> Allows { get; init; } = [];

    /// <summary>The step from whose end on the zone is there; null for from the start.</summary>
    public StepKey? From { get; init; }

    /// <summary>The step with which it goes; null for never.</summary>
    public StepKey? Until { get; init; }
}

/// <summary>What a zone is for.</summary>
public enum ZoneRole
{
    /// <summary>No needle may enter: a zip, a snap, a seam.</summary>
    KeepClear,

    /// <summary>Every needle must stay within: what a frame or a stand leaves free.</summary>
    StayWithin,

    /// <summary>Only for the eyes.</summary>
    Guide,
}
