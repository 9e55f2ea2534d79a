using System.Collections.Immutable;
using NetTopologySuite.Operation.Buffer;
using NetTopologySuite.Operation.Linemerge;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>A stretch of a form that is thinner than a width.</summary>
/// <param name="Area">The stretch.</param>
/// <param name="At">A place inside it.</param>
/// <param name="Width">Its least width, mm.</param>
/// <param name="Ends">How many times it meets wider stretches: none when the form is nowhere wider, one for a tail, two or
/// more for a bridge.</param>
public sealed record ThinPlace(Region Area, Point At, double Width, int Ends)
{
    /// <summary>Stretches shorter than this many widths that end in the open are corners, not tails.</summary>
    private const double TailLength = 4;

    /// <summary>What rounding leaves along edges, mm.</summary>
    private const double Hair = 0.01;

    /// <summary>The thin stretches of a form: what a disc of the width can't reach from inside (an opening, as morphology
    /// calls it). Pointed corners are left out, tails longer than four widths are not.</summary>
    /// <param name="outline">The form, mm.</param>
    /// <param name="width">Stretches thinner than this, mm.</param>
    public static ImmutableArray<ThinPlace> Of(Outline outline, double width)
    {
        var places = ImmutableArray.CreateBuilder<ThinPlace>();
        foreach (var part in outline.Parts)
        {
            places.AddRange(OfPart(part.Flatten(), width));
        }
        return places.ToImmutable();
    }

    /// <summary>True when a disc of the width fits nowhere into the form.</summary>
    public static bool IsNowhereWide(Region form, double width) =>
        Moved(PlaneGeometry.From([form]), -(width / 2) + Hair, new BufferParameters()).IsEmpty;

    private static IEnumerable<ThinPlace> OfPart(Region part, double width)
    {
        var form = PlaneGeometry.From([part]);
        var parameters = new BufferParameters(16);
        var radius = width / 2;
        var core = Moved(form, Hair - radius, parameters);
        if (core.IsEmpty)
        {
            yield return new ThinPlace(part, InnerPlace(form), Across(form, null, width), 0);
            yield break;
        }
        var wide = Moved(core, radius, parameters);
        LibraryWork.Overlay(form, wide);
        NetTopologySuite.Geometries.Geometry? reach = null;
        foreach (var region in PlaneGeometry.ToRegions(form.Difference(wide)))
        {
            var thin = PlaneGeometry.From([region]);
            reach ??= Moved(wide, 2 * Hair, new BufferParameters());
            var ends = EndsOf(thin, reach);
            if (ends == 0 || (ends == 1 && !IsTail(region, width)))
            {
                continue;
            }
            yield return new ThinPlace(region, InnerPlace(thin), Across(thin, reach, width), ends);
        }
    }

    private static bool IsTail(Region region, double width) =>
        region.Shell.Length / 2 > TailLength * width && region.Area > 0.05 * width * width;

    /// <summary>How many separate stretches of its edge lie against wider cloth.</summary>
    private static int EndsOf(NetTopologySuite.Geometries.Geometry thin, NetTopologySuite.Geometries.Geometry wide)
    {
        var merger = new LineMerger();
        LibraryWork.Overlay(thin, wide);
        merger.Add(thin.Boundary.Intersection(wide));
        return merger.GetMergedLineStrings().Count(line => line.Length > 5 * Hair);
    }

    /// <summary>The least distance between the two sides of a stretch; of one without ends, twice its widest inside.</summary>
    private static double Across(
        NetTopologySuite.Geometries.Geometry thin,
        NetTopologySuite.Geometries.Geometry? wide,
        double most
    )
    {
        if (wide is null)
        {
            var (fits, tooWide) = (0.0, most);
            for (var i = 0; i < 8; i++)
            {
                Budget.Spend();
                var middle = (fits + tooWide) / 2;
                (fits, tooWide) = Moved(thin, -middle / 2, new BufferParameters()).IsEmpty
                    ? (fits, middle)
                    : (middle, tooWide);
            }
            return fits;
        }
        var merger = new LineMerger();
        LibraryWork.Overlay(thin, wide);
        merger.Add(thin.Boundary.Difference(wide));
        var sides = merger.GetMergedLineStrings().Where(side => side.Length > 5 * Hair).ToList();
        var least = most;
        for (var i = 0; i < sides.Count; i++)
        {
            for (var j = i + 1; j < sides.Count; j++)
            {
                Budget.Spend();
                if (sides[i].EnvelopeInternal.Distance(sides[j].EnvelopeInternal) >= least)
                {
                    continue;
                }
                LibraryWork.Pairs(sides[i], sides[j]);
                least = Math.Min(least, sides[i].Distance(sides[j]));
            }
        }
        return least;
    }

    private static NetTopologySuite.Geometries.Geometry Moved(
        NetTopologySuite.Geometries.Geometry geometry,
        double distance,
        BufferParameters parameters
    )
    {
        LibraryWork.Buffer(geometry, distance);
        return BufferOp.Buffer(geometry, distance, parameters);
    }

    private static Point InnerPlace(NetTopologySuite.Geometries.Geometry area) =>
        area.InteriorPoint is { IsEmpty: false } inner ? new Point(inner.X, inner.Y) : Point.Zero;
}
