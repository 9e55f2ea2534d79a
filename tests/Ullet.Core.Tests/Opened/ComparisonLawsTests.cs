using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Opened;

/// <summary>Laws of comparing two files, on random designs.</summary>
public sealed class ComparisonLawsTests
{
    public static TheoryData<int> Seeds => [.. Enumerable.Range(1, 12)];

    [Theory]
    [MemberData(nameof(Seeds))]
    public void MovedAsAWhole_EveryBlockTellsTheSameWay_BackTheOther(int seed)
    {
        var random = new Random(seed);
        var design = Design(random);
        var by = new Point(random.Next(-300, 300), random.Next(1, 300)) * 0.1;
        var moved = With(design, block => Moved(block, by));
        var there = DesignComparison.Of(design, moved);
        Assert.All(there.Blocks, block => Assert.Equal(BlockFate.Moved, block.Fate));
        Assert.All(there.Blocks, block => Assert.Equal($"The same, moved {Way(by)}.", block.Words));
        Assert.Empty(there.Said);
        Assert.False(there.IsSame);
        var back = DesignComparison.Of(moved, design);
        Assert.All(back.Blocks, block => Assert.Equal($"The same, moved {Way(by * -1)}.", block.Words));
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void WhatIsGoneOneWay_IsNewTheOther_AndTheRestIsTheSame(int seed)
    {
        var random = new Random(seed);
        var design = Design(random);
        var lost = random.Next(design.Blocks.Length);
        var without = design with { Blocks = design.Blocks.RemoveAt(lost) };
        var there = DesignComparison.Of(design, without);
        var gone = Assert.Single(there.Blocks, block => block.Fate != BlockFate.Same);
        Assert.Equal((lost + 1, null, BlockFate.Gone), (gone.First, gone.Second, gone.Fate));
        Assert.Contains(there.Said, words => words.StartsWith("There were ", StringComparison.Ordinal));
        var back = DesignComparison.Of(without, design);
        var added = Assert.Single(back.Blocks, block => block.Fate != BlockFate.Same);
        Assert.Equal((null, lost + 1, BlockFate.New), (added.First, added.Second, added.Fate));
        Assert.Equal(lost, back.Blocks.IndexOf(added));
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void InAnyOrder_EveryBlockIsFoundAgain(int seed)
    {
        var random = new Random(seed);
        var design = Design(random);
        var order = Enumerable.Range(0, design.Blocks.Length).ToArray();
        random.Shuffle(order);
        var shuffled = design with { Blocks = [.. order.Select(i => design.Blocks[i])] };
        var compared = DesignComparison.Of(design, shuffled);
        Assert.All(compared.Blocks, block => Assert.Equal(BlockFate.Same, block.Fate));
        Assert.Equal(
            Enumerable.Range(0, order.Length).Select(i => (i + 1, Array.IndexOf(order, i) + 1)),
            compared.Blocks.Select(block => (block.First!.Value, block.Second!.Value))
        );
        var isSorted = order.SequenceEqual(order.Order());
        Assert.Equal(!isSorted, compared.Said.Contains("Blocks are sewn in another order."));
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void OneNeedlePointElsewhere_IsToldWithHowFar_AndNoOtherBlock(int seed)
    {
        var random = new Random(seed);
        var design = Design(random);
        var (at, off) = (random.Next(design.Blocks.Length), 0.1 + (random.Next(90) * 0.01));
        var stitches = Enumerable
            .Range(0, design.Blocks[at].Points.Length)
            .Where(i => design.Blocks[at].Points[i].Move == OpenedMove.Stitch)
            .ToList();
        var which = stitches[random.Next(stitches.Count)];
        var block = design.Blocks[at];
        var changed = design with
        {
            Blocks = design.Blocks.SetItem(
                at,
                block with
                {
                    Points = block.Points.SetItem(
                        which,
                        block.Points[which] with
                        {
                            At = block.Points[which].At + new Point(0, off),
                        }
                    ),
                }
            ),
        };
        var compared = DesignComparison.Of(design, changed);
        var told = Assert.Single(compared.Blocks, own => own.Fate != BlockFate.Same);
        Assert.Equal((at + 1, at + 1, BlockFate.Changed), (told.First, told.Second, told.Fate));
        Assert.Equal(
            string.Create(
                CultureInfo.InvariantCulture,
                $"1 of {stitches.Count:N0} needle points stand elsewhere, by {off:0.00} mm at most."
            ),
            told.Words
        );
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void AStopThatStandsElsewhere_IsTold_ThoughNothingElseIs(int seed)
    {
        var random = new Random(seed);
        var design = Design(random);
        var from = random.Next(design.Blocks.Length - 1);
        var to = (from + 1) % (design.Blocks.Length - 1);
        StitchDesign Stopping(int after) =>
            design with
            {
                Blocks = [.. design.Blocks.Select((block, i) => block with { StopAfter = i == after })],
            };
        var compared = DesignComparison.Of(Stopping(from), Stopping(to));
        Assert.StartsWith("A stop is at another place", Assert.Single(compared.Said), StringComparison.Ordinal);
        Assert.False(compared.IsSame);
        Assert.True(DesignComparison.Of(Stopping(from), Stopping(from)).IsSame);
    }

    private static string Way(Point by)
    {
        var words = new List<string>();
        if (Math.Round(by.X, 2) != 0)
        {
            words.Add(
                string.Create(CultureInfo.InvariantCulture, $"{Math.Abs(by.X):0.##} mm {(by.X > 0 ? "right" : "left")}")
            );
        }
        words.Add(
            string.Create(CultureInfo.InvariantCulture, $"{Math.Abs(by.Y):0.##} mm {(by.Y > 0 ? "down" : "up")}")
        );
        return string.Join(" and ", words);
    }

    private static StitchDesign With(StitchDesign design, Func<DesignBlock, DesignBlock> change) =>
        design with
        {
            Blocks = [.. design.Blocks.Select(change)],
        };

    private static DesignBlock Moved(DesignBlock block, Point by) =>
        block with
        {
            Points = [.. block.Points.Select(point => point with { At = (point.At + by).Rounded(0.01) })],
        };

    /// <summary>Three to eight blocks, none like another.</summary>
    private static StitchDesign Design(Random random)
    {
        var blocks = Enumerable
            .Range(0, random.Next(3, 9))
            .Select(_ => ((OpenedForm)OpenedSample.Random(random).Elements[0].Form).Points)
            .Select(points => new DesignBlock(points, 0))
            .ToImmutableArray();
        var thread = new MachineThread
        {
            Id = "t1",
            Name = "red",
            Colour = "#aa2233",
        };
        return new StitchDesign("random", blocks, [thread]);
    }
}
