using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Edits;

/// <summary>Gives a filled area a guide, if rows can follow it.</summary>
internal static class GuideEdits
{
    /// <summary>A parabola of this bend climbs by less than rows may.</summary>
    internal const double MostBend = 0.3;

    internal static Result<Project> Set(
        Element element,
        FilledMaking making,
        Project project,
        ImmutableArray<Spot> guide
    ) => Unfit(element, guide) is { } no ? no : project.With(element.WithSettings(making with { Guide = guide }));

    /// <summary>Says why rows can't follow a guide; null where they can.</summary>
    internal static Refusal? Unfit(Element element, ImmutableArray<Spot> guide) =>
        guide.IsEmpty || RowGuide.Of([.. guide.Select(spot => BoxFit.OnWall(element.Box, spot))]) is not null
            ? null
            : new Refusal(
                "guide-unfit",
                "guide",
                $"Rows can't follow this line: it goes back on itself, crosses itself or climbs by more than {RowGuide.Steepest:0}°. "
                    + "Draw one that runs across the whole area without turning round."
            );
}
