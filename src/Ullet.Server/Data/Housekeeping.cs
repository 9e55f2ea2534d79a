using Ullet.Server.Documents;
using Ullet.Server.Hosting;

namespace Ullet.Server.Data;

/// <summary>Once a day: empties the bin of what has lain in it long enough, and takes unnamed files away.</summary>
internal sealed class Housekeeping(
    IServiceScopeFactory scopes,
    ServerOptions options,
    TimeProvider clock,
    ILogger<Housekeeping> log
) : BackgroundService
{
    private static readonly TimeSpan First = TimeSpan.FromMinutes(2);

    private static readonly TimeSpan Every = TimeSpan.FromDays(1);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await Task.Delay(First, clock, stoppingToken);
        using var timer = new PeriodicTimer(Every, clock);
        do
        {
            try
            {
                using var scope = scopes.CreateScope();
                using (var connection = PlainSql.Open(options.DataFolder))
                {
                    BinEmptying.Run(connection, clock);
                }
                await scope.ServiceProvider.GetRequiredService<AssetSweep>().Run(AssetSweep.Kept, stoppingToken);
                await scope.ServiceProvider.GetRequiredService<HandedOut>().ClearUnnamed(stoppingToken);
            }
            catch (Exception wrong) when (SqliteFaults.Of(wrong) != StoreFault.None)
            {
                log.LogWarning(wrong, "Nothing was cleared today");
            }
        } while (await timer.WaitForNextTickAsync(stoppingToken));
    }
}
