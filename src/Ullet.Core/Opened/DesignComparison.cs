using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Opened;

/// <summary>What became of a block from one file to another.</summary>
public enum BlockFate
{
    /// <summary>Every needle point is the same.</summary>
    Same,

    /// <summary>The same needle points elsewhere.</summary>
    Moved,

    /// <summary>Other needle points.</summary>
    Changed,

    /// <summary>Only in the first file.</summary>
    Gone,

    /// <summary>Only in the second file.</summary>
    New,
}

/// <summary>A block compared.</summary>
/// <param name="First">Its number in the first file, from 1; null where it is not there.</param>
/// <param name="Second">Its number in the second file, from 1; null where it is not there.</param>
/// <param name="Fate">What became of it.</param>
/// <param name="Words">The same in a sentence.</param>
public sealed record ComparedBlock(int? First, int? Second, BlockFate Fate, string Words);

/// <summary>Two stitch files compared.</summary>
/// <param name="Blocks">Block by block, in the order of the first file, what is only in the second where it stands there.</param>
/// <param name="Said">What differs as a whole, a sentence each; nothing where nothing does.</param>
/// <param name="IsSame">True where both sew and stop alike.</param>
public sealed record DesignComparison(ImmutableArray<ComparedBlock> Blocks, ImmutableArray<string> Said, bool IsSame)
{
    /// <summary>Needle points nearer than this are the same, mm.</summary>
    private const double Same = 0.011;

    /// <summary>Needle points that were moved and put on the file's grid again lie off by no more, mm.</summary>
    private const double Rounding = 0.06;

    /// <summary>Compares two files: is this still what was sewn?</summary>
    public static DesignComparison Of(StitchDesign first, StitchDesign second)
    {
        var pairs = Paired(first.Blocks, second.Blocks);
        var blocks = pairs.Select(pair => Compared(first, second, pair.First, pair.Second)).ToImmutableArray();
        var said = Told(first, second, blocks).ToImmutableArray();
        return new DesignComparison(blocks, said, said.IsEmpty && blocks.All(block => block.Fate == BlockFate.Same));
    }

    private static IEnumerable<string> Told(
        StitchDesign first,
        StitchDesign second,
        ImmutableArray<ComparedBlock> blocks
    )
    {
        var (one, other) = (first.Bounds(), second.Bounds());
        if (Math.Abs(one.Width - other.Width) > Same || Math.Abs(one.Height - other.Height) > Same)
        {
            yield return $"The size was {one.Width:0.0} × {one.Height:0.0} mm and is {other.Width:0.0} × {other.Height:0.0} mm.";
        }
        var (points, now) = (
            first.Blocks.Sum(block => block.StitchCount),
            second.Blocks.Sum(block => block.StitchCount)
        );
        if (points != now)
        {
            yield return $"There were {points:N0} needle points and are {now:N0}.";
        }
        var (stops, stopsNow) = (
            first.Blocks.Count(block => block.StopAfter),
            second.Blocks.Count(block => block.StopAfter)
        );
        if (stops != stopsNow)
        {
            yield return $"The machine stopped {stops} times and stops {stopsNow} times.";
        }
        var moved = blocks
            .Where(block => block is { First: not null, Second: not null })
            .FirstOrDefault(block =>
                first.Blocks[block.First!.Value - 1].StopAfter != second.Blocks[block.Second!.Value - 1].StopAfter
            );
        if (stops == stopsNow && moved is not null)
        {
            yield return $"A stop is at another place: after block {moved.First} there is {(first.Blocks[moved.First!.Value - 1].StopAfter ? "none any more" : "one now")}.";
        }
        var order = blocks
            .Where(block => block.First is not null && block.Second is not null)
            .Select(block => block.Second!.Value)
            .ToList();
        if (!order.SequenceEqual(order.Order()))
        {
            yield return "Blocks are sewn in another order.";
        }
        var recoloured = blocks
            .Where(block => block is { First: not null, Second: not null })
            .Select(block =>
                (
                    Number: block.First!.Value,
                    Was: first.Threads[first.Blocks[block.First!.Value - 1].Thread],
                    Is: second.Threads[second.Blocks[block.Second!.Value - 1].Thread]
                )
            )
            .Where(each => each.Was.Colour != each.Is.Colour || each.Was.Name != each.Is.Name)
            .GroupBy(each => (each.Was, each.Is));
        foreach (var group in recoloured)
        {
            var numbers = group.Select(each => each.Number).ToList();
            var which = numbers.Count == 1 ? $"Block {numbers[0]} was" : $"Blocks {string.Join(", ", numbers)} were";
            yield return $"{which} sewn with {group.Key.Was.Name} ({group.Key.Was.Colour}), now with {group.Key.Is.Name} ({group.Key.Is.Colour}).";
        }
        if (
            first.Blocks.Sum(block => block.Before.Length) + first.After.Length is var hands
            && second.Blocks.Sum(block => block.Before.Length) + second.After.Length is var handsNow
            && hands != handsNow
        )
        {
            yield return $"The file told {hands} hand steps and tells {handsNow}.";
        }
    }

    private static ComparedBlock Compared(StitchDesign first, StitchDesign second, int? one, int? other)
    {
        if (one is not { } a)
        {
            var added = second.Blocks[other!.Value];
            return new ComparedBlock(
                null,
                other + 1,
                BlockFate.New,
                $"Only in the second file: {added.StitchCount:N0} needle points."
            );
        }
        if (other is not { } b)
        {
            return new ComparedBlock(
                a + 1,
                null,
                BlockFate.Gone,
                $"Only in the first file: {first.Blocks[a].StitchCount:N0} needle points."
            );
        }
        var (was, now) = (Places(first.Blocks[a]), Places(second.Blocks[b]));
        if (was.Count == now.Count)
        {
            var by = new Point(
                Middle(was.Zip(now, (from, to) => to.X - from.X)),
                Middle(was.Zip(now, (from, to) => to.Y - from.Y))
            );
            var farthest = was.Zip(now, (from, to) => (to - from - by).Length).Max();
            if (farthest <= (by.Length <= Same ? Same : Rounding))
            {
                return by.Length <= Same
                    ? new ComparedBlock(a + 1, b + 1, BlockFate.Same, "The same needle points.")
                    : new ComparedBlock(a + 1, b + 1, BlockFate.Moved, $"The same, moved {Way(by)}.");
            }
            var differ = was.Zip(now, (from, to) => (to - from).Length).Where(way => way > Same).ToList();
            return new ComparedBlock(
                a + 1,
                b + 1,
                BlockFate.Changed,
                $"{differ.Count:N0} of {was.Count:N0} needle points stand elsewhere, by {differ.Max():0.00} mm at most."
            );
        }
        return new ComparedBlock(
            a + 1,
            b + 1,
            BlockFate.Changed,
            $"It had {was.Count:N0} needle points and has {now.Count:N0}."
        );
    }

    private static double Middle(IEnumerable<double> numbers)
    {
        var sorted = numbers.Order().ToList();
        return sorted[sorted.Count / 2];
    }

    private static string Way(Point by)
    {
        var (across, down) = (Math.Round(by.X, 2), Math.Round(by.Y, 2));
        var words = new List<string>();
        if (across != 0)
        {
            words.Add($"{Math.Abs(across):0.##} mm {(across > 0 ? "right" : "left")}");
        }
        if (down != 0)
        {
            words.Add($"{Math.Abs(down):0.##} mm {(down > 0 ? "down" : "up")}");
        }
        return string.Join(" and ", words);
    }

    private static List<Point> Places(DesignBlock block) =>
        [.. block.Points.Where(point => point.Move == OpenedMove.Stitch).Select(point => point.At)];

    /// <summary>Blocks that belong together: those that are alike first, whatever their order; then what stands between the same ones.</summary>
    private static List<(int? First, int? Second)> Paired(
        ImmutableArray<DesignBlock> first,
        ImmutableArray<DesignBlock> second
    )
    {
        var partner = new int?[first.Length];
        var taken = new bool[second.Length];
        foreach (var strict in new[] { true, false })
        {
            var known = new Dictionary<string, Queue<int>>(StringComparer.Ordinal);
            for (var k = 0; k < second.Length; k++)
            {
                if (!taken[k])
                {
                    var key = Shape(second[k], strict);
                    (known.TryGetValue(key, out var own) ? own : known[key] = new Queue<int>()).Enqueue(k);
                }
            }
            for (var i = 0; i < first.Length; i++)
            {
                Budget.Spend();
                if (
                    partner[i] is null
                    && known.TryGetValue(Shape(first[i], strict), out var own)
                    && own.TryDequeue(out var k)
                )
                {
                    (partner[i], taken[k]) = (k, true);
                }
            }
        }
        // What is left between two pairs is taken for the same block, changed.
        var last = -1;
        for (var i = 0; i < first.Length; i++)
        {
            if (partner[i] is { } own)
            {
                last = own;
            }
            else if (last + 1 < second.Length && !taken[last + 1])
            {
                (partner[i], taken[last + 1]) = (last + 1, true);
                last++;
            }
        }
        var pairs = Enumerable.Range(0, first.Length).Select(i => ((int?)i, partner[i])).ToList();
        foreach (var k in Enumerable.Range(0, second.Length).Where(k => !taken[k]))
        {
            var at = pairs.FindLastIndex(pair => pair.Item2 < k) + 1;
            pairs.Insert(at, (null, k));
        }
        return pairs;
    }

    /// <summary>Stands for a block's needle points where they lie, or for their shape wherever it lies.</summary>
    private static string Shape(DesignBlock block, bool strict)
    {
        var places = Places(block);
        var origin = strict || places.Count == 0 ? Point.Zero : places[0];
        return ContentHash
            .Of(
                places
                    .Select(at => at - origin)
                    .Select(at => (Math.Round(at.X, 1), Math.Round(at.Y, 1)))
                    .Select(at => $"{at.Item1},{at.Item2}"),
                "shape"
            )
            .Hex;
    }
}
