using Microsoft.AspNetCore.Http;
using Ullet.Core.Pipeline;
using Ullet.Server.Work;

namespace Ullet.Server.Tests.Work;

/// <summary>A request's computations between budget, queue and cancel.</summary>
public sealed class WorkbenchTests
{
    [Fact]
    public async Task Work_CancelledWhileItWaitsForItsTurn_SaysThatItWasCancelled()
    {
        var queue = new HeavyWork(TimeProvider.System);
        using var first = queue.Enter("first", "One", CancellationToken.None);
        var context = new DefaultHttpContext();
        context.Request.Headers[Workbench.Header] = "mine";
        var bench = new Workbench(queue, new HttpContextAccessor { HttpContext = context });
        var waiting = Task.Run(() =>
            bench.Run<int>(
                WorkKind.Showing,
                "This picture",
                _ =>
                {
                    while (true)
                    {
                        Budget.Spend();
                    }
                }
            )
        );
        SpinWait.SpinUntil(() => queue.Items.Any(item => item.Id == "mine") || waiting.IsCompleted);
        Assert.True(queue.Cancel("mine"));
        var cancelled = await Assert.ThrowsAsync<WorkCancelledException>(() => waiting);
        Assert.Equal("This picture was cancelled; nothing was changed.", cancelled.Message);
    }
}
