using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What the user decided about single steps; the planner makes the rest.</summary>
public sealed record RunSheetOverrides
{
    public ImmutableArray<StepOverride> Steps { get; init; } = [];

    public StepOverride? Of(StepKey key) => Steps.FirstOrDefault(step => step.Key == key);
}

/// <summary>One decision about one step.</summary>
/// <param name="Key">The step.</param>
/// <param name="Note">A line of the user's own, shown with the hand step and written to the stitch file.</param>
public sealed record StepOverride(StepKey Key, string? Note);
