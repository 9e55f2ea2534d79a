using Ullet.Core.Geometry;

namespace Ullet.Core.Moments;

/// <summary>A corner of a new layer turned back, so that its other face is seen beside the one that lies up.</summary>
internal static class TurnedCorner
{
    /// <summary>The flap's legs, page units.</summary>
    private const double Leg = 20;

    /// <summary>The flap; nothing for a layer without a square corner in sight.</summary>
    internal static IEnumerable<InkLines> Of(LayerPart part, Moment moment, Box shown, double scale)
    {
        var leg = Leg / scale;
        var seen = moment.View is MomentView.Front or MomentView.Back ? moment.Field : shown;
        var box = Box.Of(part.Layer.Area);
        if (part.Layer.Area.Length != 1 || box.Width < 3 * leg || box.Height < 3 * leg)
        {
            yield break;
        }
        // To the lower right of the page first, then wherever a corner is seen.
        var right = moment.IsMirrored ? -1 : 1;
        foreach (var (across, down) in new[] { (right, 1), (right, -1), (-right, 1), (-right, -1) })
        {
            var corner = new Point(across > 0 ? box.MaxX : box.MinX, down > 0 ? box.MaxY : box.MinY);
            if (!seen.Contains(corner) || !IsSquare(part.Layer.Area[0], corner, across, down))
            {
                continue;
            }
            var (one, other) = (corner - new Point(across * leg, 0), corner - new Point(0, down * leg));
            var tip = new Point(corner.X - (across * leg), corner.Y - (down * leg));
            yield return MomentPaint.Area(
                [
                    [one, corner, other],
                ],
                MomentColours.White,
                MomentColours.White,
                2.4
            );
            yield return MomentPaint.Area(
                [
                    [one, other, tip],
                ],
                MomentColours.Tint(part.Layer.Cloth.Colour, 0.75),
                MomentColours.Ink,
                1.6
            );
            var face = part.Face == SeenFace.Right ? SeenFace.Wrong : SeenFace.Right;
            yield return MomentPaint.Textured(
                [new Region(Ring.Of([one, other, tip]), [])],
                face,
                shown,
                scale * 1.6,
                1
            );
            yield break;
        }
    }

    private static bool IsSquare(Region area, Point corner, int across, int down) =>
        area.Shell.Winding(corner - new Point(across * 0.3, down * 0.3)) != 0;
}
