using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>One time in the hoop: the hoop's sewing field, what is hooped, and the threads that stages take by themselves.</summary>
public sealed record Hooping
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required Hoop Hoop { get; init; }

    /// <summary>The cloth that is hooped.</summary>
    public required string GroundClothId { get; init; }

    /// <summary>The stabiliser under it.</summary>
    public required string StabiliserClothId { get; init; }

    /// <summary>Thread of placements and tack-downs that have none of their own.</summary>
    public required string LineThreadId { get; init; }

    /// <summary>Thread of covers that have none of their own.</summary>
    public required string CoverThreadId { get; init; }
}

/// <summary>A hoop by its sewing field (not its frame), mm.</summary>
public sealed record Hoop(string Name, double FieldWidth, double FieldHeight)
{
    /// <summary>The sizes offered, smallest first; sewing fields as the trade states them.</summary>
    public static readonly ImmutableArray<Hoop> Catalogue =
    [
        new("100 × 100", 100, 100),
        new("130 × 180", 130, 180),
        new("150 × 150", 150, 150),
        new("160 × 260", 160, 260),
        new("200 × 200", 200, 200),
        new("200 × 300", 200, 300),
        new("240 × 360", 240, 360),
    ];

    /// <summary>The same hoop used sideways.</summary>
    public Hoop Turned() => new($"{FieldHeight:0} × {FieldWidth:0}", FieldHeight, FieldWidth);

    /// <summary>The hoop whose field has this width and height, or null.</summary>
    public static Hoop? OfField(double width, double height) =>
        Catalogue.FirstOrDefault(hoop =>
            Math.Abs(hoop.FieldWidth - width) < 0.01 && Math.Abs(hoop.FieldHeight - height) < 0.01
        );
}
