namespace Ullet.Core.Projects;

/// <summary>How exactly a cut edge comes to lie, as measured with a coupon or typed; null for what is usual.</summary>
public sealed record EdgeTolerances
{
    /// <summary>How exactly the piece is cut, mm to either side.</summary>
    public double? Cutting { get; init; }

    /// <summary>How exactly hands lay it, mm to either side.</summary>
    public double? Laying { get; init; }

    /// <summary>How far outside the tack-down scissors leave the edge at least, mm.</summary>
    public double? TrimLeast { get; init; }

    /// <summary>How far outside the tack-down scissors leave the edge at most, mm.</summary>
    public double? TrimMost { get; init; }

    /// <summary>How far stitching draws the cloth towards the piece's middle, share of the distance.</summary>
    public double? DrawIn { get; init; }
}
