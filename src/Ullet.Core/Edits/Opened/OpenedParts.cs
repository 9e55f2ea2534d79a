using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Edits;

/// <summary>Takes some needle points of a block and leaves others; where that cuts a thread, both ends are locked and the way between is
/// trimmed.</summary>
internal static class OpenedParts
{
    /// <summary>The points that are kept, with locks where a thread was cut. No kept needle point moves.</summary>
    /// <param name="points">The block.</param>
    /// <param name="keeps">Whether a needle point is kept, by its number among all commands.</param>
    internal static ImmutableArray<OpenedPoint> Kept(ImmutableArray<OpenedPoint> points, Func<int, bool> keeps)
    {
        var kept = ImmutableArray.CreateBuilder<OpenedPoint>(points.Length);
        var i = 0;
        while (i < points.Length)
        {
            Budget.Spend();
            if (points[i].Move != OpenedMove.Stitch)
            {
                // A jump to what went, or a trim of it, goes with it.
                var isOfKept =
                    points[i].Move == OpenedMove.Jump
                        ? i + 1 < points.Length && points[i + 1].Move == OpenedMove.Stitch && keeps(i + 1)
                        : kept.Count > 0 && kept[^1].Move != OpenedMove.Trim;
                if (isOfKept)
                {
                    kept.Add(points[i]);
                }
                i++;
                continue;
            }
            var from = i;
            while (i < points.Length && points[i].Move == OpenedMove.Stitch && keeps(i))
            {
                Budget.Spend();
                i++;
            }
            if (i > from)
            {
                Add(
                    kept,
                    points[from..i],
                    isCutBefore: from > 0 && points[from - 1].Move == OpenedMove.Stitch,
                    isCutAfter: i < points.Length && points[i].Move == OpenedMove.Stitch
                );
            }
            while (i < points.Length && points[i].Move == OpenedMove.Stitch && !keeps(i))
            {
                Budget.Spend();
                i++;
            }
        }
        return Tidied(kept);
    }

    /// <summary>Needle points in the opposite direction, every section its other way round and the last one first.</summary>
    internal static ImmutableArray<OpenedPoint> Reversed(ImmutableArray<OpenedPoint> points)
    {
        var turned = ImmutableArray.CreateBuilder<OpenedPoint>(points.Length);
        foreach (var section in NeedleSections.Of(points).Reverse())
        {
            turned.Add(new OpenedPoint(OpenedMove.Jump, section[^1]));
            turned.AddRange(section.Reverse().Select(at => new OpenedPoint(OpenedMove.Stitch, at)));
            turned.Add(new OpenedPoint(OpenedMove.Trim, section[0]));
        }
        return turned.ToImmutable();
    }

    /// <summary>A stretch with locks at the ends at which it was cut off.</summary>
    private static void Add(
        ImmutableArray<OpenedPoint>.Builder kept,
        ImmutableArray<OpenedPoint> stretch,
        bool isCutBefore,
        bool isCutAfter
    )
    {
        var places = stretch.Select(point => point.At).ToList();
        if (places.Count < 2 && (isCutBefore || isCutAfter))
        {
            // A single hole holds no thread.
            return;
        }
        if (isCutBefore)
        {
            kept.Add(new OpenedPoint(OpenedMove.Jump, places[0]));
            kept.Add(stretch[0]);
            Lock(kept, places[0], places);
            kept.AddRange(stretch[1..]);
        }
        else
        {
            kept.AddRange(stretch);
        }
        if (isCutAfter)
        {
            Lock(kept, places[^1], places.AsEnumerable().Reverse());
            kept.Add(new OpenedPoint(OpenedMove.Trim, kept[^1].At));
        }
    }

    private static void Lock(ImmutableArray<OpenedPoint>.Builder kept, Point end, IEnumerable<Point> along)
    {
        var other = LockEnds.PlaceOf(end, along).Rounded(NeedlePack.Grid);
        for (var i = 0; i < StitchDefaults.LockCount; i++)
        {
            kept.Add(new OpenedPoint(OpenedMove.Stitch, i % 2 == 0 ? other : end));
        }
    }

    /// <summary>Without a trim of nothing at its beginning, and without one thread trimmed twice.</summary>
    private static ImmutableArray<OpenedPoint> Tidied(ImmutableArray<OpenedPoint>.Builder points)
    {
        var tidy = ImmutableArray.CreateBuilder<OpenedPoint>(points.Count);
        foreach (var point in points)
        {
            Budget.Spend();
            if (point.Move == OpenedMove.Trim && (tidy.Count == 0 || tidy[^1].Move != OpenedMove.Stitch))
            {
                continue;
            }
            tidy.Add(point);
        }
        while (tidy.Count > 0 && tidy[^1].Move == OpenedMove.Jump)
        {
            tidy.RemoveAt(tidy.Count - 1);
        }
        return tidy.ToImmutable();
    }
}
