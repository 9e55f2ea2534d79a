using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>What shapes are called, and which are offered.</summary>
public static class ShapeNames
{
    /// <summary>The shapes that a person chooses from, with their usual numbers.</summary>
    public static readonly ImmutableArray<ShapeSource> Offered =
    [
        new RectangleShape(4),
        new EllipseShape(),
        new PolygonShape(),
        new StarShape(),
        new HeartShape(),
        new LeafShape(),
        new DropShape(),
        new CrescentShape(),
        new ShieldShape(),
        .. Enum.GetValues<ReadyForm>().Select(kind => new ReadyShape(kind)),
    ];

    /// <summary>What a shape is called.</summary>
    public static string Of(ShapeSource shape) =>
        shape switch
        {
            RectangleShape => "Rectangle",
            EllipseShape => "Ellipse",
            PolygonShape => "Polygon",
            StarShape => "Star",
            HeartShape => "Heart",
            LeafShape => "Leaf",
            DropShape => "Drop",
            CrescentShape => "Crescent",
            ShieldShape => "Shield",
            ReadyShape ready => ReadyContours.NameOf(ready.Kind),
            DrawnShape => "Drawing",
            _ => throw new ArgumentException($"{shape.GetType().Name} has no name.", nameof(shape)),
        };
}
