using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Do two elements lie exactly on top of each other?</summary>
internal sealed class SameElementCheck : ICheck
{
    private const double Same = 0.05;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var sewn = input
            .Project.Elements.Where(element => !element.IsConstruction && element is not Zone)
            .Where(element => element.PatternPart is null)
            .Select(element => (Element: element, Outline: input.Outlines[element.Id]))
            .Where(pair => !pair.Outline.IsEmpty)
            .ToList();
        for (var high = 1; high < sewn.Count; high++)
        {
            Budget.Spend();
            var twin = sewn.Take(high).FirstOrDefault(low => AreSame(low.Outline, sewn[high].Outline)).Element;
            if (twin is not null)
            {
                yield return new Finding(
                    "element-doubled",
                    FindingLevel.Warn,
                    sewn[high].Element.Id,
                    sewn[high].Outline.Bounds().Centre,
                    $"{sewn[high].Element.Name} lies exactly on {twin.Name}, of the same form and size. Delete one if it is there by mistake."
                );
            }
        }
    }

    private static bool AreSame(Outline a, Outline b)
    {
        var (one, other) = (a.Bounds(), b.Bounds());
        return a.NodeCount == b.NodeCount
            && Math.Abs(one.MinX - other.MinX) < Same
            && Math.Abs(one.MinY - other.MinY) < Same
            && Math.Abs(one.MaxX - other.MaxX) < Same
            && Math.Abs(one.MaxY - other.MaxY) < Same
            && a.Contours.Select(contour => contour.Curves[0].Start)
                .Zip(b.Contours.Select(contour => contour.Curves[0].Start))
                .All(pair => pair.First.DistanceTo(pair.Second) < Same);
    }
}
