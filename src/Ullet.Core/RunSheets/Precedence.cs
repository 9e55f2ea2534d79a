using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>One step must come before another.</summary>
/// <param name="Before">The earlier step.</param>
/// <param name="After">The later one.</param>
/// <param name="Rule">Stable name of the rule.</param>
/// <param name="Reason">Why, in a sentence.</param>
public sealed record Precedence(StepKey Before, StepKey After, string Rule, string Reason);

/// <summary>A rule of order.</summary>
internal interface IOrderRule
{
    /// <summary>Its stable name.</summary>
    string Name { get; }

    /// <summary>What must come before what in a project.</summary>
    IEnumerable<Precedence> Of(OrderFacts facts);
}
