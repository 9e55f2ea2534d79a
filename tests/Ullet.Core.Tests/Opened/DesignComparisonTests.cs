using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Opened;

public sealed class DesignComparisonTests
{
    private static readonly StitchDesign Design = OpenedSample.Design(SampleProject.With(new HeartShape()));

    [Fact]
    public void TheSameFile_IsTheSame()
    {
        var compared = DesignComparison.Of(Design, Design);
        Assert.True(compared.IsSame);
        Assert.All(compared.Blocks, block => Assert.Equal(BlockFate.Same, block.Fate));
        Assert.Empty(compared.Said);
    }

    [Fact]
    public void AMovedBlock_IsToldWithItsWay()
    {
        var compared = DesignComparison.Of(Design, With(1, block => Moved(block, 3, -2)));
        Assert.Equal([BlockFate.Same, BlockFate.Moved, BlockFate.Same], compared.Blocks.Select(block => block.Fate));
        Assert.Contains("3 mm right and 2 mm up", compared.Blocks[1].Words, StringComparison.Ordinal);
    }

    [Fact]
    public void ALostBlock_AndALostStop_AreTold()
    {
        var lost = Design with { Blocks = Design.Blocks.RemoveAt(1) };
        var compared = DesignComparison.Of(Design, lost);
        Assert.Contains(compared.Blocks, block => block is { First: 2, Second: null, Fate: BlockFate.Gone });
        Assert.Contains(compared.Said, words => words.Contains("stopped", StringComparison.Ordinal));
        Assert.False(compared.IsSame);
        Assert.Contains(DesignComparison.Of(lost, Design).Blocks, block => block is { Second: 2, Fate: BlockFate.New });
    }

    [Fact]
    public void AnotherOrder_AndAnotherThread_AreTold()
    {
        var turned = Design with { Blocks = [Design.Blocks[2], Design.Blocks[0], Design.Blocks[1]] };
        Assert.Contains(
            DesignComparison.Of(Design, turned).Said,
            words => words.Contains("another order", StringComparison.Ordinal)
        );
        var recoloured = Design with
        {
            Threads = [.. Design.Threads.Select(thread => thread with { Colour = "#123456" })],
        };
        Assert.Contains(
            DesignComparison.Of(Design, recoloured).Said,
            words => words.Contains("#123456", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void AChangedBlock_TellsHowManyPointsAndHowFar()
    {
        var changed = With(
            2,
            block =>
                block with
                {
                    Points =
                    [
                        .. block.Points.Select(
                            (point, i) => i == 40 ? point with { At = point.At + new Point(0.5, 0) } : point
                        ),
                    ],
                }
        );
        var block = DesignComparison.Of(Design, changed).Blocks[2];
        Assert.Equal(BlockFate.Changed, block.Fate);
        Assert.StartsWith("1 of", block.Words, StringComparison.Ordinal);
        Assert.Contains("0.50 mm", block.Words, StringComparison.Ordinal);
    }

    private static StitchDesign With(int number, Func<DesignBlock, DesignBlock> change) =>
        Design with
        {
            Blocks = Design.Blocks.SetItem(number, change(Design.Blocks[number])),
        };

    private static DesignBlock Moved(DesignBlock block, double x, double y) =>
        block with
        {
            Points = [.. block.Points.Select(point => point with { At = point.At + new Point(x, y) })],
        };
}
