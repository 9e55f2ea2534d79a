using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Dxf;

/// <summary>A SPLINE entity (a NURBS of any degree, with or without weights) as cubic curves.</summary>
/// <remarks>Evaluated by de Boor's recursion; each knot span is sampled and cubics are fitted to it.</remarks>
internal static class DxfSpline
{
    private const int PlacesPerSpan = 24;

    private const int MostDegree = 11;

    /// <summary>Share of the spline's size that fitted curves may be off.</summary>
    private const double FitShare = 2e-5;

    private const int ClosedFlag = 1;

    internal static (ImmutableArray<Curve> Curves, bool IsClosed)? Of(DxfEntity entity)
    {
        if (Places(entity, 10, 20).Count == 0)
        {
            return OfFitPoints(entity);
        }
        var degree = (int)entity.Number(71, 3);
        var knots = entity.Pairs.Where(pair => pair.Code == 40).Select(pair => pair.Number ?? 0).ToArray();
        var weights = entity.Pairs.Where(pair => pair.Code == 41).Select(pair => pair.Number ?? 1).ToArray();
        var places = Places(entity, 10, 20);
        if (
            degree is < 1 or > MostDegree
            || places.Count <= degree
            || knots.Length != places.Count + degree + 1
            || (weights.Length > 0 && weights.Length != places.Count)
            || knots.Zip(knots.Skip(1)).Any(pair => pair.Second < pair.First)
        )
        {
            return null;
        }
        var points = new List<Point>();
        var size = Box.Of(places);
        var within = Math.Max(size.Width, size.Height) * FitShare;
        var curves = ImmutableArray.CreateBuilder<Curve>();
        for (var span = degree; span < places.Count; span++)
        {
            var (from, to) = (knots[span], knots[span + 1]);
            if (to - from < 1e-12)
            {
                continue;
            }
            Budget.Spend(PlacesPerSpan * degree);
            points.Clear();
            for (var i = 0; i <= PlacesPerSpan; i++)
            {
                points.Add(At(from + ((to - from) * i / PlacesPerSpan), span, degree, knots, weights, places));
            }
            if (Box.Of(points) is { Width: 0, Height: 0 })
            {
                continue;
            }
            curves.AddRange(degree == 1 ? [Curve.Line(points[0], points[^1])] : CurveFit.Open([.. points], within));
        }
        if (curves.Count == 0)
        {
            return null;
        }
        var meets = curves[0].Start.DistanceTo(curves[^1].End) < Math.Max(within, Tolerance.Same);
        return (curves.ToImmutable(), meets || (entity.Flags & ClosedFlag) != 0);
    }

    /// <summary>A spline that only says which points it goes through.</summary>
    private static (ImmutableArray<Curve> Curves, bool IsClosed)? OfFitPoints(DxfEntity entity)
    {
        var points = new List<Point>();
        foreach (var point in Places(entity, 11, 21))
        {
            if (points.Count == 0 || points[^1].DistanceTo(point) > Tolerance.Same)
            {
                points.Add(point);
            }
        }
        var isClosed = (entity.Flags & ClosedFlag) != 0;
        if (isClosed && points.Count > 2 && points[0].DistanceTo(points[^1]) > Tolerance.Same)
        {
            points.Add(points[0]);
        }
        return DxfFitSpline.Through(points, Way(entity, 12, 22), Way(entity, 13, 23)) is { } curves
            ? (curves, isClosed || points[0].DistanceTo(points[^1]) <= Tolerance.Same)
            : null;
    }

    /// <summary>The way that an entity gives for one of its ends; null where it gives none.</summary>
    private static Point? Way(DxfEntity entity, int across, int down) =>
        Places(entity, across, down) is [var way, ..] && way.Length > Tolerance.Same ? way : null;

    private static List<Point> Places(DxfEntity entity, int acrossCode, int downCode)
    {
        var places = new List<Point>();
        double? x = null;
        foreach (var pair in entity.Pairs)
        {
            if (pair.Code == acrossCode)
            {
                x = pair.Number;
            }
            else if (pair.Code == downCode && x is { } across && pair.Number is { } down)
            {
                places.Add(new Point(across, down));
                x = null;
            }
        }
        return places;
    }

    private static Point At(double t, int span, int degree, double[] knots, double[] weights, List<Point> places)
    {
        var at = new (Point Place, double Weight)[degree + 1];
        for (var i = 0; i <= degree; i++)
        {
            var weight = weights.Length > 0 ? weights[span - degree + i] : 1;
            at[i] = (places[span - degree + i] * weight, weight);
        }
        for (var round = 1; round <= degree; round++)
        {
            for (var i = degree; i >= round; i--)
            {
                var low = knots[span - degree + i];
                var high = knots[span + 1 + i - round];
                var share = high - low < 1e-15 ? 0 : (t - low) / (high - low);
                at[i] = (
                    (at[i - 1].Place * (1 - share)) + (at[i].Place * share),
                    (at[i - 1].Weight * (1 - share)) + (at[i].Weight * share)
                );
            }
        }
        return at[degree].Place * (1 / at[degree].Weight);
    }
}
