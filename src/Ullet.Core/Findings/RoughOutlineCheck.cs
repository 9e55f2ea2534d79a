using Ullet.Core.Geometry;

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
                        + $"{Math.Min(worst.Length, SmoothedRing.Drift):0.00} mm, and the edge match reckons with that. Smooth the outline to cut the piece alike."
                );
            }
        }
    }
}
