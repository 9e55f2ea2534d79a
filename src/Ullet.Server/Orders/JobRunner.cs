using System.Collections.Immutable;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Hosting;

namespace Ullet.Server.Orders;

/// <summary>Carries jobs out, one after the other, one thing at a time; each is kept with its mark in one transaction, so that a job
/// goes on after a stop at any moment, with nothing made twice and nothing left out.</summary>
internal sealed class JobRunner(
    IServiceScopeFactory scopes,
    JobSignals signals,
    ServerOptions options,
    ILogger<JobRunner> log
) : BackgroundService
{
    /// <summary>A computation of one order may take so many steps.</summary>
    private const long MostSteps = 30_000_000_000;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        if (File.Exists(Path.Combine(options.DataFolder, DatabaseStart.FileName)))
        {
            // What a stop left unfinished is begun with.
            signals.Begin();
        }
        while (!stoppingToken.IsCancellationRequested)
        {
            await signals.Work(stoppingToken);
            try
            {
                while (await RunNext(stoppingToken)) { }
            }
            catch (Exception wrong) when (SqliteFaults.Of(wrong) != StoreFault.None)
            {
                log.LogWarning(
                    wrong,
                    "Jobs can't be read or noted now; they go on with the next one, or after a restart"
                );
            }
        }
    }

    /// <summary>Carries the oldest waiting job out as far as it goes.</summary>
    /// <returns>False where there is none.</returns>
    private async Task<bool> RunNext(CancellationToken stopping)
    {
        string? jobId;
        using (var scope = scopes.CreateScope())
        {
            var db = scope.ServiceProvider.GetRequiredService<UlletDb>();
            jobId = await db
                .Jobs.Where(job => job.State == JobState.Waiting || job.State == JobState.Running)
                .OrderBy(job => job.At)
                .Select(job => job.Id)
                .FirstOrDefaultAsync(stopping);
            if (jobId is null)
            {
                return false;
            }
            await db
                .Jobs.Where(job => job.Id == jobId && job.State == JobState.Waiting)
                .ExecuteUpdateAsync(set => set.SetProperty(job => job.State, JobState.Running), stopping);
        }
        signals.Told(jobId);
        var token = signals.Running(jobId, stopping);
        try
        {
            while (await RunItem(jobId, token))
            {
                signals.Told(jobId);
            }
        }
        catch (OperationCanceledException) when (!stopping.IsCancellationRequested)
        {
            // It was cancelled: its state says so already.
        }
        finally
        {
            signals.Over(jobId);
            signals.Told(jobId);
        }
        return true;
    }

    /// <summary>Makes the next thing of a job.</summary>
    /// <returns>False when nothing is left, or it was cancelled.</returns>
    private async Task<bool> RunItem(string jobId, CancellationToken cancellation)
    {
        using var scope = scopes.CreateScope();
        var services = scope.ServiceProvider;
        var db = services.GetRequiredService<UlletDb>();
        var job = await db.Jobs.FirstOrDefaultAsync(row => row.Id == jobId, cancellation);
        if (job is not { State: JobState.Running })
        {
            return false;
        }
        var item = await db
            .JobItems.Where(row => row.JobId == jobId && row.State == JobItemState.Waiting)
            .OrderBy(row => row.Position)
            .FirstOrDefaultAsync(cancellation);
        if (item is null)
        {
            job.State = JobState.Done;
            await db.SaveChangesAsync(cancellation);
            return false;
        }
        var wish = JsonSerializer.Deserialize<JobWish>(job.Wish, ProjectJson.Options)!;
        var refusal = await Tried(() => Make(services, job, item, wish, cancellation));
        if (refusal is not null)
        {
            db.ChangeTracker.Clear();
            await db
                .JobItems.Where(row => row.JobId == jobId && row.Position == item.Position)
                .ExecuteUpdateAsync(
                    set =>
                        set.SetProperty(row => row.State, JobItemState.Failed)
                            .SetProperty(row => row.Words, refusal.Words),
                    cancellation
                );
        }
        return true;
    }

    private static async Task<Refusal?> Tried(Func<Task<Refusal?>> make)
    {
        try
        {
            return await make();
        }
        catch (TooMuchException wrong)
        {
            return wrong.Refusal;
        }
        catch (DamagedProjectException wrong)
        {
            return new Refusal("project-damaged", "project", wrong.Message);
        }
    }

    private static async Task<Refusal?> Make(
        IServiceProvider services,
        JobRow job,
        JobItemRow item,
        JobWish wish,
        CancellationToken cancellation
    )
    {
        var maker = services.GetRequiredService<OrderMaking>();
        ImmutableArray<string> ids = [.. item.OrderIds.Split(' ')];
        var making = await maker.Begin(job.ProjectId, ids, wish, cancellation);
        if (!making.IsOk)
        {
            return making.Refusal;
        }
        var made = await Computed(() => maker.Make(making.Value, item.Name, cancellation), cancellation);
        if (!made.IsOk)
        {
            return made.Refusal;
        }
        var db = services.GetRequiredService<UlletDb>();
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        item.State = JobItemState.Made;
        item.Sha256 = await maker.Keep(making.Value, made.Value, item.Name, cancellation);
        await db.SaveChangesAsync(cancellation);
        await transaction.CommitAsync(cancellation);
        return null;
    }

    /// <summary>Heavy work on a thread of its own, under a budget.</summary>
    private static Task<Result<MadeFiles>> Computed(
        Func<Task<Result<MadeFiles>>> make,
        CancellationToken cancellation
    ) =>
        Task.Run(
            () => new Budget("This order", MostSteps, null, cancellation).Run(() => make().GetAwaiter().GetResult()),
            cancellation
        );
}
