using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Lists opened stitches that are sewn twice in the same holes, or lie wholly under dense ones, with what they are probably for.
/// Only decoration is offered to be taken away; what holds, joins or shows the way is never.</summary>
internal sealed class OpenedHiddenCheck : ICheck
{
    /// <summary>Share of the needle points that must be hidden.</summary>
    private const double Share = 0.97;

    /// <summary>Needle points nearer than this share a hole, mm.</summary>
    private const double SameHole = 0.1;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var blocks = input
            .Project.Elements.Where(element =>
                element is { Form: OpenedForm, Making: OpenedMaking { IsResting: false } }
            )
            .Select(element => (Element: element, Making: element.MadeAs<OpenedMaking>()!, Box: BoxOf(input, element)))
            .ToList();
        for (var i = 0; i < blocks.Count; i++)
        {
            for (var k = i + 1; k < blocks.Count; k++)
            {
                Budget.Spend();
                var (low, high) = (blocks[i], blocks[k]);
                if (!high.Box.Grown(0.2).Contains(low.Box))
                {
                    continue;
                }
                if (Words(input, low.Element, low.Making.Role, high.Element, high.Making.Look) is { } words)
                {
                    yield return Found(low.Element, low.Making, words);
                    break;
                }
            }
        }
    }

    private static Box BoxOf(FindingInput input, Element element) =>
        input.Outlines.TryGetValue(element.Id, out var outline) ? outline.Bounds() : Box.Empty;

    private static Finding Found(Element element, OpenedMaking making, string words)
    {
        var role = OpenedRoleTable.Of(making.Role);
        var probably = making.Sureness is null ? "is" : "is probably";
        return new Finding(
            "opened-hidden",
            FindingLevel.Tip,
            element.Id,
            new Point(element.Box.X, element.Box.Y),
            role.IsHeld
                ? $"{words} It {probably} {role.Words}, which has a job there, and stays."
                : $"{words} It {probably} {role.Words}. Nothing is taken away unless you say so.",
            role.IsHeld ? null : new DeleteMend(element.Id)
        );
    }

    private static string? Words(FindingInput input, Element low, OpenedRole role, Element high, OpenedLook look)
    {
        var (own, other) = (Places(input, low), Places(input, high));
        if (own.Count == 0 || other.Count == 0)
        {
            return null;
        }
        var holes = other.Select(CellOf).ToHashSet();
        if (own.Count(at => Near(CellOf(at)).Any(holes.Contains)) >= Share * own.Count)
        {
            return $"{low.Name} is sewn in the holes of {high.Name}.";
        }
        // A placement under its cover is as it should be.
        if (
            OpenedRoleTable.Of(role).IsHeld
            || look is not (OpenedLook.Satin or OpenedLook.Fill)
            || input.ReadingOf(high)?.Band is not { } band
        )
        {
            return null;
        }
        var area = new AreaIndex(band.Area);
        return own.Count(area.Holds) >= Share * own.Count
            ? $"{low.Name} lies wholly under {high.Name}, which is sewn after it."
            : null;
    }

    private static List<Point> Places(FindingInput input, Element element) =>
        [.. input.PointsOf(new StepKey(element.Id, StageTable.Of(StageId.Opened).Key, 0))];

    private static (long, long) CellOf(Point at) =>
        ((long)Math.Round(at.X / SameHole), (long)Math.Round(at.Y / SameHole));

    private static IEnumerable<(long, long)> Near((long X, long Y) cell)
    {
        for (var x = -1; x <= 1; x++)
        {
            for (var y = -1; y <= 1; y++)
            {
                yield return (cell.X + x, cell.Y + y);
            }
        }
    }
}
