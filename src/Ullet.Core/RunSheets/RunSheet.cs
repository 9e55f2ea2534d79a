using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>What happens when: stitch steps and hand steps in turn.</summary>
public sealed record RunSheet(ImmutableArray<RunStep> Steps)
{
    /// <summary>How often the machine stops for hands: hand steps in a row are one stop.</summary>
    public int StopCount =>
        Enumerable
            .Range(1, Math.Max(0, Steps.Length - 1))
            .Count(i => Steps[i - 1] is StitchStep && Steps[i] is HandStep);
}

/// <summary>A hooping of its own in which pieces are marked on their cloth.</summary>
/// <param name="Id">Names it among the project's hoopings.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Cloth">The cloth that is hooped alone.</param>
/// <param name="RunSheet">Its steps.</param>
public sealed record GuideSheet(string Id, string Name, Cloth Cloth, RunSheet RunSheet);

/// <summary>One line of the run sheet.</summary>
/// <param name="Key">Names the step for ever.</param>
/// <param name="OwnerId">The element (or hooping) it belongs to.</param>
/// <param name="OwnerName">The owner's name as the user knows it.</param>
public abstract record RunStep(StepKey Key, string OwnerId, string OwnerName);

public sealed record StitchStep(StepKey Key, string OwnerId, string OwnerName, Stage Stage)
    : RunStep(Key, OwnerId, OwnerName);

/// <param name="Note">A line of the user's own, or null.</param>
public sealed record HandStep(StepKey Key, string OwnerId, string OwnerName, HandWork Work, string? Note)
    : RunStep(Key, OwnerId, OwnerName);
