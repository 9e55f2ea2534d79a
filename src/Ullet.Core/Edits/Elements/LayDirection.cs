using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Lays a line across a column of satin: its strokes lie along it there. Places are on the wall, mm.</summary>
public sealed record LayDirection : MakingEdit<SatinMaking>
{
    public required double FromX { get; init; }

    public required double FromY { get; init; }

    public required double ToX { get; init; }

    public required double ToY { get; init; }

    public override string Label(Project before) => $"Turn the strokes of {PieceName(before)}";

    internal static Refusal TooMany(Element element) =>
        new(
            "directions-too-many",
            "elementId",
            $"{element.Name} has {SatinMaking.MostDirections} direction lines already; take some away first."
        )
        {
            Kind = RefusalKind.NotPossible,
        };

    private protected override Result<Project> Change(Element element, SatinMaking making, Project project)
    {
        if (making.Directions.Length >= SatinMaking.MostDirections)
        {
            return TooMany(element);
        }
        var line = new DirectionLine(
            BoxFit.SpotOf(element.Box, new Point(FromX, FromY)),
            BoxFit.SpotOf(element.Box, new Point(ToX, ToY))
        );
        var changed = making with { Directions = making.Directions.Add(line) };
        return MakingModules.Of(changed).Check(changed) is { } no ? no : project.With(element.WithSettings(changed));
    }
}
