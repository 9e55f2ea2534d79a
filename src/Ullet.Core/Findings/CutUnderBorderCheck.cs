using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Findings;

/// <summary>Names a shape cut for opened stitches whose edge does not lie safely under their border.</summary>
internal sealed class CutUnderBorderCheck : ICheck
{
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
                    $"The edge of {element.Name} does not lie under {border} everywhere: {match.Covered * 100:0} % of it does, {Off(match)}. "
                        + "Change its allowance, or take its shape off the stitches again."
                );
            }
            else if (!match.Holds)
            {
                yield return new Finding(
                    "cut-uncovered",
                    FindingLevel.Warn,
                    element.Id,
                    match.At,
                    $"{border} reaches {match.Bite:0.0} mm inside the edge of {element.Name} and {match.Outside:0.0} mm outside it at the worst place; "
                        + $"cutter and hands may lay it {BorderMatch.LaidOff:0.0} mm off."
                );
            }
        }
    }

    /// <summary>Which way it misses the border, and by how much.</summary>
    private static string Off(BorderMatch match) =>
        (match.Outside < 0, match.Bite < 0) switch
        {
            (true, true) =>
                $"it peeps out by up to {-match.Outside:0.0} mm and stays up to {-match.Bite:0.0} mm short of it",
            (true, false) => $"it peeps out by up to {-match.Outside:0.0} mm",
            (false, _) => $"it stays up to {-match.Bite:0.0} mm short of it",
        };
}
