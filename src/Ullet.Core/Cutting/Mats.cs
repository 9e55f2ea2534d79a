using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>The mats that are offered, smallest first: whole and half feet, as mats are sold.</summary>
public static class Mats
{
    public static readonly ImmutableArray<(double Width, double Height)> All =
    [
        (152, 305),
        (305, 305),
        (305, 610),
        (610, 610),
        (610, 1220),
    ];

    /// <summary>The smallest mat that takes a box within a margin, mm; null when none does.</summary>
    public static MatSize? Smallest(Box box, double margin) =>
        All.Where(mat => mat.Width >= box.Width + (2 * margin) - Tolerance.Same)
            .Where(mat => mat.Height >= box.Height + (2 * margin) - Tolerance.Same)
            .Select(mat => new MatSize(mat.Width, mat.Height, margin))
            .FirstOrDefault();
}
