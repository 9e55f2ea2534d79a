using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>What was found of one order.</summary>
/// <param name="Level">How bad it is; a stop can't be made as it is.</param>
/// <param name="Code">Stable name of what was found.</param>
/// <param name="FillInId">The fill-in that it is about; null for the whole order.</param>
/// <param name="Words">In a sentence or two.</param>
public sealed record OrderFinding(FindingLevel Level, string Code, string? FillInId, string Words);

/// <summary>An order, computed and looked at.</summary>
/// <param name="Filled">The project of this order.</param>
/// <param name="Evaluated">What the stations make of it; null where it could not be filled in as typed.</param>
/// <param name="Findings">What was found of this order, the worst first; what the master has already is left out, but for stops.</param>
public sealed record JudgedOrder(FilledOrder Filled, Evaluated? Evaluated, ImmutableArray<OrderFinding> Findings)
{
    /// <summary>True where nothing stops it.</summary>
    public bool MayBeMade => Evaluated is not null && Findings.All(finding => finding.Level != FindingLevel.Stop);
}

/// <summary>Judges orders of one master: each is filled in and computed, and what they share comes from the stations' cache.</summary>
/// <remarks>Safe for several threads.</remarks>
public sealed class OrderJudge(EditContext context, Evaluated master)
{
    /// <summary>Needle points may be written so far outside their room, mm: files have steps of 0.01.</summary>
    public const double Slack = 0.006;

    /// <summary>Words whose needle points were found outside are set smaller, so many times.</summary>
    private const int Refits = 4;

    private readonly HashSet<(string, string?, string)> _known =
    [
        .. master
            .Findings.Where(finding => finding.Level != FindingLevel.Stop)
            .Select(finding => (finding.Code, finding.ElementId, finding.Words)),
    ];

    /// <summary>The project of an order, with nothing computed beyond what fitting asks.</summary>
    public FilledOrder Fill(OrderValues values) => new OrderFill(context).Of(master.Project, values);

    /// <summary>An order filled in, computed, and looked at.</summary>
    /// <param name="values">What it says.</param>
    /// <param name="isWhole">True for an order that is made: then also how its thread lies is judged, and whether it can be turned is
    /// computed anew; false to take over from the master what decoration does not change.</param>
    public JudgedOrder Of(OrderValues values, bool isWhole = false)
    {
        var fill = new OrderFill(context);
        // Every order begins alike, whatever was judged before: the same order comes out the same.
        var reach = new Dictionary<string, double>(StringComparer.Ordinal);
        for (var i = 0; ; i++)
        {
            var filled = fill.Of(master.Project, values, reach);
            if (!filled.IsWhole)
            {
                return new JudgedOrder(filled, null, Ordered(Troubles(filled)));
            }
            var evaluated = context.Evaluator.Evaluate(filled.Project, isWhole ? null : master, context.Cancellation);
            var outside = Outside(filled, evaluated);
            if (outside.Count == 0 || i == Refits)
            {
                return new JudgedOrder(filled, evaluated, Ordered(Found(filled, evaluated, outside)));
            }
            foreach (var (elementId, by) in outside)
            {
                reach[elementId] =
                    Math.Max(reach.GetValueOrDefault(elementId), Beyond(filled.Project, elementId)) + by + 0.01;
            }
        }
    }

    private static double Beyond(Project project, string elementId) =>
        project.Find(elementId) is { } element ? Makings.MakingModules.Of(element).Beyond(element, project) : 0;

    /// <summary>How far needle points of words lie outside their room, mm, by element; only those that do.</summary>
    private static Dictionary<string, double> Outside(FilledOrder filled, Evaluated evaluated)
    {
        var found = new Dictionary<string, double>(StringComparer.Ordinal);
        foreach (var (elementId, room) in filled.Rooms)
        {
            var farthest = evaluated
                .Hoopings.SelectMany(hooping => hooping.Program.Steps.OfType<ProgramStitches>())
                .Where(step => step.Key.OwnerId == elementId)
                .SelectMany(step => step.OwnPoints())
                .Select(room.Outside)
                .DefaultIfEmpty(0)
                .Max();
            if (farthest > Slack)
            {
                found[elementId] = farthest;
            }
        }
        return found;
    }

    private static IEnumerable<OrderFinding> Troubles(FilledOrder filled) =>
        filled
            .Outcomes.Where(outcome => outcome.Trouble is not null)
            .Select(outcome => new OrderFinding(
                FindingLevel.Stop,
                outcome.Trouble!.Code,
                outcome.FillInId,
                outcome.Trouble.Words
            ))
            .Concat(Odd(filled));

    private static IEnumerable<OrderFinding> Odd(FilledOrder filled) =>
        filled
            .Outcomes.Where(outcome => outcome.Odd is not null)
            .Select(outcome => new OrderFinding(FindingLevel.Warn, "value-odd", outcome.FillInId, outcome.Odd!));

    private IEnumerable<OrderFinding> Found(
        FilledOrder filled,
        Evaluated evaluated,
        Dictionary<string, double> outside
    ) =>
        Troubles(filled)
            .Concat(
                outside.Select(each => new OrderFinding(
                    FindingLevel.Stop,
                    "words-outside",
                    null,
                    $"Stitches of {filled.Project.Find(each.Key)?.Name} lie {each.Value:0.0#} mm outside their room, however small they are set."
                ))
            )
            .Concat(
                evaluated
                    .Findings.Where(finding =>
                        finding.Level != FindingLevel.Tip
                        && !_known.Contains((finding.Code, finding.ElementId, finding.Words))
                    )
                    .Select(finding => new OrderFinding(finding.Level, finding.Code, null, finding.Words))
            );

    private static ImmutableArray<OrderFinding> Ordered(IEnumerable<OrderFinding> findings) =>
        [.. findings.OrderBy(finding => finding.Level)];
}
