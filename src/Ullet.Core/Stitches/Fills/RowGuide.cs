using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>A curve that rows follow: every row is the curve moved across itself.</summary>
/// <remarks>So rows keep their distance across the curve's whole direction, and lie closer where it climbs: by the cosine of the
/// climb, which may be <see cref="Steepest"/> at most. Beyond its ends the curve goes on straight.</remarks>
internal sealed class RowGuide
{
    /// <summary>It climbs by no more than this, degrees: rows lie at least 0.6 of their distance apart.</summary>
    internal const double Steepest = 52;

    private readonly double[] _x;
    private readonly double[] _y;
    private readonly double[] _way;

    private RowGuide(double angle, double[] x, double[] y, double[] way) => (Angle, _x, _y, _way) = (angle, x, y, way);

    /// <summary>Its direction as a whole, degrees clockwise on screen.</summary>
    internal double Angle { get; }

    /// <summary>A guide along a line; null where the line goes back on itself, climbs too steeply or has no length.</summary>
    internal static RowGuide? Of(ImmutableArray<Point> line)
    {
        if (line.Length < 2)
        {
            return null;
        }
        var along = line[^1] - line[0];
        if (along.Length < 1)
        {
            return null;
        }
        var angle = Math.Atan2(along.Y, along.X) * 180 / Math.PI;
        var turn = Affine.Rotate(-angle);
        var (x, y, way) = (new double[line.Length], new double[line.Length], new double[line.Length]);
        var steepest = Math.Tan(Steepest * Math.PI / 180);
        for (var i = 0; i < line.Length; i++)
        {
            var at = turn.Apply(line[i]);
            (x[i], y[i]) = (at.X, at.Y);
            if (i == 0)
            {
                continue;
            }
            if (x[i] <= x[i - 1] || Math.Abs(y[i] - y[i - 1]) > steepest * (x[i] - x[i - 1]))
            {
                return null;
            }
            way[i] = way[i - 1] + line[i].DistanceTo(line[i - 1]);
        }
        return new RowGuide(angle, x, y, way);
    }

    internal Point In(Point turned)
    {
        var (i, share) = Find(_x, turned.X);
        return new Point(Between(_way, i, share), turned.Y - Between(_y, i, share));
    }

    internal Point Out(Point place)
    {
        var (i, share) = Find(_way, place.X);
        return new Point(Between(_x, i, share), place.Y + Between(_y, i, share));
    }

    /// <summary>The piece in which a number lies and how far along it; less than 0 or more than 1 beyond the ends.</summary>
    private static (int Piece, double Share) Find(double[] numbers, double wanted)
    {
        var at = Array.BinarySearch(numbers, wanted);
        var piece = Math.Clamp(at >= 0 ? at : ~at - 1, 0, numbers.Length - 2);
        return (piece, (wanted - numbers[piece]) / (numbers[piece + 1] - numbers[piece]));
    }

    private static double Between(double[] numbers, int piece, double share) =>
        numbers[piece] + ((numbers[piece + 1] - numbers[piece]) * share);
}
