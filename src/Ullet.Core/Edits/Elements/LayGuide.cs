using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Lets the rows of a filled area follow a line that was drawn over it. Places are on the wall, mm.</summary>
public sealed record LayGuide : MakingEdit<FilledMaking>
{
    /// <summary>Most places of a drawn line.</summary>
    private const int MostPlaces = 5_000;

    /// <summary>A hand's small shakes are left out, mm.</summary>
    private const double Shake = 0.4;

    /// <summary>The line's places, x and y in turn, mm.</summary>
    public required ImmutableArray<double> Line { get; init; }

    public override string Label(Project before) => $"Bend the rows of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, FilledMaking making, Project project)
    {
        if (
            Line.Length is < 4 or > 2 * MostPlaces
            || Line.Length % 2 != 0
            || Line.Any(value => !double.IsFinite(value))
        )
        {
            return new Refusal(
                "guide-not-a-line",
                "line",
                $"A guide is a line of two to {MostPlaces} places, each with a number across and one down."
            );
        }
        var drawn = Enumerable.Range(0, Line.Length / 2).Select(i => new Point(Line[2 * i], Line[(2 * i) + 1]));
        var simple = PlaneGeometry.Simplified(drawn, Shake).ToList();
        var shake = Shake;
        while (simple.Count > FilledMaking.MostGuide)
        {
            Budget.Spend(simple.Count);
            shake *= 2;
            simple = [.. PlaneGeometry.Simplified(simple, shake)];
        }
        return GuideEdits.Set(element, making, project, [.. simple.Select(place => BoxFit.SpotOf(element.Box, place))]);
    }
}
