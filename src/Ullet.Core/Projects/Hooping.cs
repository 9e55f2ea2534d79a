using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Projects;

/// <summary>One time in the hoop: the hoop's sewing field, what is hooped, and the threads that stages take by themselves.</summary>
public sealed record Hooping
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required Hoop Hoop { get; init; }

    /// <summary>The cloth that is hooped; null where the stabiliser is hooped alone.</summary>
    public string? GroundClothId { get; init; }

    /// <summary>The stabiliser under it; null where the cloth is hooped alone.</summary>
    public string? StabiliserClothId { get; init; }

    /// <summary>The cloth that lies on top of what is hooped: the ground, or the stabiliser that is hooped alone.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string TopClothId => GroundClothId ?? StabiliserClothId ?? "";

    /// <summary>What keeps the ground on the stabiliser; of no meaning where one of them is missing.</summary>
    public GroundHold GroundHold { get; init; }

    /// <summary>The presser foot reaches so far about the needle, mm; 3 to 15.</summary>
    public double FootRadius { get; init; } = UsualFootRadius;

    /// <summary>mm.</summary>
    public const double UsualFootRadius = 6;

    /// <summary>Thread of placements and tack-downs that have none of their own.</summary>
    public required string LineThreadId { get; init; }

    /// <summary>Thread of covers that have none of their own.</summary>
    public required string CoverThreadId { get; init; }

    /// <summary>What the user decided about its steps.</summary>
    public RunSheetOverrides RunSheet { get; init; } = new();
}

/// <summary>What was set for a hooping that a method asks for; a null goes by the first hooping.</summary>
/// <param name="Id">The hooping: "guide-" and the cloth's id.</param>
public sealed record HoopingChoice(string Id)
{
    public Hoop? Hoop { get; init; }

    public string? LineThreadId { get; init; }
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

    /// <summary>The inner ring stands this far outside the sewing field, mm; hoops differ a little.</summary>
    public const double RingOutside = 12;

    /// <summary>What lies within the inner ring, mm: so large a cloth can be laid flat on the hoop's back.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Box Inside => Box.Centred(FieldWidth, FieldHeight).Grown(RingOutside);

    /// <summary>The same hoop used sideways.</summary>
    public Hoop Turned() => new($"{FieldHeight:0} × {FieldWidth:0}", FieldHeight, FieldWidth);

    /// <summary>The hoop whose field has this width and height, or null.</summary>
    public static Hoop? OfField(double width, double height) =>
        Catalogue.FirstOrDefault(hoop =>
            Math.Abs(hoop.FieldWidth - width) < 0.01 && Math.Abs(hoop.FieldHeight - height) < 0.01
        );
}
