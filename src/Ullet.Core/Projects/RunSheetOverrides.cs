using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What the user decided about single steps; the planner makes the rest.</summary>
public sealed record RunSheetOverrides
{
    /// <summary>Whether each piece is finished before the next one, or all go stage by stage.</summary>
    public StitchOrder Order { get; init; }

    public ImmutableArray<StepOverride> Steps { get; init; } = [];

    public StepOverride? Of(StepKey key) => Steps.FirstOrDefault(step => step.Key == key);
}

/// <summary>In which order the pieces of a project are sewn.</summary>
public enum StitchOrder
{
    /// <summary>Each with all of its stages.</summary>
    OneByOne,

    /// <summary>All placements, then all tack-downs, then all covers, as far as pieces do not lie on one another.</summary>
    Together,
}

/// <summary>One decision about one step.</summary>
/// <param name="Key">The step.</param>
/// <param name="Note">A line of the user's own, shown with the hand step and written to the stitch file.</param>
public sealed record StepOverride(StepKey Key, string? Note);
