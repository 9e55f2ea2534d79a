using System.Collections.Frozen;
using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Makes needle points of one kind of plan.</summary>
public interface IStitcher
{
    /// <summary>The kind of plan that it sews.</summary>
    Type Plan { get; }

    /// <summary>Stands for the plan in a stage's key.</summary>
    ContentHash Key(StitchPlan plan, string outlineKey);

    /// <summary>The needle points, without travel, locks and trims.</summary>
    StepStitches Sew(StitchPlan plan, Outline outline, CancellationToken cancellation);
}

/// <summary>The stitchers, one for each kind of plan.</summary>
public static class Stitchers
{
    public static readonly ImmutableArray<IStitcher> All =
    [
        new RunStitcher(),
        new UnitLineStitcher(),
        new TackStitcher(),
        new CoverStitcher(),
        new BastingStitcher(),
        new SatinStitcher(),
        new FillStitcher(),
        new OpenedStitcher(),
    ];

    private static readonly FrozenDictionary<Type, IStitcher> ByPlan = All.ToFrozenDictionary(stitcher =>
        stitcher.Plan
    );

    public static IStitcher Of(StitchPlan plan) => ByPlan[plan.GetType()];
}
