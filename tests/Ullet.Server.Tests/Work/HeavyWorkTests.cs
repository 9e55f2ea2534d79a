using Ullet.Core.Pipeline;
using Ullet.Server.Work;

namespace Ullet.Server.Tests.Work;

public sealed class HeavyWorkTests
{
    private readonly HeavyWork _queue = new(TimeProvider.System);

    [Fact]
    public async Task Turns_ComeOneAfterTheOther_InTheirOrder()
    {
        var order = new List<string>();
        var first = _queue.Enter("first", "One", CancellationToken.None);
        var others = new List<Task>();
        foreach (var id in new[] { "second", "third" })
        {
            others.Add(
                Task.Run(() =>
                {
                    using var turn = _queue.Enter(id, "Another", CancellationToken.None);
                    lock (order)
                    {
                        order.Add(id);
                    }
                })
            );
            await Until(() => _queue.Items.Any(item => item.Id == id));
        }
        Assert.Equal([0, 1, 2], _queue.Items.Select(item => item.Place));
        Assert.Empty(order);
        first.Dispose();
        await Task.WhenAll(others);
        Assert.Equal(["second", "third"], order);
        Assert.Empty(_queue.Items);
    }

    [Fact]
    public async Task Place_ThatIsCancelled_IsGivenUp_AndTheNextGoesOn()
    {
        var first = _queue.Enter("first", "One", CancellationToken.None);
        var waiting = Task.Run(() => _queue.Enter("second", "Two", CancellationToken.None));
        await Until(() => _queue.Items.Length == 2);
        Assert.True(_queue.Cancel("second"));
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => waiting);
        Assert.False(_queue.Cancel("second"));
        first.Dispose();
        _queue.Enter("third", "Three", CancellationToken.None).Dispose();
    }

    [Fact]
    public async Task Place_OfAClientThatLeaves_IsGivenUp()
    {
        using var first = _queue.Enter("first", "One", CancellationToken.None);
        using var left = new CancellationTokenSource();
        var waiting = Task.Run(() => _queue.Enter("second", "Two", left.Token));
        await Until(() => _queue.Items.Length == 2);
        await left.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => waiting);
        Assert.Single(_queue.Items);
    }

    [Fact]
    public async Task FullQueue_RefusesWithASentence()
    {
        using var left = new CancellationTokenSource();
        var tickets = new List<Task>();
        for (var i = 0; i < HeavyWork.Most; i++)
        {
            var id = $"work {i}";
            tickets.Add(Task.Run(() => _queue.Enter(id, "Work", left.Token)));
            await Until(() => _queue.Items.Any(item => item.Id == id));
        }
        var full = Assert.Throws<TooMuchException>(() => _queue.Enter("more", "Work", CancellationToken.None));
        Assert.Equal("too-busy", full.Refusal.Code);
        await left.CancelAsync();
        await Task.WhenAll(tickets.Select(ticket => Task.WhenAny(ticket)));
    }

    private static async Task Until(Func<bool> isSo)
    {
        while (!isSo())
        {
            await Task.Yield();
        }
    }
}
