using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Patterns;

/// <summary>The outline that closes a pattern's work: one contour, clockwise on screen, mm from the field's centre.</summary>
/// <param name="contour">It goes round once and does not cross itself.</param>
internal sealed class SeamForm(Contour contour)
{
    /// <summary>A vertex that turns by more than this is a corner that scissors have to clip, degrees.</summary>
    private const double CornerTurn = 30;

    private readonly ContourWalk _walk = new(contour);
    private readonly Ring _ring = contour.Flatten();

    internal Contour Contour => contour;

    internal Box Bounds { get; } = contour.Bounds();

    internal ImmutableArray<Region> Area => [new Region(_ring, [])];

    /// <summary>All of it, from the middle of its lower edge round to it again.</summary>
    internal ImmutableArray<Curve> Whole()
    {
        var start = Lowest();
        return _walk.Part(start, start);
    }

    /// <summary>The leftmost and the rightmost place of it at a height; null where it does not reach.</summary>
    internal (double Left, double Right)? At(double y)
    {
        var crossings = Crossings(y).ToList();
        return crossings.Count > 0 ? (crossings.Min(), crossings.Max()) : null;
    }

    /// <summary>How often it crosses a height: twice where nothing lies beside.</summary>
    internal int CrossingsAt(double y) => Crossings(y).Count();

    /// <summary>The widest and the narrowest that it is over a stretch of heights, mm.</summary>
    internal (double Outer, double Inner, double Left, double Right) Over(double from, double to)
    {
        var (outLeft, outRight) = (double.MaxValue, double.MinValue);
        var (inLeft, inRight) = (double.MinValue, double.MaxValue);
        for (var y = from; y <= to + 1e-9; y += 1)
        {
            if (At(y) is not var (left, right))
            {
                continue;
            }
            (outLeft, outRight) = (Math.Min(outLeft, left), Math.Max(outRight, right));
            (inLeft, inRight) = (Math.Max(inLeft, left), Math.Min(inRight, right));
        }
        return (outRight - outLeft, inRight - inLeft, outLeft, outRight);
    }

    /// <summary>The best box for words between two heights: wide, and as high as goes with that.</summary>
    internal Box Room(double from, double to)
    {
        const double Step = 2;
        var best = (Worth: 0.0, Box: Box.Empty);
        for (var top = from; top < to; top += Step)
        {
            var (left, right) = (double.MinValue, double.MaxValue);
            for (var y = top; y <= to; y += Step)
            {
                (left, right) = Common((left, right), y);
                if (right - left < Step)
                {
                    break;
                }
                var box = new Box(left, top, right, y);
                // Height counts for as much as half the width at most; what is more breaks ties.
                var worth = (box.Width * Math.Min(box.Height, box.Width / 2)) + (box.Height * 0.01);
                if (worth > best.Worth)
                {
                    best = (worth, box);
                }
            }
        }
        return best.Box;
    }

    /// <summary>The widest stretch that lies in the form at a height and in another stretch; of no width where there is none.</summary>
    private (double Left, double Right) Common((double Left, double Right) within, double y)
    {
        var crossings = Crossings(y).Order().ToList();
        var widest = (within.Left, Right: within.Left);
        for (var i = 0; i + 1 < crossings.Count; i += 2)
        {
            var (left, right) = (Math.Max(within.Left, crossings[i]), Math.Min(within.Right, crossings[i + 1]));
            widest = right - left > widest.Right - widest.Left ? (left, right) : widest;
        }
        return widest;
    }

    /// <summary>Where the form crosses a height.</summary>
    private IEnumerable<double> Crossings(double y)
    {
        var points = _ring.Points;
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            var (a, b) = (points[i], points[(i + 1) % points.Length]);
            if ((a.Y <= y) != (b.Y <= y))
            {
                yield return a.X + ((b.X - a.X) * (y - a.Y) / (b.Y - a.Y));
            }
        }
    }

    /// <summary>The form a distance outside of this one (inside below 0), round about corners.</summary>
    internal SeamForm Grown(double distance)
    {
        var moved = OutlineOffset.By(new Outline([new OutlinePart(contour, [])]), distance);
        return new SeamForm(moved.Parts.MaxBy(part => part.Shell.Flatten(0.1).SignedArea)!.Shell);
    }

    /// <summary>The stretches of it below a height (above it where <paramref name="below"/> is false).</summary>
    internal IEnumerable<ImmutableArray<Curve>> Beyond(double height, bool below)
    {
        const double Step = 0.25;
        bool Is(double at) => _walk.At(at).Y > height == below;
        var starts = new List<double>();
        var ends = new List<double>();
        for (var at = 0.0; at < _walk.Total; at += Step)
        {
            Budget.Spend();
            if (Is(at) != Is(at + Step))
            {
                (Is(at) ? ends : starts).Add(Crossing(at, at + Step, Is));
            }
        }
        foreach (var start in starts)
        {
            var end = ends.Where(e => e > start).DefaultIfEmpty(ends.Min()).Min();
            yield return _walk.Part(start, end);
        }
    }

    private static double Crossing(double low, double high, Func<double, bool> side)
    {
        var first = side(low);
        for (var i = 0; i < 20; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = side(middle) == first ? (middle, high) : (low, middle);
        }
        return (low + high) / 2;
    }

    private double Lowest() => _walk.Nearest(new Point(Bounds.Centre.X, Bounds.MaxY));

    /// <summary>The place for a gap in the seam: as straight as can be and without a corner, near the middle of the lower edge.</summary>
    /// <param name="length">How long it is at most, mm; it is made shorter where the form has no room for it.</param>
    /// <param name="below">It lies below this height, mm.</param>
    /// <param name="free">So much beside it is without a corner too, mm.</param>
    /// <returns>Null where there is no room for <see cref="SeamGap.Shortest"/>.</returns>
    internal SeamGap? Gap(double length, double below, double free = 5)
    {
        for (; length >= Math.Min(SeamGap.Shortest, length); length -= 5)
        {
            if (Best(length, below, free) is { } middle)
            {
                return new SeamGap(this, _walk.At(middle), Outward(middle), length)
                {
                    Sewn = _walk.Part(middle + (length / 2), middle - (length / 2)),
                    Open = _walk.Part(middle - (length / 2), middle + (length / 2)),
                };
            }
            if (length <= SeamGap.Shortest)
            {
                break;
            }
        }
        return null;
    }

    private double? Best(double length, double below, double free)
    {
        const double Step = 1;
        if (length + (2 * free) > _walk.Total / 2)
        {
            return null;
        }
        var from = new Point(Bounds.Centre.X, Bounds.MaxY);
        (double Cost, double At)? best = null;
        for (var middle = 0.0; middle < _walk.Total; middle += Step)
        {
            if (Bend(middle - (length / 2) - free, middle + (length / 2) + free, below) is not { } bend)
            {
                continue;
            }
            var cost = bend + (_walk.At(middle).DistanceTo(from) / 2);
            if (best is null || cost < best.Value.Cost - 1e-9)
            {
                best = (cost, middle);
            }
        }
        if (best is not { } found)
        {
            return null;
        }
        // The very middle of a straight edge lies between two steps.
        var lowest = Lowest();
        return
            Math.Abs(found.At - lowest) <= Step
            && Bend(lowest - (length / 2) - free, lowest + (length / 2) + free, below) is { } straight
            && straight <= found.Cost
            ? lowest
            : found.At;
    }

    /// <summary>How far a stretch bends, degrees; null where it has a corner or leaves the room below a height.</summary>
    private double? Bend(double from, double to, double below)
    {
        const double Step = 2;
        var bend = 0.0;
        var last = _walk.Direction(from);
        for (var at = from; at <= to; at += Step)
        {
            Budget.Spend();
            var direction = _walk.Direction(at);
            var turn = Math.Abs(Point.Turn(last, direction));
            if (turn > CornerTurn || _walk.At(at).Y < below)
            {
                return null;
            }
            (bend, last) = (bend + turn, direction);
        }
        return bend;
    }

    private Point Outward(double at)
    {
        var along = _walk.Direction(at);
        return new Point(along.Y, -along.X);
    }

    /// <summary>What scissors do to the allowance so that the form turns out well; nothing where there is nothing to do.</summary>
    /// <param name="keepsOuter">True where the allowance stays whole at the outside, under a zigzag.</param>
    internal string Clipping(bool keepsOuter = false)
    {
        var (outer, inner, isCurved) = (false, false, !keepsOuter && contour.Curves.Any(curve => !curve.IsLine));
        foreach (var corner in Enumerable.Range(0, contour.Curves.Length))
        {
            var (before, after) = (contour.Curves[corner], contour.Curves[(corner + 1) % contour.Curves.Length]);
            var turn = Point.Turn(before.Slope(1), after.Slope(0));
            outer |= !keepsOuter && turn > CornerTurn;
            inner |= turn < -CornerTurn;
        }
        string[] work =
        [
            .. outer ? ["clip the corners off"] : Array.Empty<string>(),
            .. inner ? ["snip into the inner corners, close to the seam"] : Array.Empty<string>(),
            .. isCurved ? ["notch the round edges"] : Array.Empty<string>(),
        ];
        return string.Join(", ", work) is { Length: > 0 } words ? char.ToUpperInvariant(words[0]) + words[1..] : "";
    }
}

/// <summary>A gap in a closing seam.</summary>
/// <param name="Form">The seam's form.</param>
/// <param name="Middle">Its middle, mm.</param>
/// <param name="Outward">Away from the work there, of length 1.</param>
/// <param name="Length">mm along the seam.</param>
internal sealed record SeamGap(SeamForm Form, Point Middle, Point Outward, double Length)
{
    /// <summary>A shorter one is none, mm.</summary>
    internal const double Shortest = 30;

    /// <summary>The seam without it, from one end round to the other.</summary>
    internal required ImmutableArray<Curve> Sewn { get; init; }

    /// <summary>What it leaves open.</summary>
    internal required ImmutableArray<Curve> Open { get; init; }

    /// <summary>Where it is, in words: "in the lower edge".</summary>
    internal string Where =>
        Math.Abs(Outward.Y) >= Math.Abs(Outward.X)
            ? Outward.Y > 0
                ? "in the lower edge"
                : "in the upper edge"
            : Outward.X > 0
                ? "in the right edge"
                : "in the left edge";

    /// <summary>Two short lines across the allowance at its ends, mm long.</summary>
    internal IEnumerable<ImmutableArray<Curve>> Marks(double length)
    {
        foreach (var (end, along) in new[] { (Open[0].Start, Open[0].Slope(0)), (Open[^1].End, Open[^1].Slope(1)) })
        {
            var outward = new Point(along.Y, -along.X).Unit();
            yield return [Curve.Line(end, end + (outward * length))];
        }
    }
}
