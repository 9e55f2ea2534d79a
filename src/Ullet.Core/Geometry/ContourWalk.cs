using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Finds places on a closed contour by the distance travelled along it, and takes stretches of it as curves.</summary>
public sealed class ContourWalk
{
    /// <summary>A curve is measured by chords of this many equal parts of its parameter.</summary>
    private const int Chords = 64;

    private readonly ImmutableArray<Curve> _curves;
    private readonly double[][] _within;
    private readonly double[] _before;

    /// <param name="contour">At least one curve, mm.</param>
    public ContourWalk(Contour contour)
    {
        _curves = contour.Curves;
        _within = new double[_curves.Length][];
        _before = new double[_curves.Length + 1];
        for (var i = 0; i < _curves.Length; i++)
        {
            _within[i] = Lengths(_curves[i]);
            _before[i + 1] = _before[i] + _within[i][^1];
        }
    }

    /// <summary>Once round, mm.</summary>
    public double Total => _before[^1];

    /// <summary>The place a distance from the start, mm; distances wrap.</summary>
    public Point At(double distance)
    {
        var (curve, t) = Find(distance);
        return _curves[curve].At(t);
    }

    /// <summary>The direction of travel there, of length 1.</summary>
    public Point Direction(double distance)
    {
        var (curve, t) = Find(distance);
        return _curves[curve].Slope(t).Unit();
    }

    /// <summary>The distance of the place nearest to a point, mm.</summary>
    public double Nearest(Point place)
    {
        const double Step = 0.1;
        var (best, nearest) = (0.0, double.MaxValue);
        for (var at = 0.0; at < Total; at += Step)
        {
            Budget.Spend();
            if (At(at).DistanceTo(place) is var off && off < nearest)
            {
                (best, nearest) = (at, off);
            }
        }
        var (low, high) = (best - Step, best + Step);
        while (high - low > Tolerance.Same)
        {
            Budget.Spend();
            var third = (high - low) / 3;
            (low, high) =
                At(low + third).DistanceTo(place) <= At(high - third).DistanceTo(place)
                    ? (low, high - third)
                    : (low + third, high);
        }
        return (low + high) / 2;
    }

    /// <summary>The stretch from one distance forward to another, mm; past the start where the second is the smaller.</summary>
    public ImmutableArray<Curve> Part(double from, double to)
    {
        (from, to) = (Wrapped(from), Wrapped(to));
        if (to <= from)
        {
            to += Total;
        }
        var part = ImmutableArray.CreateBuilder<Curve>();
        for (var lap = 0.0; lap < to; lap += Total)
        {
            for (var i = 0; i < _curves.Length; i++)
            {
                Budget.Spend();
                var (low, high) = (Math.Max(from, lap + _before[i]), Math.Min(to, lap + _before[i + 1]));
                if (high - low > Tolerance.Same)
                {
                    var (first, last) = (low - lap - _before[i], high - lap - _before[i]);
                    part.Add(_curves[i].Part(Parameter(i, first), Parameter(i, last)));
                }
            }
        }
        return part.ToImmutable();
    }

    private double Wrapped(double distance) => distance - (Total * Math.Floor(distance / Total));

    private (int Curve, double T) Find(double distance)
    {
        distance = Wrapped(distance);
        var curve = Array.BinarySearch(_before, distance);
        curve = Math.Clamp(curve < 0 ? ~curve - 1 : curve, 0, _curves.Length - 1);
        return (curve, Parameter(curve, distance - _before[curve]));
    }

    private double Parameter(int curve, double length)
    {
        var sums = _within[curve];
        if (length <= 0)
        {
            return 0;
        }
        if (length >= sums[^1])
        {
            return 1;
        }
        var after = Array.BinarySearch(sums, length);
        after = after < 0 ? ~after : after;
        var span = sums[after] - sums[after - 1];
        return (after - 1 + (span < 1e-12 ? 0 : (length - sums[after - 1]) / span)) / (sums.Length - 1);
    }

    private static double[] Lengths(Curve curve)
    {
        if (curve.IsLine)
        {
            return [0, curve.Start.DistanceTo(curve.End)];
        }
        Budget.Spend(Chords);
        var sums = new double[Chords + 1];
        var last = curve.Start;
        for (var i = 1; i <= Chords; i++)
        {
            var at = curve.At(i / (double)Chords);
            sums[i] = sums[i - 1] + at.DistanceTo(last);
            last = at;
        }
        return sums;
    }
}
