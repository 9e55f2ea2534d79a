using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Lays stroke places across a band along its spine, from where the outline ends to where it ends or another column begins.</summary>
internal static class ColumnStrokes
{
    /// <summary>A column runs out under another by so much, mm.</summary>
    internal const double Under = 0.25;

    /// <summary>Shorter strokes at an end are left out, mm.</summary>
    private const double Least = 0.25;

    /// <summary>A stroke past its line's end that is so many times longer than the last lies along the column under which this one ends.</summary>
    private const double Sudden = 2;

    /// <summary>The places in order; none where the band is nowhere wide enough.</summary>
    internal static StrokePlace[] Of(ColumnBand band, RegionEdges region, ColumnSpine spine)
    {
        var n = spine.Points.Length;
        var middle = Widest(band, spine);
        if (middle < 0)
        {
            return [];
        }
        var first = Stroke(band, spine, middle, (-1e-3, 1e-3), mustMeet: false);
        if (first is not { } seen)
        {
            return [];
        }
        if (spine.IsClosed)
        {
            var ring = new List<StrokePlace>(n);
            var near = (seen.Low, seen.High);
            for (var k = 0; k < n; k++)
            {
                var i = (middle + k) % n;
                if (Stroke(band, spine, i, near, mustMeet: true) is { } stretch)
                {
                    near = (stretch.Low, stretch.High);
                    ring.Add(Place(region, spine, i, stretch));
                }
            }
            if (ring.Count > 2)
            {
                ring.Add(ring[0]);
            }
            return [.. ring];
        }
        var back = Walk(band, region, spine, middle, -1, seen, band.Start);
        back.Reverse();
        back.Add(Place(region, spine, middle, seen));
        back.AddRange(Walk(band, region, spine, middle, 1, seen, band.End));
        return [.. back];
    }

    private static List<StrokePlace> Walk(
        ColumnBand band,
        RegionEdges region,
        ColumnSpine spine,
        int from,
        int way,
        BandStretch seen,
        (Point A, Point B)? mouth
    )
    {
        var places = new List<StrokePlace>();
        var near = (seen.Low, seen.High);
        var last = seen;
        var i = from + way;
        var most = spine.Points.Length + (int)((band.Box.Width + band.Box.Height) / ColumnSpine.Step);
        for (; Math.Abs(i - from) < most; i += way)
        {
            if (mouth is { } end && IsBeyond(spine, i, way, end))
            {
                break;
            }
            if (Stroke(band, spine, i, near, mustMeet: true) is not { } stretch)
            {
                if (i >= 0 && i < spine.Points.Length)
                {
                    continue;
                }
                break;
            }
            var isPast = i < 0 || i >= spine.Points.Length;
            if (isPast && (stretch.Length < Least || (mouth is not null && stretch.Length > Sudden * last.Length)))
            {
                break;
            }
            (near, last) = ((stretch.Low, stretch.High), stretch);
            places.Add(Place(region, spine, i, stretch));
        }
        if (mouth is not null)
        {
            for (var k = 0; k * ColumnSpine.Step < Under - 1e-9; k++)
            {
                var place = Place(region, spine, i + (way * k), last, isBeyond: true);
                if (place.Length < Least)
                {
                    break;
                }
                places.Add(place);
            }
        }
        return places;
    }

    /// <summary>True when all of a line lies past a column's end.</summary>
    private static bool IsBeyond(ColumnSpine spine, int i, int way, (Point A, Point B) end)
    {
        if (i >= 0 && i < spine.Points.Length)
        {
            return false;
        }
        var (at, across) = At(spine, i);
        var ahead = new Point(-across.Y, across.X) * way;
        return Point.Dot(end.A - at, ahead) < 0 && Point.Dot(end.B - at, ahead) < 0;
    }

    /// <summary>The spine's place at which the band is well in sight: near its middle.</summary>
    private static int Widest(ColumnBand band, ColumnSpine spine)
    {
        var n = spine.Points.Length;
        for (var k = 0; k < n; k++)
        {
            var i = (n / 2) + (k % 2 == 0 ? k / 2 : -(k + 1) / 2);
            if (i >= 0 && i < n && Stroke(band, spine, i, (-1e-3, 1e-3), mustMeet: true) is { Length: > Least })
            {
                return i;
            }
        }
        return -1;
    }

    private static (Point At, Point Across) At(ColumnSpine spine, int i)
    {
        var n = spine.Points.Length;
        var at = Math.Clamp(i, 0, n - 1);
        var tangent = spine.Tangents[at];
        var beyond =
            i < 0 ? i
            : i >= n ? i - n + 1
            : 0;
        return (spine.Points[at] + (tangent * (beyond * ColumnSpine.Step)), tangent.Outward());
    }

    private static BandStretch? Stroke(
        ColumnBand band,
        ColumnSpine spine,
        int i,
        (double Low, double High) near,
        bool mustMeet
    )
    {
        var (at, across) = At(spine, i);
        var isPast = i < 0 || i >= spine.Points.Length;
        var way = spine.Ways?[Math.Clamp(i, 0, spine.Points.Length - 1)];
        return band.Across(at, across, near, mustMeet, way, isPast);
    }

    private static StrokePlace Place(
        RegionEdges region,
        ColumnSpine spine,
        int i,
        BandStretch stretch,
        bool isBeyond = false
    )
    {
        var (at, across) = At(spine, i);
        var (low, high) = (stretch.Low, stretch.High);
        if (stretch.IsHighMouth || stretch.IsLowMouth || isBeyond)
        {
            var middle = at + (across * ((low + high) / 2));
            var (down, up) = region.Free(middle, across);
            high = Math.Min(high + (stretch.IsHighMouth ? Under : 0), ((low + high) / 2) + up);
            low = Math.Max(stretch.Low - (stretch.IsLowMouth ? Under : 0), ((stretch.Low + stretch.High) / 2) - down);
        }
        return new StrokePlace(at + (across * high), at + (across * low))
        {
            IsClipped = stretch.IsHighMouth || stretch.IsLowMouth || isBeyond,
        };
    }
}
