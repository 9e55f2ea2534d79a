using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Names opened stitches that were made so much larger or smaller that they lie too loose or too dense. Runs are stepped anew at
/// any size.</summary>
internal sealed class OpenedScaledCheck : ICheck
{
    /// <summary>So much is taken without a word.</summary>
    internal const double Free = 0.10;

    /// <summary>More is no longer sewn well.</summary>
    internal const double Most = 0.20;

    private const double Slack = 0.0005;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var element in input.Project.Elements)
        {
            if (
                element is not { Form: OpenedForm form, Making: OpenedMaking { IsResting: false } making }
                || OpenedLookTable.Of(making.Look).IsRestepped
            )
            {
                continue;
            }
            var (across, down) = OpenedFrame.Scale(form, element.Box);
            var farthest = Math.Abs(across - 1) > Math.Abs(down - 1) ? across : down;
            var off = Math.Abs(farthest - 1);
            if (off <= Free + Slack)
            {
                continue;
            }
            var words = OpenedLookTable.Of(making.Look).Words;
            var size = $"{element.Name} stands at {farthest * 100:0} % of its size in the file";
            var lies =
                farthest > 1 ? "farther apart, and the ground may show" : "nearer together, and may break the cloth";
            var (x, y) = (element.Box.X, element.Box.Y);
            yield return off > Most + Slack
                ? new Finding(
                    "opened-scaled",
                    FindingLevel.Stop,
                    element.Id,
                    new Geometry.Point(x, y),
                    $"{size}; the stitches of {words} then lie {lies}. Beyond 20 % make it live, so that it is stitched anew at any size, open "
                        + "another size of the design, or bring it back."
                )
                : new Finding(
                    "opened-scaled",
                    FindingLevel.Warn,
                    element.Id,
                    new Geometry.Point(x, y),
                    $"{size}; the stitches of {words} lie {lies}. Up to 10 % is safe; sew a sample first."
                );
        }
    }
}
