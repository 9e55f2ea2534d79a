using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Where something lies that is put into a seam.</summary>
internal static class InsertPlaces
{
    /// <summary>What the folded insert takes, at a right angle to the seam, mm; null where the seam does not pass there.</summary>
    internal static Region? Of(UserInsert insert, Outline seam)
    {
        var box = seam.Bounds();
        if (box.IsEmpty)
        {
            return null;
        }
        var isUpright = insert.Side is InsertSide.Left or InsertSide.Right;
        var share = insert.Along / 100;
        var level = isUpright ? box.MinY + (share * box.Height) : box.MinX + (share * box.Width);
        (Point At, Point Along)? best = null;
        foreach (var (a, b) in Stretches(seam))
        {
            Budget.Spend();
            var (from, to) = isUpright ? (a.Y, b.Y) : (a.X, b.X);
            if ((from <= level) == (to <= level))
            {
                continue;
            }
            var at = Point.Lerp(a, b, (level - from) / (to - from));
            if (best is not { } known || Reach(at, insert.Side) > Reach(known.At, insert.Side))
            {
                best = (at, (b - a).Unit());
            }
        }
        if (best is not var (place, along))
        {
            return null;
        }
        var inward = new Point(-along.Y, along.X);
        inward = Point.Dot(box.Centre - place, inward) < 0 ? inward * -1 : inward;
        var half = along * (insert.Width / 2);
        var (outer, inner) = (place - (inward * UserInsert.Outside), place + (inward * insert.Length));
        return new Region(Ring.Of([outer - half, outer + half, inner + half, inner - half]), []);
    }

    /// <summary>How far out a place lies on a side.</summary>
    private static double Reach(Point at, InsertSide side) =>
        side switch
        {
            InsertSide.Top => -at.Y,
            InsertSide.Right => at.X,
            InsertSide.Bottom => at.Y,
            InsertSide.Left => -at.X,
            _ => throw new ArgumentException($"No side is {side}.", nameof(side)),
        };

    private static IEnumerable<(Point A, Point B)> Stretches(Outline seam)
    {
        foreach (var ring in seam.Flatten().SelectMany(region => region.Rings))
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                yield return (ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]);
            }
        }
        foreach (var line in seam.Lines.Select(line => line.Flatten()))
        {
            for (var i = 1; i < line.Length; i++)
            {
                yield return (line[i - 1], line[i]);
            }
        }
    }
}
