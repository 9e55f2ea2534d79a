namespace Ullet.Core.Geometry;

/// <summary>How an edge that is moved goes round a corner.</summary>
public enum CornerStyle
{
    /// <summary>At the same distance everywhere: an arc about the corner.</summary>
    Round,

    /// <summary>Both sides go on until they meet; very sharp corners are cut off at five times the distance.</summary>
    Sharp,
}

/// <summary>Moves the edge of outlines outwards or inwards, as curves.</summary>
/// <remarks>Laws, tested in OutlineOffsetTests: (1) no place of the new edge is nearer to the old one than the distance by
/// more than 0.02 mm; (2) it has at most <see cref="NodesPerCurve"/> nodes for each of the old one's curves.</remarks>
public static class OutlineOffset
{
    /// <summary>Most nodes of the moved edge for each curve of the edge it came from.</summary>
    public const int NodesPerCurve = 8;

    /// <summary>Moves run a hair farther than asked, mm, so that flattening and fitting do not bring them nearer.</summary>
    private const double Hair = 0.006;

    /// <param name="outline">Parts and open lines, mm.</param>
    /// <param name="distance">Outwards when positive, inwards when negative, mm. Holes shrink when the shell grows.</param>
    /// <param name="corners">How corners on the outer side of the move are gone round.</param>
    /// <returns>Empty when nothing is left. An open line becomes the band about it when the move goes outwards, and goes
    /// otherwise. Parts that meet are joined.</returns>
    public static Outline By(Outline outline, double distance, CornerStyle corners = CornerStyle.Round)
    {
        if (Math.Abs(distance) < Tolerance.Quantum)
        {
            return outline.Lines.IsEmpty ? outline : new Outline(outline.Parts);
        }
        var moved = distance + (Math.Sign(distance) * Hair);
        var area = RegionOffset.Of(PlaneGeometry.From(outline.Flatten()), moved, corners);
        if (distance > 0)
        {
            foreach (var line in outline.Lines)
            {
                area = area.Union(RegionOffset.Of(PlaneGeometry.Line(line.Flatten()), moved, corners));
            }
        }
        return new Outline([
            .. PlaneGeometry
                .ToRegions(area)
                .Where(region => region.Shell.Points.Length > 2 && region.Area > 1e-3)
                .Select(region => new OutlinePart(
                    CurveFit.Of(region.Shell),
                    [
                        .. region
                            .Holes.Where(hole => hole.Points.Length > 2 && Math.Abs(hole.SignedArea) > 1e-3)
                            .Select(hole => CurveFit.Of(hole)),
                    ]
                )),
        ]);
    }
}
