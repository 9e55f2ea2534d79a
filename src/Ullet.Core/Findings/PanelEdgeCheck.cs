using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Does decoration on a pattern stay on its cloth, and far enough from the closing seam?</summary>
internal sealed class PanelEdgeCheck : ICheck
{
    /// <summary>Nearer to a seam than this, decoration is caught by the presser foot or by the turn, mm.</summary>
    private const double SeamRoom = 6;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        if (input.Plan is not { } plan)
        {
            yield break;
        }
        var outline = plan.ClosingSeamId is { } id ? input.Outlines.GetValueOrDefault(id) : null;
        var seam = outline is null ? null : EdgesOf(outline);
        var closed =
            outline is not null && ClosingRings.Of(outline) is { } ring ? new AreaIndex([new Region(ring, [])]) : null;
        var owned = plan.Acts.Select(act => act.Key.OwnerId).ToHashSet(StringComparer.Ordinal);
        foreach (
            var owner in input
                .Program.Steps.OfType<ProgramStitches>()
                .Where(step => !owned.Contains(step.Key.OwnerId))
                .GroupBy(step => step.Key.OwnerId, StringComparer.Ordinal)
        )
        {
            var points = owner.SelectMany(step => step.OwnPoints()).ToList();
            var (name, middle) = (owner.First().OwnerName, Box.Of(points).Centre);
            var panel = plan.Panels.LastOrDefault(known => new AreaIndex(known.Area).Holds(middle));
            var area = panel is null ? null : new AreaIndex(panel.Area);
            if (area is not null && points.FindIndex(at => !area.Holds(at)) is >= 0 and var off)
            {
                yield return new Finding(
                    "off-its-cloth",
                    FindingLevel.Warn,
                    owner.Key,
                    points[off],
                    $"{name} reaches past the edge of the {panel!.Name} that it is sewn on."
                );
            }
            else if (
                closed is not null
                && points.FindIndex(at => !closed.Holds(at)) is >= 0 and var across
                && !MayRunPast(owner.Key, input)
            )
            {
                yield return new Finding(
                    "across-seam",
                    FindingLevel.Stop,
                    owner.Key,
                    points[across],
                    $"{name} reaches across the closing seam: it would be cut through, or caught when the work is turned. Move it, or make it smaller."
                );
            }
            else if (seam is not null && points.FindIndex(at => IsNear(at, seam)) is >= 0 and var near)
            {
                yield return new Finding(
                    "near-seam",
                    FindingLevel.Warn,
                    owner.Key,
                    points[near],
                    $"{name} comes nearer than {SeamRoom:0} mm to the closing seam: it would be caught when the work is turned."
                );
            }
        }
    }

    private static List<(Point From, Point To)> EdgesOf(Outline seam) =>
        [
            .. seam
                .Lines.Select(line => line.Flatten(0.1))
                .SelectMany(points => points.Zip(points.Skip(1), (from, to) => (from, to))),
        ];

    /// <summary>True for plain lines and basting: quilting runs into the allowance, and so may they.</summary>
    private static bool MayRunPast(string elementId, FindingInput input) =>
        input.Project.Find(elementId) is { } element
        && (
            element.MadeAs<BastingMaking>() is not null
            || (element.MadeAs<LineMaking>() is not null && element.FormedAs<TextForm>() is null)
        );

    private static bool IsNear(Point at, List<(Point From, Point To)> seam) =>
        seam.Exists(edge => SegmentIndex.Foot(at, edge.From, edge.To).DistanceTo(at) < SeamRoom);
}
