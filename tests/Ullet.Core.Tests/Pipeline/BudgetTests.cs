using Ullet.Core.Pipeline;

namespace Ullet.Core.Tests.Pipeline;

public sealed class BudgetTests
{
    private const int Turns = 10_000;

    [Fact]
    public void Run_OfTheSameWork_SpendsTheSameSteps()
    {
        var (first, second) = (new Budget("This", 1_000_000), new Budget("This", 1_000_000));
        first.Run(() => Loop(Turns));
        second.Run(() => Loop(Turns));
        Assert.Equal(Turns, first.Spent);
        Assert.Equal(first.Spent, second.Spent);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(Turns)]
    [InlineData(300_000)]
    public void Work_OverItsSteps_EndsWithinOneLook(int most)
    {
        var budget = new Budget("Reading this drawing", most);
        var ended = Assert.Throws<TooMuchException>(() => budget.Run(() => Loop(int.MaxValue)));
        Assert.Equal("too-much-work", ended.Refusal.Code);
        Assert.StartsWith("Reading this drawing takes more work", ended.Message, StringComparison.Ordinal);
        Assert.InRange(budget.Spent, most + 1L, most + (2L * Budget.CheckEvery));
    }

    [Fact]
    public void CancelledWork_EndsWithinOneLook()
    {
        using var source = new CancellationTokenSource();
        var budget = new Budget("This", long.MaxValue, cancellation: source.Token);
        var turns = 0;
        Assert.Throws<OperationCanceledException>(() =>
            budget.Run<int>(() =>
            {
                for (; ; turns++)
                {
                    if (turns == Turns)
                    {
                        source.Cancel();
                    }
                    Budget.Spend();
                }
            })
        );
        Assert.InRange(turns, Turns, Turns + Budget.CheckEvery);
    }

    [Fact]
    public void Run_Ended_LeavesTheThreadAsItWas()
    {
        var outer = new Budget("Outer", 1_000_000);
        outer.Run(() =>
        {
            Assert.Throws<TooMuchException>(() => new Budget("Inner", 1).Run(() => Loop(Turns)));
            Assert.Same(outer, Budget.Current);
            return 0;
        });
        Assert.Null(Budget.Current);
    }

    [Fact]
    public void WorkThatCantBeStopped_IsNotBegunWhenThereIsNoRoomForIt()
    {
        var begun = false;
        Assert.Throws<TooMuchException>(() =>
            new Budget("This", Turns).Run(() =>
            {
                Budget.SpendAhead(Turns * 2);
                return begun = true;
            })
        );
        Assert.False(begun);
    }

    [Theory]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    public void WorkWithoutMeasure_IsNotBegun(double steps) =>
        Assert.Throws<TooMuchException>(() =>
            new Budget("This", Turns).Run(() =>
            {
                Budget.SpendAhead(steps);
                return 0;
            })
        );

    [Fact]
    public void Keeper_IsAskedBeforeWorkThatCantBeStopped()
    {
        var keeper = new Keeper();
        new Budget("This", 1_000_000, keeper).Run(() =>
        {
            Budget.SpendAhead(12_345);
            return 0;
        });
        Assert.Equal(12_345, keeper.Asked);
    }

    private static int Loop(int turns)
    {
        for (var i = 0; i < turns; i++)
        {
            Budget.Spend();
        }
        return turns;
    }

    private sealed class Keeper : IBudgetKeeper
    {
        internal double Asked { get; private set; }

        public void Look(Budget budget) { }

        public void Ahead(Budget budget, double steps) => Asked = steps;

        public IBudgetKeeper Beside() => this;
    }
}
