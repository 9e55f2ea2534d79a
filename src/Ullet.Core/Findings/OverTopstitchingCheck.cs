using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;

namespace Ullet.Core.Findings;

/// <summary>Does decoration lie on a pattern's topstitching, thread on thread over a fold?</summary>
internal sealed class OverTopstitchingCheck : ICheck
{
    /// <summary>Nearer than this threads lie on each other, mm: a presser foot's toe, and what a fold is thick.</summary>
    private const double Clear = 1.5;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        if (input.Plan is not { SeenLineIds.IsEmpty: false } plan)
        {
            yield break;
        }
        var owned = plan.Acts.Select(act => act.Key.OwnerId).ToHashSet(StringComparer.Ordinal);
        foreach (var lineId in plan.SeenLineIds)
        {
            if (input.Project.Find(lineId) is not { } line || !input.Outlines.TryGetValue(lineId, out var outline))
            {
                continue;
            }
            var edges = outline
                .Lines.Select(each => each.Flatten(0.1))
                .SelectMany(points => points.Zip(points.Skip(1), (from, to) => (From: from, To: to)))
                .ToList();
            foreach (
                var owner in input
                    .Program.Steps.OfType<ProgramStitches>()
                    .Where(step => !owned.Contains(step.Key.OwnerId))
                    .GroupBy(step => step.Key.OwnerId, StringComparer.Ordinal)
            )
            {
                Budget.Spend();
                var points = owner.SelectMany(step => step.OwnPoints()).ToList();
                var on = points.FindIndex(at =>
                    edges.Exists(edge => SegmentIndex.Foot(at, edge.From, edge.To).DistanceTo(at) < Clear)
                );
                if (on >= 0)
                {
                    yield return new Finding(
                        "over-topstitching",
                        FindingLevel.Warn,
                        owner.Key,
                        points[on],
                        $"{owner.First().OwnerName} lies on the topstitching of the {line.Name.ToLowerInvariant()}: thread on thread over a fold. Move it "
                            + "away, or make it smaller."
                    );
                }
            }
        }
    }
}
