using System.Collections.Immutable;
using System.Runtime.InteropServices;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>A closed polyline, mm, without a repeated last point.</summary>
public sealed record Ring(ImmutableArray<Point> Points)
{
    private readonly double _signedArea = SignedAreaOf(Points);

    /// <summary>Positive when the ring runs clockwise on screen (y down), mm².</summary>
    public double SignedArea => _signedArea;

    public double Length
    {
        get
        {
            var sum = 0.0;
            for (var i = 0; i < Points.Length; i++)
            {
                sum += Points[i].DistanceTo(Points[(i + 1) % Points.Length]);
            }
            return sum;
        }
    }

    public Box Bounds() => Box.Of(Points);

    /// <summary>A ring of the points without neighbours that coincide.</summary>
    public static Ring Of(IReadOnlyList<Point> points)
    {
        Budget.Spend(1 + (points.Count / 4));
        var kept = ImmutableArray.CreateBuilder<Point>(points.Count);
        foreach (var point in points)
        {
            if (kept.Count == 0 || kept[^1].DistanceTo(point) > Tolerance.Same)
            {
                kept.Add(point);
            }
        }
        while (kept.Count > 1 && kept[^1].DistanceTo(kept[0]) <= Tolerance.Same)
        {
            kept.RemoveAt(kept.Count - 1);
        }
        return new Ring(kept.ToImmutable());
    }

    public Ring Reversed() => new([.. Points.Reverse()]);

    /// <summary>The same ring beginning at another of its points.</summary>
    public Ring StartingAt(int index) => new([.. Points.AsSpan()[index..], .. Points.AsSpan()[..index]]);

    /// <summary>The turn at a vertex, degrees; positive is clockwise on screen.</summary>
    public double TurnAt(int index)
    {
        var n = Points.Length;
        return Point.Turn(Points[index] - Points[(index + n - 1) % n], Points[(index + 1) % n] - Points[index]);
    }

    private int[]? _corners;

    /// <summary>Rings are equal when they have the same points; what was worked out of them does not count.</summary>
    public bool Equals(Ring? other) => other is not null && Points.Equals(other.Points);

    public override int GetHashCode() => Points.GetHashCode();

    /// <summary>The vertices that turn by more than <see cref="Tolerance.CornerTurn"/>; found once.</summary>
    public ImmutableArray<int> Corners() => ImmutableCollectionsMarshal.AsImmutableArray(_corners ??= FindCorners());

    private int[] FindCorners()
    {
        Budget.Spend(1 + (Points.Length / 4));
        var points = Points.AsSpan();
        var corners = new List<int>();
        for (var i = 0; i < points.Length; i++)
        {
            var into = points[i] - points[i > 0 ? i - 1 : points.Length - 1];
            var onward = points[i + 1 < points.Length ? i + 1 : 0] - points[i];
            if (Tolerance.IsCorner(into, onward))
            {
                corners.Add(i);
            }
        }
        return [.. corners];
    }

    /// <summary>How often the ring goes round a place, clockwise on screen counted up.</summary>
    /// <remarks>D. Sunday, "Inclusion of a point in a polygon", 2001.</remarks>
    public int Winding(Point place)
    {
        Budget.Spend(1 + (Points.Length / 8));
        var winding = 0;
        var points = Points;
        for (var i = 0; i < points.Length; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Length]);
            var side = Point.Cross(b - a, place - a);
            if (a.Y <= place.Y && b.Y > place.Y && side > 0)
            {
                winding++;
            }
            else if (a.Y > place.Y && b.Y <= place.Y && side < 0)
            {
                winding--;
            }
        }
        return winding;
    }

    private static double SignedAreaOf(ImmutableArray<Point> points)
    {
        var twice = 0.0;
        for (var i = 0; i < points.Length; i++)
        {
            twice += Point.Cross(points[i], points[i + 1 < points.Length ? i + 1 : 0]);
        }
        return twice / 2;
    }
}
