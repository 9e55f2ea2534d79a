using System.Collections.Immutable;
using NetTopologySuite.Operation.Union;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Stitches;

/// <summary>The area of a band along lines, swelling and tapering as it is asked to.</summary>
internal static class LineBand
{
    /// <summary>Longest piece between two widths, mm.</summary>
    private const double Step = 0.5;

    /// <summary>A pointed end runs out over so many widths.</summary>
    private const double Point = 1.5;

    /// <summary>How wide a swelling band is where it is narrowest, share of its width.</summary>
    private const double Narrow = 0.35;

    /// <summary>The regions that a band along an outline's lines and edges takes.</summary>
    internal static ImmutableArray<Region> Of(Outline outline, SatinBand band)
    {
        var lines = outline
            .Lines.Select(line => (Points: line.Flatten(), IsClosed: false))
            .Concat(
                outline
                    .Flatten()
                    .SelectMany(region => region.Rings)
                    .Select(ring => (Points: ring.Points.Add(ring.Points[0]), IsClosed: true))
            )
            .Where(line => line.Points.Length > 1);
        var pieces = lines.SelectMany(line => Pieces(line.Points, line.IsClosed, band)).ToList();
        if (pieces.Count == 0)
        {
            return [];
        }
        pieces.ForEach(piece => LibraryWork.Linear(piece));
        return PlaneGeometry.ToRegions(UnaryUnionOp.Union(pieces));
    }

    private static IEnumerable<NetTopologySuite.Geometries.Geometry> Pieces(
        ImmutableArray<Geometry.Point> line,
        bool isClosed,
        SatinBand band
    )
    {
        isClosed |= line.Length > 2 && line[0].DistanceTo(line[^1]) <= Tolerance.Same;
        if (band.Swell == BandSwell.Even && (isClosed || band.Cap != BandCap.Pointed))
        {
            yield return Even(line, isClosed, band);
            yield break;
        }
        var along = new ArcLength(line);
        var count = Math.Max(2, (int)Math.Ceiling(along.Total / Step));
        double WidthAt(int i) => Width(along.Total * i / count, along.Total, isClosed, band);
        for (var i = 0; i < count; i++)
        {
            Budget.Spend();
            var (from, to) = (along.At(along.Total * i / count), along.At(along.Total * (i + 1) / count));
            var isEnd = !isClosed && band.Cap == BandCap.Square && (i == 0 || i == count - 1);
            yield return Between(from, WidthAt(i) / 2, to, WidthAt(i + 1) / 2, isEnd && i == 0, isEnd && i > 0);
        }
    }

    private static NetTopologySuite.Geometries.Geometry Even(
        ImmutableArray<Geometry.Point> line,
        bool isClosed,
        SatinBand band
    )
    {
        NetTopologySuite.Geometries.Geometry path = isClosed
            ? PlaneGeometry.LinearRing(new Ring([.. line.RemoveAt(line.Length - 1)]))
            : PlaneGeometry.Line(line);
        return RegionOffset.Around(path, band.Width / 2, isSquare: !isClosed && band.Cap == BandCap.Square);
    }

    /// <summary>What two discs and all between them take; flat where an end is cut off.</summary>
    private static NetTopologySuite.Geometries.Geometry Between(
        Geometry.Point from,
        double first,
        Geometry.Point to,
        double last,
        bool isFlatFirst,
        bool isFlatLast
    )
    {
        var across = (to - from).Unit().Outward();
        List<Geometry.Point> corners =
        [
            from + (across * first),
            to + (across * last),
            to - (across * last),
            from - (across * first),
        ];
        if (!isFlatFirst)
        {
            corners.AddRange(Disc(from, first));
        }
        if (!isFlatLast)
        {
            corners.AddRange(Disc(to, last));
        }
        return PlaneGeometry
            .Factory.CreateMultiPointFromCoords([
                .. corners.Select(corner => new NetTopologySuite.Geometries.Coordinate(corner.X, corner.Y)),
            ])
            .ConvexHull();
    }

    private static IEnumerable<Geometry.Point> Disc(Geometry.Point centre, double radius)
    {
        for (var i = 0; i < 24; i++)
        {
            var (sin, cos) = Math.SinCos(Math.PI * i / 12);
            yield return new Geometry.Point(centre.X + (radius * cos), centre.Y + (radius * sin));
        }
    }

    /// <summary>The band's width at a way along its line, mm.</summary>
    private static double Width(double way, double length, bool isClosed, SatinBand band)
    {
        var share = length < 1e-9 ? 0.5 : way / length;
        var swell = band.Swell switch
        {
            BandSwell.Even => 1,
            BandSwell.Middle => Narrow + ((1 - Narrow) * Math.Sin(Math.PI * share)),
            BandSwell.Start => 1 - ((1 - Narrow) * share),
            BandSwell.End => Narrow + ((1 - Narrow) * share),
        };
        var width = band.Width * swell;
        if (isClosed || band.Cap != BandCap.Pointed)
        {
            return width;
        }
        var reach = Math.Min(Point * band.Width, length / 2);
        return Math.Max(0.05, width * Math.Min(1, Math.Min(way, length - way) / Math.Max(reach, 1e-9)));
    }
}
