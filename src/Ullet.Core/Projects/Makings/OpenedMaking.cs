using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Stitches of a file, sewn as they stand there.</summary>
public sealed record OpenedMaking : Making
{
    /// <summary>Most hand steps before, or after, one block.</summary>
    public const int MostHands = 40;

    [JsonIgnore]
    public override bool FollowsLines => true;

    [JsonIgnore]
    public override bool IsInParts => false;

    [JsonIgnore]
    public override bool IsTakenOut => Role == OpenedRole.Basting;

    [JsonIgnore]
    public override bool IsSewn => !IsResting;

    /// <summary>True for stitches that are only kept beside what was made of them, and not sewn.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool IsResting { get; init; }

    /// <summary>Null for the project's thread of covers.</summary>
    public string? ThreadId { get; init; }

    /// <summary>What they are for.</summary>
    public OpenedRole Role { get; init; } = OpenedRole.Decoration;

    /// <summary>How sure that is, 0 to 1, where it was guessed; null where the file or a person said it.</summary>
    public double? Sureness { get; init; }

    /// <summary>The role as the file calls it; null for the role's own words.</summary>
    public string? Words { get; init; }

    public OpenedLook Look { get; init; } = OpenedLook.Mixed;

    /// <summary>The opening that they came with.</summary>
    public required string FileId { get; init; }

    /// <summary>Their place in the file, from 0.</summary>
    public int Place { get; init; }

    /// <summary>True where they may be sewn apart from the file's order; what lies on them keeps it all the same.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool IsFree { get; init; }

    /// <summary>What hands do before it is sewn, in order.</summary>
    [JsonIgnore]
    public ImmutableArray<OpenedHands> Before { get; init; } = [];

    /// <summary>The same as it is stored: null, and not written, where there is nothing.</summary>
    [JsonPropertyName("before")]
    public ImmutableArray<OpenedHands>? StoredBefore
    {
        get => Before.IsEmpty ? null : Before;
        init => Before = value is { IsDefault: false } hands ? hands : [];
    }

    /// <summary>What hands do after it is sewn, in order.</summary>
    [JsonIgnore]
    public ImmutableArray<OpenedHands> After { get; init; } = [];

    /// <summary>The same as it is stored: null, and not written, where there is nothing.</summary>
    [JsonPropertyName("after")]
    public ImmutableArray<OpenedHands>? StoredAfter
    {
        get => After.IsEmpty ? null : After;
        init => After = value is { IsDefault: false } hands ? hands : [];
    }

    /// <summary>The role in words: as the file has it, else the trade's.</summary>
    [JsonIgnore]
    public string RoleWords => Words ?? OpenedRoleTable.Of(Role).Words;
}
