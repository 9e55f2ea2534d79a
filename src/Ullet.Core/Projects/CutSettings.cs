using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>How cut shapes are laid on the mat.</summary>
public sealed record CutSettings
{
    /// <summary>Mat width, mm.</summary>
    public double MatWidth { get; init; } = 305;

    /// <summary>Mat height, mm.</summary>
    public double MatHeight { get; init; } = 305;

    /// <summary>Cloths that are cut mirrored (face down on the mat).</summary>
    public ImmutableArray<string> MirroredClothIds { get; init; } = [];
}
