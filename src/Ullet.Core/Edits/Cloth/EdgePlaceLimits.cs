using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Holds a place on the wall, by which a stretch of edge is named, against the wall's limits.</summary>
internal static class EdgePlaceLimits
{
    /// <summary>Says what is wrong with the place, or null.</summary>
    internal static Refusal? Check(double x, double y) =>
        Limits.CheckRange(x, -Limits.FarthestPlace, Limits.FarthestPlace, "mm", "The place across", "x")
        ?? Limits.CheckRange(y, -Limits.FarthestPlace, Limits.FarthestPlace, "mm", "The place down", "y");
}
