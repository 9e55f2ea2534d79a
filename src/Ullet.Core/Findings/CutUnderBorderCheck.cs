using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Names a shape cut for opened stitches whose edge does not lie safely under their border.</summary>
internal sealed class CutUnderBorderCheck : ICheck
{
    /// <summary>Cutter and hands lay an edge this far off, mm: 0.2 and 0.5.</summary>
    internal const double Off = 0.7;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var element in input.Project.Elements)
        {
            if (element.MadeAs<CutOnlyMaking>()?.CoveredBy is null || input.BorderOf(element) is not { } match)
            {
                continue;
            }
            var border = input.Project.Find(element.MadeAs<CutOnlyMaking>()!.CoveredBy!)!.Name;
            if (match.Bite < 0 || match.Outside < 0)
            {
                yield return new Finding(
                    "cut-uncovered",
                    FindingLevel.Stop,
                    element.Id,
                    match.At,
                    $"The edge of {element.Name} does not lie under {border} everywhere: {match.Covered * 100:0} % of it does. Change its allowance, "
                        + "or take its shape off the stitches again."
                );
            }
            else if (Math.Min(match.Bite, match.Outside) < Off)
            {
                yield return new Finding(
                    "cut-uncovered",
                    FindingLevel.Warn,
                    element.Id,
                    match.At,
                    $"{border} reaches {match.Bite:0.0} mm inside the edge of {element.Name} and {match.Outside:0.0} mm outside it at the worst place; "
                        + $"cutter and hands may lay it {Off:0.0} mm off."
                );
            }
        }
    }
}
