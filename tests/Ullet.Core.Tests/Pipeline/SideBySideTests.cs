using Ullet.Core.Pipeline;

namespace Ullet.Core.Tests.Pipeline;

public sealed class SideBySideTests
{
    private static readonly int[] Items = [.. Enumerable.Range(0, 200)];

    [Fact]
    public void Results_StandInTheItemsOrder_WhateverRanWhere() =>
        Assert.Equal(Items.Select(i => i * i), SideBySide.Map(Items, Squared));

    [Fact]
    public void WorkSideBySide_SpendsWhatItSpendsAlone()
    {
        var (beside, alone) = (new Budget("This", 10_000_000), new Budget("This", 10_000_000));
        beside.Run(() => SideBySide.Map(Items, Squared));
        alone.Run(() =>
        {
            SideBySide.Alone(() => SideBySide.Map(Items, Squared));
            return 0;
        });
        Assert.Equal(Items.Sum(i => (long)Steps(i)), alone.Spent);
        Assert.Equal(alone.Spent, beside.Spent);
    }

    [Fact]
    public void Work_OverItsSteps_Ends_AndEveryThreadIsFreeAgain()
    {
        var before = Budget.Current;
        var budget = new Budget("Sewing this", 300_000);
        var ended = Assert.Throws<TooMuchException>(() =>
            budget.Run(() =>
                SideBySide.Map(
                    Items,
                    _ =>
                    {
                        Budget.Spend(10_000);
                        return Budget.Current!.What;
                    }
                )
            )
        );
        Assert.Equal("too-much-work", ended.Refusal.Code);
        Assert.InRange(budget.Spent, 1, 300_000 + ((Environment.ProcessorCount + 1) * 14_096L));
        Assert.Same(before, Budget.Current);
        Assert.Equal(
            Items.Select(i => i * i),
            new Budget("This", 10_000_000).Run(() => SideBySide.Map(Items, Squared))
        );
    }

    [Fact]
    public void WhatGoesWrongWithOne_GoesWrongForTheCaller()
    {
        var wrong = Assert.Throws<FormatException>(() =>
            SideBySide.Map(Items, i => i == 120 ? throw new FormatException("item 120") : Squared(i))
        );
        Assert.Equal("item 120", wrong.Message);
    }

    [Fact]
    public void CancelledWork_Ends()
    {
        using var source = new CancellationTokenSource();
        var budget = new Budget("This", long.MaxValue, cancellation: source.Token);
        Assert.Throws<OperationCanceledException>(() =>
            budget.Run(() =>
                SideBySide.Map(
                    Items,
                    i =>
                    {
                        if (i == 50)
                        {
                            source.Cancel();
                        }
                        Budget.Spend(2L * Budget.CheckEvery);
                        return i;
                    }
                )
            )
        );
    }

    private static int Steps(int i) => 100 + (i * 7);

    private static int Squared(int i)
    {
        for (var step = 0; step < Steps(i); step++)
        {
            Budget.Spend();
        }
        return i * i;
    }
}
