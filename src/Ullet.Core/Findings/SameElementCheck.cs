using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Findings;

/// <summary>Do two elements lie exactly on top of each other?</summary>
internal sealed class SameElementCheck : ICheck
{
    private const double Same = 0.05;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var sewn = input
            .Project.Elements.Where(element => element.Making.IsSewn)
            .Where(element => element.PatternPart is null)
            .Select(element => (Element: element, Outline: input.Outlines[element.Id]))
            .Where(pair => !pair.Outline.IsEmpty)
            .Select(pair => (pair.Element, pair.Outline, Box: pair.Outline.Bounds(), pair.Outline.NodeCount))
            .ToList();
        for (var high = 1; high < sewn.Count; high++)
        {
            Budget.Spend(1 + (high / 16));
            var own = sewn[high];
            var twin = sewn.Take(high)
                .FirstOrDefault(low =>
                    low.NodeCount == own.NodeCount && AreSame(low.Box, own.Box) && AreSame(low.Outline, own.Outline)
                )
                .Element;
            if (twin is not null)
            {
                yield return new Finding(
                    "element-doubled",
                    FindingLevel.Warn,
                    own.Element.Id,
                    own.Box.Centre,
                    $"{own.Element.Name} lies exactly on {twin.Name}, of the same form and size. Delete one if it is there by mistake.",
                    own.Element.IsLocked ? null : new DeleteMend(own.Element.Id)
                );
            }
        }
    }

    private static bool AreSame(Box one, Box other) =>
        Math.Abs(one.MinX - other.MinX) < Same
        && Math.Abs(one.MinY - other.MinY) < Same
        && Math.Abs(one.MaxX - other.MaxX) < Same
        && Math.Abs(one.MaxY - other.MaxY) < Same;

    private static bool AreSame(Outline a, Outline b) =>
        a
            .Contours.Select(contour => contour.Curves[0].Start)
            .Zip(b.Contours.Select(contour => contour.Curves[0].Start))
            .All(pair => pair.First.DistanceTo(pair.Second) < Same);
}
