using Ullet.Core.Applique;

namespace Ullet.Core.Findings;

/// <summary>Has an outline detail that is finer than thread can follow?</summary>
internal sealed class RoughOutlineCheck : ICheck
{
    /// <summary>Less than this nobody sees, mm.</summary>
    private const double Least = 0.05;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal))
        {
            var (part, worst) = group.Select(work => (work.Part, Worst: work.Drift)).MaxBy(pair => pair.Worst.Length);
            if (worst.Length > Least)
            {
                yield return new Finding(
                    "outline-rough",
                    FindingLevel.Tip,
                    group.Key,
                    worst.At,
                    $"The outline of {part.Name} has detail that thread can't follow: stitches smooth it by up to "
                        + $"{worst.Length:0.00} mm"
                        + (
                            EdgeMatch.Leaves(part.Element)
                                ? ", and the edge match reckons with that; cut along the line that is sewn, and both agree."
                                : ", and the cloth is cut alike."
                        ),
                    EdgeMatch.Leaves(part.Element) ? new CutAsSewnMend(part.Element.Id) : null
                );
            }
        }
    }
}
