using Ullet.Core.Geometry;

namespace Ullet.Core.Findings;

/// <summary>What a seam goes round.</summary>
internal static class ClosingRings
{
    /// <summary>The longest of a seam's lines, closed over its gap; null for an empty outline. What a seam goes over again along its gap
    /// is a line of its own; sewn to and fro, its needle points would wind about nothing.</summary>
    internal static Ring? Of(Outline seam) =>
        seam.Lines.IsEmpty
            ? seam.Flatten().FirstOrDefault()?.Shell
            : Ring.Of(seam.Lines.Select(line => line.Flatten(0.1)).MaxBy(points => new ArcLength(points).Total));
}
