using Ullet.Core.Geometry;

namespace Ullet.Server.Devices;

/// <summary>A corner of what is cut, beside which a test ring is tried.</summary>
public enum RingCorner
{
    TopLeft,
    TopRight,
    BottomLeft,
    BottomRight,
}

/// <summary>Where a test ring goes: in the cloth, beside what is cut from it, and on the mat.</summary>
internal static class RingPlace
{
    /// <summary>The ring's radius, mm.</summary>
    internal const double Radius = 6;

    /// <summary>Cloth left round the ring, and between it and what is cut, mm.</summary>
    internal const double Room = 4.5;

    /// <summary>The ring's middle on the mat; null where there is no room beside the frame.</summary>
    /// <param name="frame">The box of what is cut, mm on the mat.</param>
    /// <param name="mat">The mat.</param>
    /// <param name="corner">Near which corner.</param>
    internal static Point? Of(Box frame, Box mat, RingCorner corner)
    {
        var (isLeft, isTop) = (
            corner is RingCorner.TopLeft or RingCorner.BottomLeft,
            corner is RingCorner.TopLeft or RingCorner.TopRight
        );
        const double away = Radius + Room;
        var (left, right) = (frame.MinX + Radius, frame.MaxX - Radius);
        var along = isLeft ? Math.Min(left, frame.Centre.X) : Math.Max(right, frame.Centre.X);
        var down = isTop
            ? Math.Min(frame.MinY + Radius, frame.Centre.Y)
            : Math.Max(frame.MaxY - Radius, frame.Centre.Y);
        Point[] places =
        [
            new(along, isTop ? frame.MinY - away : frame.MaxY + away),
            new(isLeft ? frame.MinX - away : frame.MaxX + away, down),
            new(along, isTop ? frame.MaxY + away : frame.MinY - away),
            new(isLeft ? frame.MaxX + away : frame.MinX - away, down),
        ];
        foreach (var place in places)
        {
            if (mat.Contains(Box.Centred(2 * away, 2 * away).Moved(place.X, place.Y)))
            {
                return place;
            }
        }
        return null;
    }
}
