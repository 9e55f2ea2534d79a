using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>What happens when: stitch steps and hand steps in turn.</summary>
public sealed record RunSheet(ImmutableArray<RunStep> Steps)
{
    /// <summary>Optional steps that are switched off: listed, not done.</summary>
    public ImmutableArray<RunStep> Off { get; init; } = [];

    /// <summary>How its order stands against the rules.</summary>
    public OrderReport Order { get; init; } = OrderReport.None;

    /// <summary>How often the machine stops for hands: hand steps in a row are one stop.</summary>
    public int StopCount =>
        Enumerable
            .Range(1, Math.Max(0, Steps.Length - 1))
            .Count(i => Steps[i - 1] is StitchStep && Steps[i] is HandStep);
}

/// <summary>How an order stands against the rules.</summary>
/// <param name="Broken">What it breaks; nothing when it is legal.</param>
/// <param name="Rooms">Where each step may stand while all others keep their order: first and last place, counted from 0.</param>
/// <param name="Free">The steps that nothing but hooping up and finishing ties to steps of other elements.</param>
/// <param name="IsUsersOwn">True when the user gave it, false when the planner made it.</param>
/// <param name="IsProvenBest">True when no cheaper legal order exists, be it Ullet's or the user's own.</param>
/// <param name="Release">The smallest set of held steps that must be let go before any order is legal; nothing when one is.</param>
public sealed record OrderReport(
    ImmutableArray<Precedence> Broken,
    ImmutableDictionary<StepKey, (int First, int Last)> Rooms,
    ImmutableHashSet<StepKey> Free,
    bool IsUsersOwn,
    bool IsProvenBest,
    ImmutableArray<StepKey> Release
)
{
    /// <summary>Of a run sheet in which nothing can be moved.</summary>
    public static readonly OrderReport None = new(
        [],
        ImmutableDictionary<StepKey, (int, int)>.Empty,
        [],
        false,
        true,
        []
    );
}

/// <summary>One line of the run sheet.</summary>
/// <param name="Key">Names the step for ever.</param>
/// <param name="OwnerId">The element (or hooping) it belongs to.</param>
/// <param name="OwnerName">The owner's name as the user knows it.</param>
public abstract record RunStep(StepKey Key, string OwnerId, string OwnerName)
{
    /// <summary>True when the work holds without it.</summary>
    public abstract bool MayBeOff { get; }
}

public sealed record StitchStep(StepKey Key, string OwnerId, string OwnerName, Stage Stage)
    : RunStep(Key, OwnerId, OwnerName)
{
    /// <summary>True for a part of a pattern that is decoration only; null for what is no part of one.</summary>
    public bool? IsOptionalPart { get; init; }

    public override bool MayBeOff => IsOptionalPart ?? StageTable.Of(Stage.Id).MayBeOff;
}

/// <param name="Note">A line of the user's own, or null.</param>
public sealed record HandStep(StepKey Key, string OwnerId, string OwnerName, HandWork Work, string? Note)
    : RunStep(Key, OwnerId, OwnerName)
{
    public override bool MayBeOff => HandTable.Of(Work.Kind).MayBeOff || IsOwn;

    /// <summary>True for one that the user added.</summary>
    public bool IsOwn => Key.Stage == UserHandStep.StageWord;
}
