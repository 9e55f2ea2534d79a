using Ullet.Core.Projects;

namespace Ullet.Server.Scenes;

public enum StepKind
{
    Stitch,
    Hand,
}

/// <summary>One step of the run strip.</summary>
/// <param name="Key">Names the step for ever.</param>
/// <param name="Kind">Stitch or hand.</param>
/// <param name="OwnerId">Element or hooping.</param>
/// <param name="OwnerName">Its name.</param>
/// <param name="Role">The role in words: "cover", "lay".</param>
/// <param name="Text">What hands do; null for a stitch step.</param>
/// <param name="Warning">What must not go wrong.</param>
/// <param name="Note">The user's own line.</param>
/// <param name="Stage">The stage of its owner that a stitch step sews; null for a hand step.</param>
/// <param name="HandKind">The kind of hand step.</param>
/// <param name="ThreadId">The thread of a stitch step; null where one block of it has another.</param>
/// <param name="ThreadColour">The colour of the thread that is sewn with, #rrggbb.</param>
/// <param name="Seconds">How long it takes.</param>
/// <param name="StitchCount">Needle points.</param>
/// <param name="StopAfter">True when the machine stops after it.</param>
/// <param name="StitchesKey">Names its needle points for the stitches address; null for a hand step.</param>
/// <param name="Check">What to check before pressing start.</param>
/// <param name="HoopOff">True when the hoop comes off for it.</param>
/// <param name="Order">Where it stands among the others; null for a further block of a step, and in a hooping of cut guides.</param>
public sealed record StepDto(
    string Key,
    StepKind Kind,
    string OwnerId,
    string OwnerName,
    string Role,
    string? Text,
    string? Warning,
    string? Note,
    StageId? Stage,
    HandKind? HandKind,
    string? ThreadId,
    string? ThreadColour,
    double Seconds,
    int StitchCount,
    bool StopAfter,
    string? StitchesKey,
    string? Check,
    bool HoopOff,
    StepOrderDto? Order
)
{
    /// <summary>The user's own photo beside it: its asset's hash; null for none.</summary>
    public string? Photo { get; init; }
}
