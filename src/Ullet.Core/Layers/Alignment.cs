using Ullet.Core.Projects;

namespace Ullet.Core.Layers;

/// <summary>What hands hold something against.</summary>
/// <param name="Line">The step whose line it is; null for a layer's edge.</param>
/// <param name="LayerId">The layer whose edge it is; null for a line.</param>
/// <param name="Distance">How far from it, mm; 0 on it.</param>
public sealed record Alignment(StepKey? Line, string? LayerId = null, double Distance = 0)
{
    /// <summary>True where it is the edge of what is laid that lies so far from it.</summary>
    public bool IsEdge { get; init; }

    /// <summary>True where the edge held against it is pressed under, so that no raw edge is seen.</summary>
    public bool IsPressed { get; init; }

    /// <summary>So much of it must be seen, a share: marks at its ends are enough for some.</summary>
    public double LeastSeen { get; init; } = 0.5;
}
