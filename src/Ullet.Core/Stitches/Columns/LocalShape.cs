using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>A region moved beside the origin, its points on a fine grid: the same shape elsewhere gives the same one.</summary>
/// <param name="Region">The region, mm.</param>
/// <param name="Points">The points of its rings, each ring closed, by which it is known again.</param>
internal sealed record LocalShape(Region Region, Point[] Points)
{
    /// <summary>The fine grid's lines lie so far apart, mm.</summary>
    private const double Fine = 1.0 / (1 << 20);

    internal static LocalShape Of(Region region, Point from)
    {
        var local = new Region(Near(region.Shell, from), [.. region.Holes.Select(hole => Near(hole, from))]);
        return new LocalShape(local, [.. local.Rings.SelectMany(ring => ring.Points.Append(ring.Points[0]))]);
    }

    internal static Point Near(Point place, Point from) =>
        new(Math.Round((place.X - from.X) / Fine) * Fine, Math.Round((place.Y - from.Y) / Fine) * Fine);

    private static Ring Near(Ring ring, Point from) => Ring.Of([.. ring.Points.Select(point => Near(point, from))]);
}

/// <summary>Known again by its points and numbers.</summary>
internal sealed class ShapeKey(Point[] points, object numbers) : IEquatable<ShapeKey>
{
    private readonly Point[] _points = points;
    private readonly object _numbers = numbers;
    private int _hash;

    public bool Equals(ShapeKey? other) =>
        other is not null && _numbers.Equals(other._numbers) && _points.AsSpan().SequenceEqual(other._points);

    public override bool Equals(object? obj) => Equals(obj as ShapeKey);

    public override int GetHashCode()
    {
        if (_hash == 0)
        {
            var hash = new HashCode();
            hash.Add(_numbers);
            foreach (var point in _points)
            {
                hash.Add(point);
            }
            _hash = hash.ToHashCode() | 1;
        }
        return _hash;
    }
}
