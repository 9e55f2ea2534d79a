using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>What rules of order may read.</summary>
/// <param name="Project">The document.</param>
/// <param name="Units">Pieces and lines that are not part of a pattern's own order, from the bottom of the stack.</param>
/// <param name="Frame">The first and the last step of a hooping without a pattern, and hand steps of the user's own.</param>
/// <param name="Plan">The pattern; null without one.</param>
/// <param name="Acts">The steps of the pattern that are there, in its order.</param>
internal sealed record OrderFacts(
    Project Project,
    ImmutableArray<SewnUnit> Units,
    OrderFrame Frame,
    PatternPlan? Plan,
    ImmutableArray<(PatternAct Act, RunStep Step)> Acts
)
{
    private List<int>[]? _over;

    /// <summary>One by one or together.</summary>
    internal StitchOrder Order { get; init; } = Project.RunSheet.Order;

    /// <summary>For each unit those on top of it that it touches.</summary>
    internal List<int>[] Over => _over ??= Overlaps.Of(Units);

    /// <summary>All steps, in the order in which they were gathered.</summary>
    internal IEnumerable<RunStep> Steps() =>
        Frame
            .First.Concat(Acts.Select(act => act.Step))
            .Concat(Units.SelectMany(unit => unit.Acts.Select(act => act.Step)))
            .Concat(Frame.Own)
            .Concat(Frame.Last);

    /// <summary>The panel that a unit lies on: the last of those that hold its middle.</summary>
    internal PatternPanel? PanelOf(SewnUnit unit)
    {
        var middle = unit.Outline.Bounds().Centre;
        return Plan?.Panels.LastOrDefault(panel => new AreaIndex(panel.Area).Holds(middle));
    }

    /// <summary>The acts after one, by its step.</summary>
    internal IEnumerable<(PatternAct Act, RunStep Step)> ActsAfter(StepKey key) =>
        Acts.SkipWhile(act => act.Act.Key != key).Skip(1);
}

/// <summary>Steps that belong to no piece.</summary>
/// <param name="First">Hoop up.</param>
/// <param name="Own">Hand steps of the user's own.</param>
/// <param name="Last">Finish.</param>
internal sealed record OrderFrame(
    ImmutableArray<RunStep> First,
    ImmutableArray<RunStep> Own,
    ImmutableArray<RunStep> Last
);
