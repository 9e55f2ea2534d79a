using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>What the user decided about single steps; the planner makes the rest.</summary>
public sealed record RunSheetOverrides
{
    /// <summary>Whether each piece is finished before the next one, or all go stage by stage.</summary>
    public StitchOrder Order { get; init; }

    public ImmutableArray<StepOverride> Steps { get; init; } = [];

    /// <summary>The order that the user gave the steps; empty for the planner's own. Steps that it does not name go where the
    /// rules have room for them.</summary>
    public ImmutableArray<StepKey> Sequence { get; init; } = [];

    /// <summary>Hand steps of the user's own.</summary>
    public ImmutableArray<UserHandStep> Hands { get; init; } = [];

    public StepOverride? Of(StepKey key) => Steps.FirstOrDefault(step => step.Key == key);

    /// <summary>These overrides with one changed; one that says nothing is left out.</summary>
    public RunSheetOverrides With(StepOverride changed)
    {
        var rest = Steps.RemoveAll(step => step.Key == changed.Key);
        return this with { Steps = changed.IsNone ? rest : rest.Add(changed) };
    }
}

/// <summary>In which order the pieces of a project are sewn.</summary>
public enum StitchOrder
{
    /// <summary>Each with all of its stages.</summary>
    OneByOne,

    /// <summary>All placements, then all tack-downs, then all covers, as far as pieces do not lie on one another.</summary>
    Together,
}

/// <summary>What was decided about one step.</summary>
/// <param name="Key">The step.</param>
/// <param name="Note">A line of the user's own, shown with the hand step and written to the stitch file.</param>
public sealed record StepOverride(StepKey Key, string? Note)
{
    /// <summary>A photo of the user's own beside it in the booklet: its asset's hash; null for none.</summary>
    public string? Photo { get; init; }

    /// <summary>Says that a photo is no kept picture, or null.</summary>
    public static Refusal? CheckPhoto(string? photo) =>
        photo is null || (photo.Length == 64 && photo.All(char.IsAsciiHexDigitLower))
            ? null
            : new Refusal("picture-unknown", "picture", "That is no picture that was brought in.");

    /// <summary>True to keep it in its place among the other steps that are held.</summary>
    public bool IsHeld { get; init; }

    /// <summary>True for an optional step that is listed but not done.</summary>
    public bool IsOff { get; init; }

    /// <summary>True when it says nothing.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsNone => Note is null && Photo is null && !IsHeld && !IsOff;
}

/// <summary>A hand step that the user added.</summary>
/// <param name="Id">Names it for ever; it owns a step of the run sheet.</param>
/// <param name="Kind">The kind of work.</param>
/// <param name="Text">What hands do.</param>
public sealed record UserHandStep(string Id, HandKind Kind, string Text)
{
    /// <summary>Most characters of its text.</summary>
    public const int LongestText = 400;

    /// <summary>The stage's part of its step key.</summary>
    public const string StageWord = "hand";

    /// <summary>What must not go wrong, or null.</summary>
    public string? Warning { get; init; }

    /// <summary>What to check before pressing start, or null.</summary>
    public string? Check { get; init; }

    public bool HoopOff { get; init; }

    /// <summary>The cloth that is laid, by a step that lays one.</summary>
    public string? ClothId { get; init; }

    /// <summary>The area that it takes; null for the whole field.</summary>
    public ElementBox? Area { get; init; }

    /// <summary>The element that the cloth is as large as; null for <see cref="Area"/>.</summary>
    public string? AreaOf { get; init; }

    /// <summary>So much more on every side than that element, mm; 0 to 200.</summary>
    public double AreaMore { get; init; }

    /// <summary>What the cloth is to the finished thing; null to go by its kind.</summary>
    public Layers.LayerRole? Role { get; init; }

    /// <summary>The step to whose line hands align it; null for none.</summary>
    public StepKey? AlignedTo { get; init; }

    /// <summary>How far from that line, mm; 0 to 200.</summary>
    public double AlignDistance { get; init; }

    /// <summary>What is put into a seam, of the cloth that is laid; null for a cloth that is only laid.</summary>
    public UserInsert? Insert { get; init; }

    public bool FaceDown { get; init; }

    /// <summary>True to lay it beneath everything that is hooped.</summary>
    public bool IsBeneath { get; init; }

    /// <summary>The layer that is taken away, by a step that removes one.</summary>
    public string? LayerId { get; init; }

    /// <summary>Names its step.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public StepKey Key => new(Id, StageWord, 0);
}

/// <summary>What hands may have to do between two stitch steps.</summary>
public enum HandKind
{
    HoopUp,
    Lay,
    Trim,
    Finish,
    CutOut,
    Fold,

    /// <summary>Turn the hoop over and lay a cloth on its back.</summary>
    LayBehind,
    OpenZip,
    CloseZip,
    Insert,
    Tape,
    Remove,
    Press,
    Turn,
    ChangeBobbin,
    FreeText,
}
