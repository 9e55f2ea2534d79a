using System.Collections.Immutable;
using Ullet.Core.RunSheets.Rules;

namespace Ullet.Core.RunSheets;

/// <summary>All rules of order; planner, ranges, findings and "put it right" read the same precedences.</summary>
internal static class OrderRules
{
    /// <summary>The rules of the job; what says most about a broken order comes first.</summary>
    private static readonly ImmutableArray<IOrderRule> Job =
    [
        new ZipRule(),
        new PanelRule(),
        new OwnLayerRule(),
        new InsertRule(),
        new MethodRule(),
        new StackRule(),
        new OpenedRule(),
        new OpenedLayerRule(),
        new UntrimmedRule(),
        new AlignRule(),
        new BastingRule(),
        new ClosingRule(),
        new FixedRule(),
        new FrameRule(),
    ];

    private static readonly HeldRule Held = new();

    /// <summary>What must come before what, each pair once, with the reason that says most.</summary>
    internal static ImmutableArray<Precedence> Of(OrderFacts facts, bool withHeld)
    {
        var known = new HashSet<(Projects.StepKey, Projects.StepKey)>();
        var rules = withHeld ? Job.Append<IOrderRule>(Held) : Job;
        return
        [
            .. rules
                .SelectMany(rule => rule.Of(facts))
                .Where(pair => pair.Before != pair.After && known.Add((pair.Before, pair.After))),
        ];
    }
}
