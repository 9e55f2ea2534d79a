using Ullet.Core.Applique;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Timing;

namespace Ullet.Core.Edits;

/// <summary>A very large fill is made only when that is meant: its stitches are counted before, about.</summary>
internal static class LargeFill
{
    /// <summary>Fills with more stitches are asked about.</summary>
    internal const int Most = 60_000;

    /// <summary>Underlay and turns add about so much to the rows' stitches.</summary>
    private const double Beside = 1.2;

    /// <summary>A sentence with the count where an element becomes a very large fill, or null.</summary>
    internal static Refusal? Asked(Element before, Project project, EditContext context)
    {
        if (project.Find(before.Id) is not { } element)
        {
            return null;
        }
        var count = About(element, project, context);
        return count <= Most || count <= 1.05 * About(before, project, context)
            ? null
            : new Refusal(
                "fill-large",
                "spacing",
                $"{element.Name} would take about {Math.Round(count / 1000):0} thousand stitches, {count / StepTimes.StitchesPerMinute / 60:0.0} hours of "
                    + "sewing, and gets stiff as a board. Set its rows farther apart, or make it smaller."
            )
            {
                Kind = RefusalKind.NotPossible,
            };
    }

    /// <summary>About how many stitches a filled element takes; 0 for anything else.</summary>
    private static double About(Element element, Project project, EditContext context)
    {
        if (element.Making is not FilledMaking filled)
        {
            return 0;
        }
        var numbers = FillChoice.Numbers(
            filled,
            element,
            SatinChoice.Ground(element, project),
            project.FindThread(filled.ThreadId)
        );
        var area = context.Evaluator.OutlineOf(element).Flatten().Sum(region => region.Area);
        return Beside * area / (numbers.Spacing * numbers.StitchLength);
    }
}
