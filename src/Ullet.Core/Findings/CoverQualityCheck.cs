using Ullet.Core.Maps;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Do needle points of a cover pile up, does cloth show in it, does it spill, does thread show that should not, or are its
/// strokes too long?</summary>
internal sealed class CoverQualityCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Covers.GroupBy(report => report.Key.OwnerId, StringComparer.Ordinal))
        {
            if (input.Project.Find(group.Key) is not { } element)
            {
                continue;
            }
            var isFill = element.Making is FilledMaking;
            var isSatin = isFill || element.Making is SatinMaking;
            var (its, smooth) =
                isFill ? ("fill", "Turn its rows, or smooth the outline.")
                : isSatin ? ("satin", "Turn its strokes with a direction line there, or smooth the outline.")
                : ("cover", "Smooth the outline there.");
            Finding? Worst(
                Func<CoverReport, MeasuredPlace?> measured,
                string code,
                FindingLevel level,
                Func<double, string> words
            )
            {
                var worst = group.Select(measured).OfType<MeasuredPlace>().MaxBy(place => place.Value);
                return worst is null ? null : new Finding(code, level, element.Id, worst.At, words(worst.Value));
            }
            Finding?[] found =
            [
                Worst(
                    report => report.PiledUp,
                    "piled-up",
                    FindingLevel.Warn,
                    count =>
                        $"Needle points of {element.Name} pile up: {count:0} within half a millimetre may tear the cloth. "
                        + (
                            isSatin
                                ? "Set its stitches looser, or make it larger."
                                : "Set the cover looser or narrower there, or smooth the outline."
                        )
                ),
                Worst(
                    report => report.Bare,
                    "uncovered",
                    FindingLevel.Warn,
                    width =>
                        $"The {its} of {element.Name} leaves a spot of {LengthText.Mm(width)} bare. Set it denser, or smooth the "
                        + "outline there."
                ),
                Worst(
                    report => report.Spilled,
                    "spilled",
                    FindingLevel.Warn,
                    distance =>
                        $"A stitch of {element.Name} lies {LengthText.Mm(distance)} outside {(isSatin ? "its outline" : "its cover")}. {smooth}"
                ),
                Worst(
                    report => report.InSight,
                    "thread-in-sight",
                    FindingLevel.Warn,
                    length =>
                        $"{LengthText.Mm(length)} of a thread of {element.Name} show where none should. "
                        + (
                            isSatin
                                ? smooth
                                : "Smooth the outline there, make the piece larger, or choose another cover."
                        )
                ),
                Worst(
                    report => report.Thick,
                    "thick",
                    FindingLevel.Warn,
                    share =>
                        $"On {share:P0} of {element.Name} more than three threads lie on each other: it gets stiff there. Set its "
                        + "stitches looser, or make it larger."
                ),
                Worst(
                    report => report.TooWide,
                    "cover-too-wide",
                    FindingLevel.Tip,
                    length =>
                        $"Strokes of {element.Name} are {LengthText.Mm(length)} long and are split: longer than 7 mm they would "
                        + "snag. Make the cover narrower for unbroken strokes."
                ),
            ];
            foreach (var finding in found.OfType<Finding>())
            {
                yield return finding;
            }
        }
    }
}
