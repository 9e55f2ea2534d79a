using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Layers;

/// <summary>How the right side of an outer layer comes to lie outside.</summary>
public enum TurningAnswer
{
    /// <summary>It does already.</summary>
    AlreadyOutside,

    /// <summary>The work is turned through gaps and openings.</summary>
    Through,

    /// <summary>Nothing leads to it.</summary>
    ClosedOff,
}

/// <summary>Whether work can be turned right side out, read off its layers and seams.</summary>
/// <param name="Answer">How.</param>
/// <param name="LayerName">The outer layer that has the hardest way.</param>
/// <param name="Through">What the way leads through, from outside: "the gap in the lining", "the zip".</param>
/// <param name="Width">How wide the narrowest place of the way is when it is drawn flat, mm; infinite without a way or where nothing
/// narrows it.</param>
/// <param name="At">The narrowest place, or a place on the layer that can't be reached, mm.</param>
/// <param name="ClosedBy">The seams that close it off.</param>
/// <param name="Way">The way from outside, mm; nothing without one.</param>
public sealed record TurningReport(
    TurningAnswer Answer,
    string LayerName,
    ImmutableArray<string> Through,
    double Width,
    Point At,
    ImmutableArray<string> ClosedBy,
    ImmutableArray<Point> Way
)
{
    /// <summary>A cut through the layers along the way; null without one.</summary>
    public TurningSection? Section { get; init; }

    /// <summary>Thin things need an opening this wide, padded ones the other, mm.</summary>
    public const double ThinNeeds = 40;

    /// <inheritdoc cref="ThinNeeds"/>
    public const double PaddedNeeds = 60;

    /// <summary>"through the gap in the lining, then through the zip".</summary>
    public string WayWords => string.Join(", then ", Through.Select(name => $"through {name}"));
}
