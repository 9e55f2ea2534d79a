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
