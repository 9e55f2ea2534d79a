using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Lays a direction line by numbers, or moves and turns one that lies there. Places are on the wall, mm.</summary>
public sealed record PlaceDirection : MakingEdit<SatinMaking>
{
    /// <summary>Which line, from 0 on; null for a new one.</summary>
    public int? Index { get; init; }

    /// <summary>Its middle; null for where it is, and for the element's middle.</summary>
    public double? X { get; init; }

    public double? Y { get; init; }

    /// <summary>Its angle to the right, degrees; null for what it has, and for a level one.</summary>
    public double? Angle { get; init; }

    public override string Label(Project before) => $"Turn the strokes of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, SatinMaking making, Project project)
    {
        if (Index is { } wanted && (wanted < 0 || wanted >= making.Directions.Length))
        {
            return new Refusal("direction-unknown", "index", $"{element.Name} has no direction line {wanted + 1}.");
        }
        if (Index is null && making.Directions.Length >= SatinMaking.MostDirections)
        {
            return LayDirection.TooMany(element);
        }
        var (middle, along) = Index is { } known ? Lies(element, making.Directions[known]) : Begun(element);
        var angle = Angle is { } degrees ? Math.PI / 180 * degrees : Math.Atan2(along.Y, along.X);
        var half = new Point(Math.Cos(angle), Math.Sin(angle)) * (along.Length / 2);
        middle = new Point(X ?? middle.X, Y ?? middle.Y);
        var line = new DirectionLine(
            BoxFit.SpotOf(element.Box, middle - half),
            BoxFit.SpotOf(element.Box, middle + half)
        );
        var changed = making with
        {
            Directions = Index is { } at ? making.Directions.SetItem(at, line) : making.Directions.Add(line),
        };
        return MakingModules.Of(changed).Check(changed) is { } no ? no : project.With(element.WithSettings(changed));
    }

    private static (Point Middle, Point Along) Lies(Element element, DirectionLine line)
    {
        var (from, to) = (BoxFit.OnWall(element.Box, line.From), BoxFit.OnWall(element.Box, line.To));
        return (Point.Lerp(from, to, 0.5), to - from);
    }

    /// <summary>A new line lies across the element's middle.</summary>
    private static (Point Middle, Point Along) Begun(Element element) =>
        (new Point(element.Box.X, element.Box.Y), new Point(Math.Min(element.Box.Width, element.Box.Height), 0));
}
