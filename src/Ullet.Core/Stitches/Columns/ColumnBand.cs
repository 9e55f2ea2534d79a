using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>What a column takes of a region: the edges around its triangles. Some lie on the region's outline, others towards the columns
/// beside it.</summary>
internal sealed class ColumnBand
{
    private readonly Point[] _from;
    private readonly Point[] _to;
    private readonly bool[] _isMouth;

    /// <summary>How far along the column each edge lies, mm.</summary>
    private readonly double[] _way;

    private readonly double _length;
    private readonly bool _isClosed;
    private readonly List<(double At, int Edge)> _crossings = [];

    internal ColumnBand(ColumnMesh mesh, MeshColumn column)
    {
        var own = new Dictionary<int, double>();
        var at = 0.0;
        for (var g = 0; g < column.Groups.Count; g++)
        {
            if (g > 0 && g < column.Rungs.Count)
            {
                at += mesh.Middle(column.Rungs[g]).DistanceTo(mesh.Middle(column.Rungs[g - 1]));
            }
            foreach (var triangle in column.Groups[g])
            {
                own[triangle] = at;
            }
        }
        (_length, _isClosed) = (at, column.IsClosed);
        // A column that ends under itself has its end as an edge, with its own triangles on either side.
        var ends = new HashSet<Rung>();
        if (column.Start is not null)
        {
            ends.Add(column.Rungs[0]);
            Start = (mesh.Points[column.Rungs[0].A], mesh.Points[column.Rungs[0].B]);
        }
        if (column.End is not null)
        {
            ends.Add(column.Rungs[^1]);
            End = (mesh.Points[column.Rungs[^1].A], mesh.Points[column.Rungs[^1].B]);
        }
        var (from, to, mouths, ways) = (new List<Point>(), new List<Point>(), new List<bool>(), new List<double>());
        foreach (var (triangle, way) in own)
        {
            for (var k = 0; k < 3; k++)
            {
                Budget.Spend();
                var other = mesh.Beside[(3 * triangle) + k];
                var edge = mesh.Edge(triangle, k);
                if (
                    other >= 0
                    && own.ContainsKey(other)
                    && !ends.Contains(edge)
                    && !ends.Contains(new Rung(edge.B, edge.A))
                )
                {
                    continue;
                }
                from.Add(mesh.Points[edge.A]);
                to.Add(mesh.Points[edge.B]);
                mouths.Add(other >= 0);
                ways.Add(way);
            }
        }
        (_from, _to, _isMouth, _way) = ([.. from], [.. to], [.. mouths], [.. ways]);
        Box = Box.Of(from);
    }

    internal Box Box { get; }

    /// <summary>The edge under which it begins; null where it has an end of its own.</summary>
    internal (Point A, Point B)? Start { get; }

    /// <summary>The edge under which it ends; null where it has an end of its own.</summary>
    internal (Point A, Point B)? End { get; }

    /// <summary>The stretch of a straight line that lies in the band and is looked for, in distances along the line; null when none does.</summary>
    /// <param name="through">A place of the line, mm.</param>
    /// <param name="direction">Its direction, length 1.</param>
    /// <param name="near">The stretch that should be met: of several the one that shares most with it, or that lies nearest.</param>
    /// <param name="mustMeet">True to take none that does not share any of it.</param>
    /// <param name="way">How far along the column the line lies, mm; null beyond its ends.</param>
    internal BandStretch? Across(
        Point through,
        Point direction,
        (double Low, double High) near,
        bool mustMeet,
        double? way,
        bool isPast = false
    )
    {
        _crossings.Clear();
        Budget.Spend(1 + (_from.Length / 8));
        for (var i = 0; i < _from.Length; i++)
        {
            var (a, b) = (_from[i], _to[i]);
            var sideA = (direction.X * (a.Y - through.Y)) - (direction.Y * (a.X - through.X));
            var sideB = (direction.X * (b.Y - through.Y)) - (direction.Y * (b.X - through.X));
            if (sideA > 0 == sideB > 0)
            {
                continue;
            }
            var share = sideA / (sideA - sideB);
            var at =
                (direction.X * (a.X + ((b.X - a.X) * share) - through.X))
                + (direction.Y * (a.Y + ((b.Y - a.Y) * share) - through.Y));
            _crossings.Add((at, i));
        }
        _crossings.Sort((one, two) => one.At.CompareTo(two.At));
        var (lowEdge, highEdge) = (-1, -1);
        BandStretch? best = null;
        var most = double.NegativeInfinity;
        for (var i = 0; i + 1 < _crossings.Count; i += 2)
        {
            var (low, high) = (_crossings[i], _crossings[i + 1]);
            var shared = Math.Min(high.At, near.High) - Math.Max(low.At, near.Low);
            if (shared > most)
            {
                (most, best) = (shared, new BandStretch(low.At, high.At, _isMouth[low.Edge], _isMouth[high.Edge]));
                (lowEdge, highEdge) = (low.Edge, high.Edge);
            }
        }
        if (best is not { } found || (mustMeet && most <= 0))
        {
            return null;
        }
        if (way is not { } along)
        {
            return found;
        }
        if (!isPast && (found.Low > 0 || found.High < 0))
        {
            // The smoothed middle left the column round a tight bend: strokes beside this one reach what it would.
            return null;
        }
        if (isPast)
        {
            // A line past the end of a hook meets its other arm.
            var reach = near.High - near.Low;
            return found.Length > Sudden * reach && (IsFar(lowEdge, along, reach) || IsFar(highEdge, along, reach))
                ? null
                : found;
        }
        var width = Math.Min(-found.Low, found.High);
        return new BandStretch(
            IsFar(lowEdge, along, width) ? -Nearest(through, direction * -1, along, -found.Low) : found.Low,
            IsFar(highEdge, along, width) ? Nearest(through, direction, along, found.High) : found.High,
            found.IsLowMouth,
            found.IsHighMouth
        );
    }

    /// <summary>Edges within so many times the shorter side's reach, and a little, belong to a place of the column.</summary>
    private const double Local = 1.2;

    private const double Little = 0.6;

    /// <summary>So many times longer than the one before it a stretch may lie across something else.</summary>
    private const double Sudden = 1.4;

    /// <summary>True for an edge of quite another stretch of the column: the line passed the near side's corner.</summary>
    private bool IsFar(int edge, double along, double reach) => Away(edge, along) > (Local * reach) + Little;

    private double Away(int edge, double along)
    {
        var away = Math.Abs(_way[edge] - along);
        return _isClosed ? Math.Min(away, Math.Max(0, _length - away)) : away;
    }

    /// <summary>The distance of the nearest edge of a place's own stretch on one side, mm.</summary>
    private double Nearest(Point through, Point direction, double along, double most)
    {
        var nearest = most;
        for (var i = 0; i < _from.Length; i++)
        {
            var away = _from[i] - through;
            if (Point.Dot(away, direction) > 0.5 * away.Length && Away(i, along) <= (Local * away.Length) + Little)
            {
                nearest = Math.Min(nearest, away.Length);
            }
        }
        return nearest;
    }
}

/// <summary>A stretch of a line, in distances along it, mm, and whether it ends towards another column.</summary>
internal readonly record struct BandStretch(double Low, double High, bool IsLowMouth, bool IsHighMouth)
{
    internal double Length => High - Low;
}
