using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Applique;

/// <summary>One thing that is sewn, with every number resolved: whose it is, with which thread, and how.</summary>
/// <param name="Key">The step's key.</param>
/// <param name="Id">Which stage it is.</param>
/// <param name="ThreadId">The thread it is sewn with.</param>
/// <param name="Plan">How it is sewn; each kind of plan has a stitcher of its own.</param>
/// <param name="Outline">The outline that it is sewn along, mm.</param>
/// <param name="OutlineKey">The outline's key, which stands for it in the stage's own key.</param>
public sealed record Stage(
    StepKey Key,
    StageId Id,
    string ThreadId,
    StitchPlan Plan,
    Outline Outline,
    ContentHash OutlineKey
)
{
    /// <summary>The stage in the trade's words, as its making calls it.</summary>
    public string Words { get; init; } = StageTable.Of(Id).Words;

    /// <summary>The cover's numbers; null for a stage that is none.</summary>
    public CoverPlan? Cover => Plan as CoverPlan;
}
