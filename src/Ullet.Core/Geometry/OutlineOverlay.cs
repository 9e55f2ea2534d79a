using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using Overlay = System.Func<
    NetTopologySuite.Geometries.Geometry,
    NetTopologySuite.Geometries.Geometry,
    NetTopologySuite.Geometries.Geometry
>;

namespace Ullet.Core.Geometry;

/// <summary>Combines outlines; what is left of their edges keeps its own curves.</summary>
/// <remarks>
/// Laws, tested in OutlineOverlayTests on seeded cases: (1) area(A) = area(A−B) + area(A∩B) within 0.1 %; (2) no result
/// crosses itself; (3) every hole lies inside its shell; (4) a result has at most the curves of A and B and two for every
/// crossing of their edges; (5) its edges lie within 0.02 mm of theirs.
/// </remarks>
public static class OutlineOverlay
{
    /// <summary>Parts and holes narrower than this are the grid's, not the user's, mm.</summary>
    private const double Sliver = 0.01;

    /// <summary>The first outline without the second; open lines are cut at its edge. The very first one when the second
    /// does no more than touch it.</summary>
    public static Outline Difference(Outline from, Outline without) =>
        without.Parts.IsEmpty || !from.Bounds().Overlaps(without.Bounds())
            ? from
            : Combine(from, without, (a, b) => a.Difference(b), (a, b) => a.Intersection(b));

    /// <summary>What lies in both; open lines are kept inside the second. The very first one when all of it does.</summary>
    public static Outline Intersection(Outline first, Outline second) =>
        second.Parts.IsEmpty || !first.Bounds().Overlaps(second.Bounds())
            ? Outline.Empty
            : Combine(first, second, (a, b) => a.Intersection(b), (a, b) => a.Difference(b));

    /// <summary>Both as one; open lines are not joined. The very first one when the second lies in it.</summary>
    public static Outline Union(Outline first, Outline second) =>
        first.Lines.IsEmpty
            ? Combine(first, second, (a, b) => a.Union(b), (a, b) => b.Difference(a))
            : Union(new Outline(first.Parts), second) with
            {
                Lines = first.Lines,
            };

    private static Outline Combine(Outline first, Outline second, Overlay overlay, Overlay changed)
    {
        var (a, b) = (PlaneGeometry.From(first.Flatten()), PlaneGeometry.From(second.Flatten()));
        LibraryWork.Overlay(a, b);
        var regions = first.Parts.IsEmpty && second.Parts.IsEmpty ? [] : PlaneGeometry.ToRegions(overlay(a, b));
        if (
            first.Lines.IsEmpty
            && !regions.IsEmpty
            && Math.Abs(a.Area - regions.Sum(region => region.Area)) < Sliver * a.Length
            && !PlaneGeometry.ToRegions(changed(a, b)).Any(region => IsReal(region.Shell))
        )
        {
            return first;
        }
        var memory = new CurveMemory([
            .. first.Contours.Concat(second.Contours).Select(contour => contour.Curves),
            .. first.Lines.Select(line => line.Curves),
        ]);
        return new Outline([
            .. regions
                .Where(region => IsReal(region.Shell))
                .Select(region => new OutlinePart(
                    memory.Restore(region.Shell),
                    [.. region.Holes.Where(IsReal).Select(hole => memory.Restore(hole))]
                )),
        ])
        {
            Lines = [.. first.Lines.SelectMany(line => Pieces(line, b, overlay)).Select(memory.Restore)],
        };
    }

    private static bool IsReal(Ring ring) => Math.Abs(ring.SignedArea) > Sliver * ring.Length / 2;

    /// <summary>What an overlay leaves of an open line, along the way it runs.</summary>
    private static IEnumerable<ImmutableArray<Point>> Pieces(
        OpenPath line,
        NetTopologySuite.Geometries.Geometry area,
        Overlay overlay
    )
    {
        var whole = line.Flatten();
        var along = new ArcLength(whole);
        var drawn = PlaneGeometry.Line(whole);
        LibraryWork.Overlay(drawn, area);
        var left = overlay(drawn, area);
        for (var i = 0; i < left.NumGeometries; i++)
        {
            if (left.GetGeometryN(i) is LineString { IsEmpty: false } piece && piece.Length > Tolerance.Quantum * 10)
            {
                ImmutableArray<Point> points = [.. piece.Coordinates.Select(c => new Point(c.X, c.Y))];
                yield return along.Of(points[0]) <= along.Of(points[^1]) ? points : [.. points.Reverse()];
            }
        }
    }
}
