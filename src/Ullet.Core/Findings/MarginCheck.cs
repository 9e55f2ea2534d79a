using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Does stitching keep out of the margins that the hoop's owner set?</summary>
internal sealed class MarginCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var hoop = input.Project.Hooping.Hoop;
        if (hoop.MarginAcross <= 0 && hoop.MarginDown <= 0)
        {
            yield break;
        }
        var points = input.Program.Steps.OfType<ProgramStitches>().SelectMany(step => step.Commands).Select(c => c.At);
        var design = Box.Of(points);
        if (design.IsEmpty || !hoop.Field.Contains(design) || hoop.Usable.Contains(design))
        {
            yield break;
        }
        var (usable, elements) = (hoop.Usable, input.Project.Elements);
        var over = new[]
        {
            usable.MinX - design.MinX,
            design.MaxX - usable.MaxX,
            usable.MinY - design.MinY,
            design.MaxY - usable.MaxY,
        }.Max();
        yield return new Finding(
            "in-margin",
            FindingLevel.Warn,
            null,
            null,
            $"The stitching reaches {LengthText.Mm(over)} into the margin that is kept free in the hoop {hoop.Name}."
        )
        {
            OtherMends = elements.All(element => element is { PatternPart: null, IsLocked: false })
                ? [new FitFieldMend()]
                : ImmutableArray<Mend>.Empty,
        };
    }
}
